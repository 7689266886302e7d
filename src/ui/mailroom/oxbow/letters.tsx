"use client";

/** Oxbow: letters by number, or one of them. */
import Link from "next/link";
import { useRouter } from "next/navigation";
import { LetterParts, LetterTalk, LetterWire } from "../parts/letter-facts";
import { pathsOf } from "../parts/letter-paths";
import { LetterView } from "../parts/letter-view";
import type { LettersProps } from "../parts/rooms";
import { useThrowing } from "../parts/use-throwing";
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

export function OxbowLetters({ desk, letters, box, search, drafts, open, base }: LettersProps) {
  const router = useRouter();
  const paths = pathsOf(desk);
  const places = usePlaces(desk);
  const { throwAway, takeBack } = useThrowing(desk);
  const go = (path: string) => () => router.push(path);

  if (open) {
    const words: readonly Word[] = [
      { word: "answer", says: "write to who wrote it", run: go(paths.answer(open.id)) },
      { word: "answer all", says: "write to everybody in it", run: go(paths.answer(open.id, true)) },
      { word: "forward", says: "send it to somebody else", run: go(paths.handOn(open.id)) },
      open.thrown
        ? { word: "restore", says: "out of the bin again", run: () => takeBack(open.id) }
        : { word: "throw", says: "into the bin", run: () => throwAway(open.id) },
      ...places,
    ];
    return (
      <>
        <article>
          <h1 className="text-lg font-bold [overflow-wrap:anywhere]">{open.subject || "(no subject)"}</h1>
          <p className="text-(--ox-soft) [overflow-wrap:anywhere]">
            {open.from.name || open.from.address} to {open.recipients}, <When time={open.receivedAt} whole />
          </p>
          <LetterTalk desk={desk} letter={open} />
          {open.problem && (
            <p role="note" className="text-(--ox-wrong)">
              {open.problem}
            </p>
          )}
          <div className="mt-3">
            <LetterView desk={desk} letter={open} base={base} width={640} />
          </div>
          <LetterParts desk={desk} letter={open} />
          <LetterWire desk={desk} letter={open} />
        </article>
        <OxbowWords words={words} />
      </>
    );
  }
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
        {letters.letters.map(({ id, from, recipients, subject, receivedAt, read }, index) => (
          <li key={id} className={`flex gap-3 ${read ? "" : "font-bold"}`}>
            <span className="w-8 shrink-0 text-right text-(--ox-soft)">{index + 1}</span>
            <Link href={paths.letter(id)} prefetch={false} className="min-w-0 flex-1 truncate">
              {subject || "(no subject)"},{" "}
              {box === "sent" ? recipients : from.name || from.address || "(nobody)"}
            </Link>
            <span className="shrink-0 text-(--ox-soft)">
              <When time={receivedAt} />
            </span>
          </li>
        ))}
      </ol>
      {box === "in" && drafts.length > 0 && (
        <>
          <h2 className="mt-5 font-bold">Begun</h2>
          <ul>
            {drafts.map(({ id, subject }) => (
              <li key={id}>
                <Link href={paths.draft(id)}>{subject || "(no subject)"}</Link>
              </li>
            ))}
          </ul>
        </>
      )}
      {letters.more > 0 && (
        <p className="mt-3 text-(--ox-soft)">
          {letters.more.toLocaleString("en")} older ones are not listed: find them by words.
        </p>
      )}
      <OxbowWords words={words} />
    </>
  );
}
