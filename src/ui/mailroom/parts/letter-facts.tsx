"use client";

/** What there is to a letter beside its text: files that came with it, its talk, and how it came. */
import Link from "next/link";
import { useState } from "react";
import { addressOf, endpoints, partAddress, type Desk, type OpenedLetter } from "@/contract";
import { notification } from "@/core/clients";
import { deskClients } from "@/core/desks";
import type { Left } from "@/core/mailroom";
import { ask } from "../../parts/asking/ask";
import { useAttempt } from "../../parts/asking/use-attempt";
import { formatBytes } from "../../parts/format";
import { LetterView } from "./letter-view";
import { LetterLinks } from "./letter-links";
import { pathsOf } from "./letter-paths";
import { When } from "./when";

interface Props {
  readonly desk: Desk;
  readonly letter: OpenedLetter;
}

/** The files that came with a letter; those that it shows where they stand are named as such. */
function LetterParts({ desk, letter }: Props) {
  if (letter.parts.length === 0) return null;
  return (
    <ul aria-label="Files that came with it" className="mt-3 flex flex-wrap gap-x-5 gap-y-1 text-sm">
      {letter.parts.map(({ id, name, type, weight: bytes, shown }) => (
        <li key={id}>
          <a
            href={partAddress(desk.person.id, letter.id, id)}
            target="_blank"
            rel="noreferrer"
            className="underline"
          >
            {name || type}
          </a>{" "}
          {formatBytes(bytes)}
          {shown ? "" : ", attached"}
        </li>
      ))}
    </ul>
  );
}

/** What is left of a signature, in words; of what it never had nothing is said. */
const leftSaid = ({ words, links, pictures, looks }: Left): string =>
  Object.entries({ words, links, pictures, looks })
    .filter(([, [, of]]) => of > 0)
    .map(([what, [kept, of]]) => (kept === of ? `all ${what}` : `${kept} of ${of} ${what}`))
    .join(", ");

interface TalkProps extends Props {
  /** Whether all letters of the talk stand on this page. */
  readonly whole: boolean;
  readonly busy: boolean;
  readonly onWhole: () => void;
}

/** The other letters of the same talk, and the way to all of them on one page. */
function LetterTalk({ desk, letter, whole, busy, onWhole }: TalkProps) {
  if (letter.talk.length < 2) return null;
  return (
    <nav aria-label="Letters of this talk" className="mt-3 text-sm">
      <ol className="flex flex-wrap gap-x-5 gap-y-1">
        {letter.talk.map(({ id, from, receivedAt }, index) => (
          <li key={id}>
            <Link
              href={pathsOf(desk).letter(id)}
              prefetch={false}
              aria-current={id === letter.id ? "page" : undefined}
              className="underline aria-[current=page]:font-semibold aria-[current=page]:no-underline"
            >
              {index + 1}. {from.name || from.address}, <When time={receivedAt} />
            </Link>
          </li>
        ))}
        <li>
          <button type="button" className="underline" aria-pressed={whole} disabled={busy} onClick={onWhole}>
            {whole ? "this letter only" : "the whole talk on one page"}
          </button>
        </li>
      </ol>
      {letter.left && (
        <p className="mt-1">
          Of the signature in the first one are left here: {leftSaid(letter.left)}. It stands here{" "}
          {letter.left.stands === 1 ? "once" : `${letter.left.stands} times`}.
        </p>
      )}
    </nav>
  );
}

/** What a phone or a desktop says of the letter when it comes. */
function Notification({ letter }: { letter: OpenedLetter }) {
  return (
    <p className="mt-4 text-sm">
      As a notification: <b>{letter.from.name || letter.from.address}</b>, {letter.subject || "(no subject)"}.{" "}
      {notification(letter.text || letter.beginning)}
    </p>
  );
}

/** The letter as it came, to read and to take along. */
function LetterWire({ desk, letter }: Props) {
  return (
    <>
      <LetterLinks letter={letter} standIn={deskClients[desk.client].standIn} />
      <Notification letter={letter} />
      <details className="mt-3 text-sm">
        <summary className="cursor-pointer">The letter as it came over the wire</summary>
        <p className="mt-2">
          <a
            href={addressOf(endpoints.downloadLetter, { person: desk.person.id, letter: letter.id })}
            className="underline"
          >
            Take it along as a file
          </a>
          {letter.writtenWith && <>, written with {letter.writtenWith}</>}
        </p>
        <pre
          className="mt-2 max-h-80 overflow-auto whitespace-pre-wrap font-mono text-xs [overflow-wrap:anywhere]"
          tabIndex={0}
        >
          {letter.raw}
        </pre>
      </details>
    </>
  );
}

/** All of a letter that is open but its head: its talk, what cannot be read, itself, and what came with it. `width` in px. */
export function LetterBody({
  desk,
  letter,
  base,
  width,
}: Props & { readonly base: string; readonly width: number }) {
  const [talk, setTalk] = useState<readonly OpenedLetter[] | null>(null);
  const { busy, problem, attempt } = useAttempt();
  const readAll = async (): Promise<void> => {
    const person = desk.person.id;
    const open = (id: string): Promise<OpenedLetter> =>
      id === letter.id
        ? Promise.resolve(letter)
        : ask(endpoints.openLetter, { params: { person, letter: id } });
    setTalk(await Promise.all(letter.talk.map(({ id }) => open(id))));
  };
  return (
    <>
      <LetterTalk
        desk={desk}
        letter={letter}
        whole={talk !== null}
        busy={busy}
        onWhole={() => (talk ? setTalk(null) : void attempt(readAll))}
      />
      {[problem, letter.problem].map(
        (said) =>
          said && (
            <p key={said} role="note" className="mt-3 text-(--desk-wrong)">
              {said}
            </p>
          ),
      )}
      <div className="desk-letter mt-3">
        <LetterView desk={desk} letters={talk ?? [letter]} base={base} width={width} />
      </div>
      <LetterParts desk={desk} letter={letter} />
      <LetterWire desk={desk} letter={letter} />
    </>
  );
}
