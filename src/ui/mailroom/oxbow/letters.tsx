"use client";

/** Oxbow: letters by number, or one of them. */
import Link from "next/link";
import { useRouter } from "next/navigation";
import type { OpenedLetter } from "@/contract";
import { type LetterAction, useLetterActions } from "../parts/letter-actions";
import { OpenLetter } from "../parts/open-letter";
import { matterOf, MoreLetters, whoIn } from "../parts/letter-list";
import { pathsOf } from "../parts/letter-paths";
import type { LettersProps } from "../parts/rooms";
import { When } from "../parts/when";
import { OxbowWords, type Word } from "./words";

/** Words that are there wherever one is. */
export function usePlaces(desk: LettersProps["desk"]): readonly Word[] {
  const router = useRouter();
  const paths = pathsOf(desk);
  const go = (word: string, path: string, says: string): Word => ({
    word,
    says,
    run: () => router.push(path),
  });
  return [
    go("letters", paths.letters(), "the letters that came"),
    go("sent", paths.letters("sent"), "the letters that were sent"),
    go("bin", paths.letters("thrown"), "the letters that were thrown away"),
    go("new", paths.write, "a new letter"),
    go("signatures", paths.settings, "what stands under letters"),
  ];
}

/** The words for what can be done with a letter. */
const acting: Readonly<Record<LetterAction, readonly [word: string, says: string]>> = {
  answer: ["answer", "write to who wrote it"],
  answerAll: ["answer all", "write to everybody in it"],
  handOn: ["forward", "send it to somebody else"],
  throwAway: ["throw", "into the bin"],
  takeBack: ["restore", "out of the bin again"],
};

interface OpenProps extends Pick<LettersProps, "desk" | "base"> {
  readonly open: OpenedLetter;
  readonly places: readonly Word[];
}

function Open({ desk, open, base, places }: OpenProps) {
  const actions = useLetterActions({ desk, letter: open });
  return (
    <>
      <article>
        <h1 className="text-lg font-bold [overflow-wrap:anywhere]">{matterOf(open)}</h1>
        <p className="text-(--ox-soft) [overflow-wrap:anywhere]">
          {open.from.name || open.from.address} to {open.recipients}, <When time={open.receivedAt} whole />
        </p>
        <OpenLetter desk={desk} letter={open} base={base} width={640} />
      </article>
      <OxbowWords
        words={[
          ...actions.map(({ action, run }): Word => {
            const [word, says] = acting[action];
            return { word, says, run };
          }),
          ...places,
        ]}
      />
    </>
  );
}

export function OxbowLetters({ desk, letters, box, search, drafts, open, base }: LettersProps) {
  const router = useRouter();
  const paths = pathsOf(desk);
  const places = usePlaces(desk);

  if (open) return <Open desk={desk} open={open} base={base} places={places} />;
  const words: readonly Word[] = [
    {
      word: "open",
      what: "a number",
      says: "the letter of a number",
      run: (rest) => {
        const letter = letters.letters[Number(rest) - 1];
        return letter ? router.push(paths.letter(letter.id)) : `There is no letter ${rest} here.`;
      },
    },
    {
      word: "find",
      what: "words",
      says: "letters with words in them",
      run: (rest) => router.push(paths.letters(box, rest)),
    },
    ...places,
  ];
  return (
    <>
      <h1 className="text-lg font-bold">
        {box === "in" ? "Letters" : box === "sent" ? "Sent" : "In the bin"}
        {search && `, with “${search}”`}
      </h1>
      {letters.letters.length === 0 && <p className="mt-3 text-(--ox-soft)">None.</p>}
      <ol className="mt-3 list-none">
        {letters.letters.map((letter, index) => (
          <li key={letter.id} className={`flex gap-3 ${letter.read ? "" : "font-bold"}`}>
            <span className="w-8 shrink-0 text-right text-(--ox-soft)">{index + 1}</span>
            <Link href={paths.letter(letter.id)} prefetch={false} className="min-w-0 flex-1 truncate">
              {matterOf(letter)}, {whoIn(box, letter)}
            </Link>
            <span className="shrink-0 text-(--ox-soft)">
              <When time={letter.receivedAt} />
            </span>
          </li>
        ))}
      </ol>
      {box === "in" && drafts.length > 0 && (
        <>
          <h2 className="mt-5 font-bold">Begun</h2>
          <ul>
            {drafts.map((draft) => (
              <li key={draft.id}>
                <Link href={paths.draft(draft.id)}>{matterOf(draft)}</Link>
              </li>
            ))}
          </ul>
        </>
      )}
      <MoreLetters letters={letters}>older ones are not listed: find them by words.</MoreLetters>
      <OxbowWords words={words} />
    </>
  );
}
