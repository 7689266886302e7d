"use client";

/** Granary's ledger: a row for each letter, and the open one as a leaf below its row. */
import Link from "next/link";
import { Fragment } from "react";
import type { LetterBox } from "@/contract";
import { LetterActions } from "../parts/letter-actions";
import { OpenLetter } from "../parts/open-letter";
import { LetterBoxes, matterOf, MoreLetters, SearchLetters, whoIn, withOpen } from "../parts/letter-list";
import { pathsOf } from "../parts/letter-paths";
import type { LettersProps } from "../parts/rooms";
import { When } from "../parts/when";

const books: Readonly<Record<LetterBox, string>> = { in: "Came in", sent: "Went out", thrown: "Struck out" };
const columns = 4;

function Leaf({ desk, open, base }: LettersProps) {
  if (!open) return null;
  return (
    <article aria-label={matterOf(open)} className="granary-leaf">
      <h1 className="text-2xl [overflow-wrap:anywhere]">{matterOf(open)}</h1>
      <p className="text-sm text-(--gr-soft) [overflow-wrap:anywhere]">
        {open.from.name} ({open.from.address}) to {open.recipients}; <When time={open.receivedAt} whole />
      </p>
      <LetterActions
        desk={desk}
        letter={open}
        label="This leaf"
        words={{
          answer: "Write back",
          answerAll: "Write back to everyone",
          handOn: "Pass on",
          throwAway: "Strike it out",
          takeBack: "Enter it again",
        }}
        back="Fold the leaf"
        backStands="last"
        className="mt-2 flex flex-wrap gap-5"
        look="granary-word"
      />
      <OpenLetter desk={desk} letter={open} base={base} width={860} />
    </article>
  );
}

export function GranaryLetters(props: LettersProps) {
  const { desk, letters, box, search, drafts, open } = props;
  const paths = pathsOf(desk);
  const rows = withOpen(props);
  return (
    <>
      {!open && <h1 className="sr-only">{books[box]}</h1>}
      <div className="flex flex-wrap items-baseline gap-6 py-3">
        <LetterBoxes
          desk={desk}
          box={box}
          label="Books"
          names={books}
          className="flex gap-5"
          look="granary-word aria-[current=page]:font-bold aria-[current=page]:no-underline"
        />
        <SearchLetters
          {...props}
          label="Find entries with"
          shown="before"
          className="ml-auto"
          look="desk-field w-56"
        />
      </div>
      <table className="w-full table-fixed border-collapse">
        <caption className="sr-only">{books[box]}</caption>
        <thead>
          <tr className="granary-row text-left text-sm text-(--gr-soft)">
            <th scope="col" className="w-24">
              Day
            </th>
            <th scope="col" className="w-56">
              {box === "sent" ? "To whom" : "From whom"}
            </th>
            <th scope="col">Matter</th>
            <th scope="col" className="w-16 text-right">
              Entry
            </th>
          </tr>
        </thead>
        <tbody>
          {box === "in" &&
            drafts.map((draft) => (
              <tr key={draft.id} className="granary-row">
                <td>
                  <When time={draft.updatedAt} />
                </td>
                <td className="text-(--gr-wrong)">not yet sent</td>
                <td colSpan={2}>
                  <Link href={paths.draft(draft.id)} className="granary-word">
                    {matterOf(draft)}
                  </Link>
                </td>
              </tr>
            ))}
          {rows.map((letter, index) => (
            <Fragment key={letter.id}>
              <tr className={`granary-row ${letter.read ? "" : "font-bold"}`}>
                <td>
                  <When time={letter.receivedAt} />
                </td>
                <td className="truncate">{whoIn(box, letter)}</td>
                <td className="truncate">
                  <Link
                    href={open?.id === letter.id ? paths.letters(box) : paths.letter(letter.id)}
                    prefetch={false}
                    aria-expanded={open?.id === letter.id}
                    className="granary-word"
                  >
                    {matterOf(letter)}
                  </Link>{" "}
                  <span className="font-normal text-(--gr-soft)">{letter.beginning}</span>
                </td>
                <td className="text-right text-sm text-(--gr-soft)">{rows.length + letters.more - index}</td>
              </tr>
              {open?.id === letter.id && (
                <tr>
                  <td colSpan={columns} className="p-0">
                    <Leaf {...props} />
                  </td>
                </tr>
              )}
            </Fragment>
          ))}
        </tbody>
      </table>
      {rows.length === 0 && (
        <p className="py-4 text-(--gr-soft)">
          {search ? `No entry has “${search}” in it.` : "No entry stands in this book yet."}
        </p>
      )}
      <MoreLetters letters={letters}>older entries are not shown: find them by words.</MoreLetters>
    </>
  );
}
