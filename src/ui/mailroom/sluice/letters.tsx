"use client";

/** Sluice: letters under their days on one long page; what is written lies beside it on a loose sheet. */
import Link from "next/link";
import type { LetterBox } from "@/contract";
import { LetterActions } from "../parts/letter-actions";
import { OpenLetter } from "../parts/open-letter";
import { LetterBoxes, matterOf, MoreLetters, SearchLetters, whoIn, withOpen } from "../parts/letter-list";
import { pathsOf } from "../parts/letter-paths";
import type { LettersProps } from "../parts/rooms";
import { Days } from "./days";

function Open({ desk, open, base }: LettersProps) {
  if (!open) return null;
  return (
    <article aria-label={matterOf(open)} className="sluice-open">
      <h1 className="text-xl [overflow-wrap:anywhere]">{matterOf(open)}</h1>
      <p className="text-sm text-(--sl-soft) [overflow-wrap:anywhere]">
        {open.from.name} wrote to {open.recipients}
      </p>
      <LetterActions
        desk={desk}
        letter={open}
        label="This letter"
        words={{
          answer: "Reply on a sheet",
          answerAll: "Reply to the whole circle",
          handOn: "Send it further",
          throwAway: "Tear it out",
          takeBack: "Paste it back in",
        }}
        className="my-2 flex flex-wrap gap-5 text-sm"
        look="underline underline-offset-3"
      />
      <OpenLetter desk={desk} letter={open} base={base} width={760} />
    </article>
  );
}

const boxes: Readonly<Record<LetterBox, string>> = { in: "received", sent: "written", thrown: "torn out" };

export function SluiceDays(props: LettersProps) {
  const { desk, letters, box, search, drafts, open } = props;
  const paths = pathsOf(desk);
  const rows = withOpen(props);
  return (
    <div className="mx-auto max-w-[840px]">
      {!open && <h1 className="sr-only">Letters {boxes[box]}</h1>}
      <div className="flex flex-wrap items-baseline gap-5 text-sm">
        <LetterBoxes
          desk={desk}
          box={box}
          label="Which letters"
          names={boxes}
          className="flex gap-4"
          look="aria-[current=page]:font-semibold aria-[current=page]:no-underline"
        />
        <SearchLetters
          {...props}
          label="Leaf through for words"
          shown="within"
          className="ml-auto"
          look="desk-field w-52"
        />
      </div>
      {box === "in" && drafts.length > 0 && (
        <ul aria-label="Sheets that were begun" className="mt-3">
          {drafts.map((draft) => (
            <li key={draft.id}>
              <Link href={paths.draft(draft.id)}>a sheet that was begun: {matterOf(draft)}</Link>
            </li>
          ))}
        </ul>
      )}
      {rows.length === 0 && (
        <p className="mt-6 text-(--sl-soft)">
          {search ? `No letter has “${search}” in it.` : "The page is blank: no letter is on it."}
        </p>
      )}
      <Days letters={rows}>
        {(letter) =>
          open?.id === letter.id ? (
            <Open key={letter.id} {...props} />
          ) : (
            <p key={letter.id} className={letter.read ? "" : "font-semibold"}>
              <Link href={paths.letter(letter.id)} prefetch={false}>
                {box === "sent" && "to "}
                {whoIn(box, letter)}: {matterOf(letter)}
              </Link>{" "}
              <span className="font-normal text-(--sl-soft)">{letter.beginning.slice(0, 80)}</span>
            </p>
          )
        }
      </Days>
      <MoreLetters letters={letters}>older letters are on earlier pages: leaf through for words.</MoreLetters>
    </div>
  );
}
