"use client";

/** What can be done with a letter that is open; each client has its own words for it. */
import Link from "next/link";
import { useRouter } from "next/navigation";
import type { Desk, OpenedLetter } from "@/contract";
import { pathsOf } from "./letter-paths";
import { useThrowing } from "./use-throwing";

interface Props {
  readonly desk: Desk;
  readonly letter: OpenedLetter;
}

export type LetterAction = "answer" | "answerAll" | "handOn" | "throwAway" | "takeBack";

interface Doing {
  readonly action: LetterAction;
  /** Where it leads; null where it is done at once. */
  readonly href: string | null;
  readonly run: () => void;
}

export function useLetterActions({ desk, letter }: Props): readonly Doing[] {
  const router = useRouter();
  const paths = pathsOf(desk);
  const { throwAway, takeBack } = useThrowing(desk);
  const going = (action: LetterAction, href: string): Doing => ({
    action,
    href,
    run: () => router.push(href),
  });
  const several = letter.to.length + letter.cc.length > 1;
  return [
    going("answer", paths.answer(letter.id)),
    ...(several ? [going("answerAll", paths.answer(letter.id, true))] : []),
    going("handOn", paths.handOn(letter.id)),
    letter.thrown
      ? { action: "takeBack", href: null, run: () => void takeBack(letter.id) }
      : { action: "throwAway", href: null, run: () => void throwAway(letter.id) },
  ];
}

interface ActionsProps extends Props {
  readonly label: string;
  readonly words: Readonly<Record<LetterAction, string>>;
  /** The way back to the list, in the client's words, and whether it stands first or last. */
  readonly back?: string;
  readonly backStands?: "first" | "last";
  readonly className: string;
  readonly look: string;
}

export function LetterActions({
  desk,
  letter,
  label,
  words,
  back,
  backStands = "first",
  className,
  look,
}: ActionsProps) {
  const actions = useLetterActions({ desk, letter });
  const list = back !== undefined && (
    <Link
      href={pathsOf(desk).letters(letter.thrown ? "thrown" : letter.box)}
      className={`${look} ${backStands === "last" ? "ml-auto" : ""}`}
    >
      {back}
    </Link>
  );
  return (
    <nav aria-label={label} className={className}>
      {backStands === "first" && list}
      {actions.map(({ action, href, run }) =>
        href === null ? (
          <button key={action} type="button" className={look} onClick={run}>
            {words[action]}
          </button>
        ) : (
          <Link key={action} href={href} className={look}>
            {words[action]}
          </Link>
        ),
      )}
      {backStands === "last" && list}
    </nav>
  );
}
