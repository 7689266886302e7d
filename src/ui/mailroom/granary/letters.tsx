"use client";

/** Granary's ledger: a row for each letter, and the open one as a leaf below its row. */
import Link from "next/link";
import { useRouter } from "next/navigation";
import { Fragment } from "react";
import type { LetterBox, LetterHead } from "@/contract";
import { LetterParts, LetterTalk, LetterWire } from "../parts/letter-facts";
import { pathsOf } from "../parts/letter-paths";
import { LetterView } from "../parts/letter-view";
import type { LettersProps } from "../parts/rooms";
import { useThrowing } from "../parts/use-throwing";
import { When } from "../parts/when";

const books: Readonly<Record<LetterBox, string>> = { in: "Came in", sent: "Went out", thrown: "Struck out" };
const columns = 4;

function Leaf({ desk, open, base }: LettersProps) {
  const { throwAway, takeBack } = useThrowing(desk);
  if (!open) return null;
  const paths = pathsOf(desk);
  return (
    <article aria-label={open.subject || "(no subject)"} className="granary-leaf">
      <h1 className="text-2xl [overflow-wrap:anywhere]">{open.subject || "(no subject)"}</h1>
      <p className="text-sm text-(--gr-soft) [overflow-wrap:anywhere]">
        {open.from.name} ({open.from.address}) to {open.recipients}; <When time={open.receivedAt} whole />
      </p>
      <nav aria-label="This leaf" className="mt-2 flex flex-wrap gap-5">
        <Link href={paths.answer(open.id)} className="granary-word">
          Write back
        </Link>
        {open.to.length + open.cc.length > 1 && (
          <Link href={paths.answer(open.id, true)} className="granary-word">
            Write back to everyone
          </Link>
        )}
        <Link href={paths.handOn(open.id)} className="granary-word">
          Pass on
        </Link>
        <button
          type="button"
          className="granary-word"
          onClick={() => void (open.thrown ? takeBack : throwAway)(open.id)}
        >
          {open.thrown ? "Enter it again" : "Strike it out"}
        </button>
        <Link href={paths.letters(open.thrown ? "thrown" : open.box)} className="granary-word ml-auto">
          Fold the leaf
        </Link>
      </nav>
      <LetterTalk desk={desk} letter={open} />
      {open.problem && (
        <p role="note" className="mt-2 text-(--gr-wrong)">
          {open.problem}
        </p>
      )}
      <div className="mt-3">
        <LetterView desk={desk} letter={open} base={base} width={860} />
      </div>
      <LetterParts desk={desk} letter={open} />
      <LetterWire desk={desk} letter={open} />
    </article>
  );
}

export function GranaryLetters(props: LettersProps) {
  const { desk, letters, box, search, drafts, open } = props;
  const paths = pathsOf(desk);
  const router = useRouter();
  // A letter that is open stands in the ledger, whichever page of it is shown.
  const rows: readonly LetterHead[] =
    open && !letters.letters.some(({ id }) => id === open.id) ? [open, ...letters.letters] : letters.letters;
  return (
    <>
      {!open && <h1 className="sr-only">{books[box]}</h1>}
      <div className="flex flex-wrap items-baseline gap-6 py-3">
        <nav aria-label="Books" className="flex gap-5">
          {(Object.keys(books) as LetterBox[]).map((each) => (
            <Link
              key={each}
              href={paths.letters(each)}
              aria-current={each === box ? "page" : undefined}
              className="granary-word aria-[current=page]:font-bold aria-[current=page]:no-underline"
            >
              {books[each]}
            </Link>
          ))}
        </nav>
        <form
          className="ml-auto flex items-baseline gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            const wanted = new FormData(event.currentTarget).get("search");
            router.push(paths.letters(box, typeof wanted === "string" ? wanted : ""));
          }}
        >
          <label className="flex items-baseline gap-2 whitespace-nowrap">
            Find entries with
            <input key={search} name="search" defaultValue={search} className="granary-field w-56" />
          </label>
        </form>
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
            drafts.map(({ id, subject, updatedAt }) => (
              <tr key={id} className="granary-row">
                <td>
                  <When time={updatedAt} />
                </td>
                <td className="text-(--gr-wrong)">not yet sent</td>
                <td colSpan={2}>
                  <Link href={paths.draft(id)} className="granary-word">
                    {subject || "(no subject)"}
                  </Link>
                </td>
              </tr>
            ))}
          {rows.map(({ id, from, recipients, subject, beginning, receivedAt, read }, index) => (
            <Fragment key={id}>
              <tr className={`granary-row ${read ? "" : "font-bold"}`}>
                <td>
                  <When time={receivedAt} />
                </td>
                <td className="max-w-56 truncate">
                  {box === "sent" ? recipients : from.name || from.address || "(nobody)"}
                </td>
                <td className="max-w-0 truncate">
                  <Link
                    href={open?.id === id ? paths.letters(box) : paths.letter(id)}
                    prefetch={false}
                    aria-expanded={open?.id === id}
                    className="granary-word"
                  >
                    {subject || "(no subject)"}
                  </Link>{" "}
                  <span className="font-normal text-(--gr-soft)">{beginning}</span>
                </td>
                <td className="text-right text-sm text-(--gr-soft)">{rows.length + letters.more - index}</td>
              </tr>
              {open?.id === id && (
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
      {letters.more > 0 && (
        <p className="py-3 text-(--gr-soft)">
          {letters.more.toLocaleString("en")} older entries are not shown: find them by words.
        </p>
      )}
    </>
  );
}
