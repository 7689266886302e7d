import { colorsOfCuts } from "@/server/pictures/picture-colors";
import { ProofPage } from "@/ui/proof/proof-page";
import { keptStillness } from "@/server/signatures/stillness";
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
  const { id, name, personId, document, revision, person, base, pictures, answers, networks, organisation } =
    signature;
  return (
    <ProofPage
      key={id}
      signature={{ id, name, personId, document, revision }}
      people={people}
      person={person}
      base={base}
      pictures={pictures}
      answers={answers}
      organisation={organisation?.name ?? ""}
      networks={networks}
      findings={signature.findings}
      kept={await keptStillness(signature)}
      colors={await colorsOfCuts(signature.cuts)}
    />
  );
}
