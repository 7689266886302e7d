import { publicBase } from "@/server/addresses/public-address";
import { listLetters, openLetter } from "@/server/mailroom/letters";
import { openedDesk, orNotFound } from "../../../../opened-desk";
import { DeskLetters } from "@/ui/mailroom/desk-rooms";

export const metadata = { title: "Letter · Mailroom" };

interface Props {
  readonly params: Promise<{ person: string; client: string; letter: string }>;
}

export default async function LetterPage({ params }: Props) {
  const { person, client, letter } = await params;
  const desk = await openedDesk(person, client);
  const open = await orNotFound(openLetter(person, letter));
  const box = open.thrown ? "thrown" : open.box;
  const [letters, base] = await Promise.all([listLetters(person, { box }), publicBase()]);
  return (
    <DeskLetters
      key={open.id}
      desk={desk}
      letters={letters}
      box={box}
      search=""
      drafts={[]}
      open={open}
      base={base}
    />
  );
}
