import { listLetters } from "@/server/mailroom/letters";
import { openedDesk, orNotFound } from "../../../opened-desk";
import { beginLetter } from "@/server/mailroom/begin-letter";
import { listPeople } from "@/server/people/people";
import { DeskWriting } from "@/ui/mailroom/desk-rooms";

export const metadata = { title: "Writing · Mailroom" };

type Asked = "to" | "subject" | "body" | "answer" | "forward" | "all" | "draft";

interface Props {
  readonly params: Promise<{ person: string; client: string }>;
  readonly searchParams: Promise<Partial<Record<Asked, string | string[]>>>;
}

/** What a parameter says; the first of several. */
const said = (parameter: string | string[] | undefined): string => [parameter ?? ""].flat()[0] ?? "";

export default async function WritePage({ params, searchParams }: Props) {
  const [{ person, client }, query] = await Promise.all([params, searchParams]);
  const desk = await openedDesk(person, client);
  const [answer, forward, draft] = [said(query.answer), said(query.forward), said(query.draft)];
  const about = answer
    ? ({ letter: answer, how: "answer" } as const)
    : forward
      ? ({ letter: forward, how: "forward" } as const)
      : null;
  const [start, people, letters] = await Promise.all([
    orNotFound(
      beginLetter(person, client, {
        to: said(query.to).toLowerCase().slice(0, 320),
        subject: said(query.subject).slice(0, 200),
        text: said(query.body).slice(0, 2000),
        about,
        all: said(query.all) !== "",
        draft: draft || null,
      }),
    ),
    listPeople(),
    listLetters(person),
  ]);
  return (
    <DeskWriting
      // Another letter is another form.
      key={`${answer} ${forward} ${draft}`}
      desk={desk}
      start={start}
      colleagues={people.map((entry) => ({
        id: entry.id,
        name: entry.person.name,
        mail: entry.person.mail,
      }))}
      letters={letters}
    />
  );
}
