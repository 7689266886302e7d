"use client";

/** Sluice: letters under their days on one long page; what is written lies beside it on a loose sheet. */
import { format, isToday, isYesterday } from "date-fns";
import Link from "next/link";
import { useRouter } from "next/navigation";
import type { LetterBox, LetterHead } from "@/contract";
import { LetterParts, LetterTalk, LetterWire } from "../parts/letter-facts";
import { pathsOf } from "../parts/letter-paths";
import { LetterView } from "../parts/letter-view";
import type { LettersProps } from "../parts/rooms";
import { useThrowing } from "../parts/use-throwing";

const dayOf = (time: number): string =>
  isToday(time) ? "Today" : isYesterday(time) ? "Yesterday" : format(time, "EEEE, d MMMM yyyy");

/** The letters of each day, in their order. */
export function byDay(letters: readonly LetterHead[]): readonly (readonly [string, readonly LetterHead[]])[] {
  const days = new Map<string, LetterHead[]>();
  for (const letter of letters) {
    const day = dayOf(letter.receivedAt);
    days.set(day, [...(days.get(day) ?? []), letter]);
  }
  return [...days];
}

function Open({ desk, open, base }: LettersProps) {
  const { throwAway, takeBack } = useThrowing(desk);
  if (!open) return null;
  const paths = pathsOf(desk);
  return (
    <article aria-label={open.subject || "(no subject)"} className="sluice-open">
      <h1 className="text-xl [overflow-wrap:anywhere]">{open.subject || "(no subject)"}</h1>
      <p className="text-sm text-(--sl-soft) [overflow-wrap:anywhere]">
        {open.from.name} wrote to {open.recipients}
      </p>
      <nav aria-label="This letter" className="my-2 flex flex-wrap gap-5 text-sm">
        <Link href={paths.answer(open.id)}>Reply on a sheet</Link>
        {open.to.length + open.cc.length > 1 && (
          <Link href={paths.answer(open.id, true)}>Reply to the whole circle</Link>
        )}
        <Link href={paths.handOn(open.id)}>Send it further</Link>
        <button
          type="button"
          className="underline"
          onClick={() => void (open.thrown ? takeBack : throwAway)(open.id)}
        >
          {open.thrown ? "Paste it back in" : "Tear it out"}
        </button>
      </nav>
      <LetterTalk desk={desk} letter={open} />
      {open.problem && (
        <p role="note" className="text-(--sl-wrong)">
          {open.problem}
        </p>
      )}
      <LetterView desk={desk} letter={open} base={base} width={760} />
      <LetterParts desk={desk} letter={open} />
      <LetterWire desk={desk} letter={open} />
    </article>
  );
}

const boxes: Readonly<Record<LetterBox, string>> = { in: "received", sent: "written", thrown: "torn out" };

export function SluiceDays(props: LettersProps) {
  const { desk, letters, box, search, drafts, open } = props;
  const paths = pathsOf(desk);
  const router = useRouter();
  const rows =
    open && !letters.letters.some(({ id }) => id === open.id) ? [open, ...letters.letters] : letters.letters;
  return (
    <div className="mx-auto max-w-[840px]">
      {!open && <h1 className="sr-only">Letters {boxes[box]}</h1>}
      <div className="flex flex-wrap items-baseline gap-5 text-sm">
        <nav aria-label="Which letters" className="flex gap-4">
          {(Object.keys(boxes) as LetterBox[]).map((each) => (
            <Link
              key={each}
              href={paths.letters(each)}
              aria-current={each === box ? "page" : undefined}
              className="aria-[current=page]:font-semibold aria-[current=page]:no-underline"
            >
              {boxes[each]}
            </Link>
          ))}
        </nav>
        <form
          className="ml-auto"
          onSubmit={(event) => {
            event.preventDefault();
            const wanted = new FormData(event.currentTarget).get("search");
            router.push(paths.letters(box, typeof wanted === "string" ? wanted : ""));
          }}
        >
          <input
            key={search}
            name="search"
            defaultValue={search}
            aria-label="Leaf through for words"
            placeholder="leaf through for words"
            className="sluice-field w-52"
          />
        </form>
      </div>
      {box === "in" && drafts.length > 0 && (
        <ul aria-label="Sheets that were begun" className="mt-3">
          {drafts.map(({ id, subject }) => (
            <li key={id}>
              <Link href={paths.draft(id)}>a sheet that was begun: {subject || "(no subject)"}</Link>
            </li>
          ))}
        </ul>
      )}
      {rows.length === 0 && (
        <p className="mt-6 text-(--sl-soft)">
          {search ? `No letter has “${search}” in it.` : "The page is blank: no letter is on it."}
        </p>
      )}
      {byDay(rows).map(([day, those]) => (
        <section key={day} aria-label={day}>
          <h2 className="sluice-day" suppressHydrationWarning>
            {day}
          </h2>
          {those.map((letter) =>
            open?.id === letter.id ? (
              <Open key={letter.id} {...props} />
            ) : (
              <p key={letter.id} className={letter.read ? "" : "font-semibold"}>
                <Link href={paths.letter(letter.id)} prefetch={false}>
                  {box === "sent"
                    ? `to ${letter.recipients}`
                    : letter.from.name || letter.from.address || "(nobody)"}
                  : {letter.subject || "(no subject)"}
                </Link>{" "}
                <span className="font-normal text-(--sl-soft)">{letter.beginning.slice(0, 80)}</span>
              </p>
            ),
          )}
        </section>
      ))}
      {letters.more > 0 && (
        <p className="mt-4 text-(--sl-soft)">
          {letters.more.toLocaleString("en")} older letters are on earlier pages: leaf through for words.
        </p>
      )}
    </div>
  );
}
