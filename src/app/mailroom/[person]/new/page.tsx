import { keptSignature } from "@/server/mailroom/mailroom";
import { listPeople } from "@/server/people/people";
import { NewLetter } from "@/ui/mailroom/new-letter";

export const metadata = { title: "New letter · Malthouse Mail" };

interface Props {
  readonly params: Promise<{ person: string }>;
  readonly searchParams: Promise<Partial<Record<"to" | "subject" | "body", string | string[]>>>;
}

/** What a parameter says; the first of several. */
const asked = (parameter: string | string[] | undefined): string => [parameter ?? ""].flat()[0] ?? "";

export default async function NewLetterPage({ params, searchParams }: Props) {
  const [{ person }, { to, subject, body }] = await Promise.all([params, searchParams]);
  const [people, signature] = await Promise.all([listPeople(), keptSignature(person)]);
  const wanted = people.find((entry) => entry.person.mail === to);
  return (
    <>
      <h1 className="text-2xl font-bold">New letter</h1>
      <NewLetter
        personId={person}
        signature={signature}
        to={wanted?.id ?? ""}
        subject={asked(subject).slice(0, 200)}
        text={asked(body).slice(0, 2000)}
        colleagues={people.map((entry) => ({
          id: entry.id,
          name: entry.person.name,
          mail: entry.person.mail,
        }))}
      />
    </>
  );
}
