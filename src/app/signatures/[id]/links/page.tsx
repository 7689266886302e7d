import { linksOf, parseSignature } from "@/core/signature";
import { findOpenings } from "@/server/links/answers";
import { LinksPage } from "@/ui/links/links-page";
import { keptStillness } from "@/server/signatures/stillness";
import { openOrNotFound } from "../open-or-not-found";
import { peopleChoices } from "../people-choices";

interface Props {
  readonly params: Promise<{ id: string }>;
}

export async function generateMetadata({ params }: Props) {
  return { title: `Links of ${(await openOrNotFound((await params).id)).name}` };
}

export default async function LinksStation({ params }: Props) {
  const [signature, people] = await Promise.all([openOrNotFound((await params).id), peopleChoices()]);
  const { id, name, personId, document, revision, person, base, pictures, answers, networks, organisation } =
    signature;
  const addresses = linksOf(parseSignature(document), person).map(({ href }) => href);
  return (
    <LinksPage
      key={id}
      signature={{ id, name, personId, document, revision }}
      people={people}
      person={person}
      base={base}
      pictures={pictures}
      answers={answers}
      opened={await findOpenings(addresses)}
      organisation={organisation?.name ?? ""}
      networks={networks}
      findings={signature.findings}
      kept={await keptStillness(signature)}
      brandColors={organisation?.colors.map(({ hex }) => hex) ?? []}
    />
  );
}
