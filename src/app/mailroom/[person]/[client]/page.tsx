import { letterBoxes, type LetterBox } from "@/contract";
import { publicBase } from "@/server/addresses/public-address";
import { listLetters } from "@/server/mailroom/letters";
import { openedDesk } from "../../opened-desk";
import { listDrafts } from "@/server/mailroom/drafts";
import { DeskLetters } from "@/ui/mailroom/desk-rooms";

export const metadata = { title: "Letters · Mailroom" };

interface Props {
  readonly params: Promise<{ person: string; client: string }>;
  readonly searchParams: Promise<Partial<Record<"box" | "search", string | string[]>>>;
}

export default async function LettersPage({ params, searchParams }: Props) {
  const [{ person, client }, query] = await Promise.all([params, searchParams]);
  const desk = await openedDesk(person, client);
  const box = letterBoxes.find((each) => each === query.box) ?? ("in" satisfies LetterBox);
  const search = typeof query.search === "string" ? query.search.slice(0, 200) : "";
  const [letters, drafts, base] = await Promise.all([
    listLetters(person, { box, search }),
    listDrafts(person, client),
    publicBase(),
  ]);
  return (
    <DeskLetters
      desk={desk}
      letters={letters}
      box={box}
      search={search}
      drafts={drafts}
      open={null}
      base={base}
    />
  );
}
