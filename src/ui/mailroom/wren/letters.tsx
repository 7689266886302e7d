"use client";

/** Wren: letters as cards of three lines, or one of them. */
import Link from "next/link";
import type { LetterBox } from "@/contract";
import { LetterActions } from "../parts/letter-actions";
import { OpenLetter } from "../parts/open-letter";
import { LetterBoxes, matterOf, MoreLetters, SearchLetters, whoIn } from "../parts/letter-list";
import { pathsOf } from "../parts/letter-paths";
import type { LettersProps } from "../parts/rooms";
import { When } from "../parts/when";

const boxes: Readonly<Record<LetterBox, string>> = { in: "to me", sent: "from me", thrown: "away" };

export function WrenLetters(props: LettersProps) {
  const { desk, letters, box, search, drafts, open, base } = props;
  const paths = pathsOf(desk);
  if (open)
    return (
      <article>
        <LetterActions
          desk={desk}
          letter={open}
          label="This letter"
          words={{
            answer: "Reply",
            answerAll: "To all",
            handOn: "Onward",
            throwAway: "Away",
            takeBack: "Back",
          }}
          back="Cards"
          className="flex flex-wrap gap-x-4"
          look="underline underline-offset-3"
        />
        <h1 className="mt-2 text-lg font-semibold [overflow-wrap:anywhere]">{matterOf(open)}</h1>
        <p className="text-sm text-(--wr-soft) [overflow-wrap:anywhere]">
          {open.from.name || open.from.address}, <When time={open.receivedAt} whole />
        </p>
        <OpenLetter desk={desk} letter={open} base={base} width={388} />
      </article>
    );
  return (
    <>
      <h1 className="sr-only">Cards</h1>
      <SearchLetters {...props} label="Words in a letter" shown="within" look="wren-field" />
      <LetterBoxes
        desk={desk}
        box={box}
        label="Which cards"
        names={boxes}
        className="my-2 flex gap-4 text-sm"
        look="aria-[current=page]:font-semibold aria-[current=page]:no-underline"
      />
      {letters.letters.length === 0 && drafts.length === 0 && (
        <p className="mt-4 text-(--wr-soft)">{search ? `Nothing with “${search}”.` : "Nothing here yet."}</p>
      )}
      {box === "in" &&
        drafts.map((draft) => (
          <Link key={draft.id} href={paths.draft(draft.id)} className="wren-card">
            <span className="block">Begun</span>
            <span className="block truncate">{matterOf(draft)}</span>
          </Link>
        ))}
      {letters.letters.map((letter) => (
        <Link
          key={letter.id}
          href={paths.letter(letter.id)}
          prefetch={false}
          className={`wren-card ${letter.read ? "" : "font-semibold"}`}
        >
          <span className="flex justify-between gap-3">
            <span className="truncate">{whoIn(box, letter)}</span>
            <span className="shrink-0 font-normal text-(--wr-soft)">
              <When time={letter.receivedAt} />
            </span>
          </span>
          <span className="block truncate">{matterOf(letter)}</span>
          <span className="block truncate font-normal text-(--wr-soft)">
            {letter.beginning || "(no words)"}
          </span>
        </Link>
      ))}
      <MoreLetters letters={letters}>older: look for words in them</MoreLetters>
    </>
  );
}
