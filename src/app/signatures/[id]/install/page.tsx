import { compile } from "@/core/compile";
import { parseSignature } from "@/core/signature";
import { InstallPage } from "@/ui/install/install-page";
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
  const document = parseSignature(signature.document);
  const { person, base } = signature;
  return (
    <Station signature={signature} people={people} current="install">
      <InstallPage
        name={signature.name}
        revision={signature.revision}
        html={signature.html}
        plainText={compile(document, { destination: "plain-text", person, base })}
        file={compile(document, { destination: "document-file", person, base })}
        base={base}
        findings={signature.findings.filter(
          ({ station, severity }) => station === "install" || severity === "break",
        )}
      />
    </Station>
  );
}
