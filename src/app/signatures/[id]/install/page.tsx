import type { Node } from "prosemirror-model";
import { compile } from "@/core/compile";
import { hasShortForm, parseSignature, shortForm } from "@/core/signature";
import { keptStillness } from "@/server/signatures/stillness";
import { InstallPage, type CompiledForms } from "@/ui/install/install-page";
import { Station } from "@/ui/signature/station";
import { openOrNotFound } from "../open-or-not-found";
import { peopleChoices } from "../people-choices";

interface Props {
  readonly params: Promise<{ id: string }>;
}

export async function generateMetadata({ params }: Props) {
  return { title: `Install ${(await openOrNotFound((await params).id)).name}` };
}

export default async function SignatureInstallPage({ params }: Props) {
  const [signature, people] = await Promise.all([openOrNotFound((await params).id), peopleChoices()]);
  const { person, base } = signature;
  const full = parseSignature(signature.document);
  const compiled = (document: Node): CompiledForms => ({
    html: compile(document, { destination: "webmail-paste", person, base }),
    plainText: compile(document, { destination: "plain-text", person, base }),
    file: compile(document, { destination: "document-file", person, base }),
  });
  return (
    <Station
      signature={signature}
      stillness={await keptStillness(signature)}
      people={people}
      current="install"
    >
      <InstallPage
        name={signature.name}
        revision={signature.revision}
        full={compiled(full)}
        short={hasShortForm(full) ? compiled(shortForm(full)) : null}
        base={base}
        findings={signature.findings.filter(
          ({ station, severity }) => station === "install" || severity === "break",
        )}
      />
    </Station>
  );
}
