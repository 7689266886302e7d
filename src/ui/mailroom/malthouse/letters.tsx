"use client";

/** Malthouse Mail: the list of letters, or one of them open. */
import Link from "next/link";
import type { LetterBox } from "@/contract";
import { LetterActions } from "../parts/letter-actions";
import { OpenLetter } from "../parts/open-letter";
import { LetterBoxes, matterOf, MoreLetters, SearchLetters, whoIn } from "../parts/letter-list";
import { pathsOf } from "../parts/letter-paths";
import type { LettersProps } from "../parts/rooms";
import { When } from "../parts/when";

const boxes: Readonly<Record<LetterBox, string>> = { in: "Come", sent: "Sent", thrown: "Thrown away" };

const empty: Readonly<Record<LetterBox, string>> = {
  in: "No letter has come yet. Sit at a colleague’s desk in the Mailroom and write one to this address.",
  sent: "Nothing was sent from here yet.",
  thrown: "Nothing was thrown away.",
};

const row = "flex items-baseline gap-4 rounded-lg px-2 py-2.5 hover:bg-(--mm-back)";

function List(props: LettersProps) {
  const { desk, letters, box, search, drafts } = props;
  const paths = pathsOf(desk);
  return (
    <>
      <div className="flex items-baseline gap-5">
        <h1 className="text-2xl font-bold">Letters</h1>
        <LetterBoxes
          desk={desk}
          box={box}
          label="Boxes"
          names={boxes}
          className="flex gap-4"
          look="text-(--mm-soft) underline aria-[current=page]:font-semibold aria-[current=page]:text-(--mm-ink) aria-[current=page]:no-underline"
        />
        <SearchLetters
          {...props}
          label="Look for words"
          shown="within"
          className="ml-auto"
          look="mm-field w-52"
        />
      </div>
      {box === "in" && drafts.length > 0 && (
        <ul aria-label="Letters that were begun" className="mt-3">
          {drafts.map((draft) => (
            <li key={draft.id} className="border-t border-(--mm-edge)">
              <Link href={paths.draft(draft.id)} className={row}>
                <span className="w-48 text-(--mm-act)">begun, not sent</span>
                <span className="min-w-0 flex-1 truncate">{matterOf(draft)}</span>
                <span className="text-xs text-(--mm-soft)">
                  <When time={draft.updatedAt} />
                </span>
              </Link>
            </li>
          ))}
        </ul>
      )}
      {letters.letters.length === 0 ? (
        <p className="mt-4 text-(--mm-soft)">{search ? `No letter has “${search}” in it.` : empty[box]}</p>
      ) : (
        <ul aria-label="Letters" className="mt-3">
          {letters.letters.map((letter) => (
            <li key={letter.id} className="border-t border-(--mm-edge)">
              <Link
                href={paths.letter(letter.id)}
                prefetch={false}
                className={`${row} ${letter.read ? "" : "font-semibold"}`}
              >
                <span className="w-48 shrink-0 truncate">{whoIn(box, letter)}</span>
                <span className="min-w-0 flex-1 truncate">
                  {matterOf(letter)} <span className="font-normal text-(--mm-soft)">{letter.beginning}</span>
                </span>
                <span className="text-xs text-(--mm-soft)">
                  <When time={letter.receivedAt} />
                </span>
              </Link>
            </li>
          ))}
        </ul>
      )}
      <MoreLetters letters={letters}>older ones are not shown: look for words that are in them.</MoreLetters>
    </>
  );
}

export function MalthouseLetters(props: LettersProps) {
  const { desk, open, base } = props;
  if (!open) return <List {...props} />;
  return (
    <article>
      <LetterActions
        desk={desk}
        letter={open}
        label="This letter"
        words={{
          answer: "Answer",
          answerAll: "Answer all of them",
          handOn: "Hand it on",
          throwAway: "Throw it away",
          takeBack: "Take it back",
        }}
        back="All letters"
        className="flex flex-wrap gap-5 text-sm"
        look="text-(--mm-act) underline"
      />
      <h1 className="mt-3 text-2xl font-bold [overflow-wrap:anywhere]">{matterOf(open)}</h1>
      <p className="mt-1 text-(--mm-soft) [overflow-wrap:anywhere]">
        From {open.from.name} &lt;{open.from.address}&gt; to {open.recipients},{" "}
        <When time={open.receivedAt} whole />
      </p>
      <OpenLetter desk={desk} letter={open} base={base} width={780} />
    </article>
  );
}
