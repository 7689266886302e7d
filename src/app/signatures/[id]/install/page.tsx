import type { Node } from "prosemirror-model";
import { compile } from "@/core/compile";
import { commonWebmail, signatureOverrun } from "@/core/clients";
import { withUnsaid } from "@/core/importing";
import { carriedByItself, codeOf } from "@/core/install";
import { codeContents, kitKinds } from "@/core/install-kinds";
import { hasShortForm, parseSignature, shortForm } from "@/core/signature";
import { installsOf } from "@/server/install/installs";
import { givenOf } from "@/server/people/who-gets-what";
import { findOutgoing } from "@/server/outgoing/outgoing";
import { keptStillness } from "@/server/signatures/stillness";
import type { WrittenForms } from "@/contract";
import { InstallPage } from "@/ui/install/install-page";
import { Station } from "@/ui/signature/station";
import { openOrNotFound } from "../open-or-not-found";
import { listDepartments } from "@/server/people/find-people";

interface Props {
  readonly params: Promise<{ id: string }>;
  /** A kind and a form to begin with, where a link names them. */
  readonly searchParams: Promise<{ kind?: string; form?: string }>;
}

export async function generateMetadata({ params }: Pick<Props, "params">) {
  return { title: `Install ${(await openOrNotFound((await params).id)).name}` };
}

export default async function SignatureInstallPage({ params, searchParams }: Props) {
  const { id } = await params;
  const asked = await searchParams;
  const [signature, departments, server, given] = await Promise.all([
    openOrNotFound(id),
    listDepartments(),
    findOutgoing(),
    givenOf(id),
  ]);
  const installs = await installsOf(signature, signature.findings);
  const { person, base } = signature;
  const full = parseSignature(signature.document);
  // What leaves comes back as it was, wherever somebody brings it from; but no limit is passed for that.
  const html = (document: Node): string => {
    const written = compile(document, { destination: "webmail-paste", person, base });
    const told = withUnsaid(written, document);
    return signatureOverrun(told, commonWebmail) > signatureOverrun(written, commonWebmail) ? written : told;
  };
  const compiled = (document: Node): WrittenForms => ({
    html: html(document),
    plainText: compile(document, { destination: "plain-text", person, base }),
  });
  return (
    <Station
      signature={signature}
      stillness={await keptStillness(signature)}
      personName={person?.name ?? null}
      current="install"
    >
      <InstallPage
        id={signature.id}
        name={signature.name}
        carried={carriedByItself}
        revision={signature.revision}
        document={signature.document}
        person={person}
        full={compiled(full)}
        short={hasShortForm(full) ? compiled(shortForm(full)) : null}
        base={base}
        kind={kitKinds.find((kind) => kind === asked.kind) ?? "webmail"}
        form={asked.form === "short" ? "short" : "full"}
        personId={signature.personId}
        departments={departments}
        given={given}
        server={server}
        codes={codeContents.filter((of) => codeOf(of, person) !== null)}
        installs={installs}
        findings={signature.findings.filter(
          ({ station, severity }) => station === "install" || severity === "break",
        )}
      />
    </Station>
  );
}
