import { linksOf, parseSignature } from "@/core/signature";
import { findOpenings } from "@/server/links/answers";
import { LinksPage } from "@/ui/links/links-page";
import { openOrNotFound } from "../open-or-not-found";
import { openedStation } from "../opened-station";

interface Props {
  readonly params: Promise<{ id: string }>;
}

export async function generateMetadata({ params }: Props) {
  return { title: `Links of ${(await openOrNotFound((await params).id)).name}` };
}

export default async function LinksStation({ params }: Props) {
  const signature = await openOrNotFound((await params).id);
  const { document, person, organisation } = signature;
  const addresses = linksOf(parseSignature(document), person).map(({ href }) => href);
  return (
    <LinksPage
      key={signature.id}
      {...await openedStation(signature)}
      opened={await findOpenings(addresses)}
      brandColors={organisation?.colors.map(({ hex }) => hex) ?? []}
    />
  );
}
