import { colorsOfCuts } from "@/server/pictures/picture-colors";
import { ProofPage } from "@/ui/proof/proof-page";
import { Station } from "@/ui/signature/station";
import { openOrNotFound } from "../open-or-not-found";
import { peopleChoices } from "../people-choices";

interface Props {
  readonly params: Promise<{ id: string }>;
}

export async function generateMetadata({ params }: Props) {
  return { title: `Proof of ${(await openOrNotFound((await params).id)).name}` };
}

export default async function SignatureProofPage({ params }: Props) {
  const [signature, people] = await Promise.all([openOrNotFound((await params).id), peopleChoices()]);
  const colors = await colorsOfCuts(signature.cuts);
  return (
    <Station signature={signature} people={people} current="proof">
      <ProofPage
        html={signature.html}
        shortHtml={signature.shortHtml}
        base={signature.base}
        findings={signature.findings}
        colors={colors}
      />
    </Station>
  );
}
