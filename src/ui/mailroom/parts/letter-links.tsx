"use client";

/** The links and pictures of a letter as the client shows it, and what answers at each. */
import { useMemo } from "react";
import type { OpenedLetter } from "@/contract";
import { received, type StandInId } from "@/core/clients";
import { destinationsIn } from "@/core/mailroom";
import { AnswerWords } from "../../parts/walking/answer-words";
import { useWalk } from "../../parts/walking/use-walk";

const nothing = {};
const isWeb = (address: string): boolean => /^https?:/i.test(address);

export function LetterLinks({ letter, standIn }: { letter: OpenedLetter; standIn: StandInId }) {
  const { html } = letter;
  const all = useMemo(
    () => (html === null ? [] : destinationsIn(received(html, standIn).html)),
    [html, standIn],
  );
  const walk = useWalk(nothing);
  if (all.length === 0) return null;
  const web = all.map(({ address }) => address).filter(isWeb);
  const unanswered = (address: string): string =>
    !isWeb(address) ? "opens by itself" : walk.waiting?.has(address) ? "is asked" : "not walked yet";
  return (
    <details className="mt-4 text-sm">
      <summary className="cursor-pointer">Its links and pictures, as they arrived</summary>
      <p className="my-2">
        {walk.waiting ? (
          <button type="button" className="underline" onClick={walk.stop}>
            Stop, with {walk.of - walk.waiting.size} of {walk.of} walked
          </button>
        ) : (
          <button
            type="button"
            className="underline"
            disabled={web.length === 0}
            onClick={() => void walk.start([...new Set(web)])}
          >
            Walk them
          </button>
        )}
      </p>
      <ul>
        {all.map(({ kind, says, address }) => {
          const answer = walk.answers[address];
          return (
            <li key={`${kind} ${address}`} className="flex flex-wrap items-baseline gap-x-3 py-0.5">
              <span>{kind === "link" ? says || "a link without words" : `picture ${says}`}</span>
              <span className="min-w-0 [overflow-wrap:anywhere]">{address}</span>
              <span className="ml-auto">
                {answer ? <AnswerWords answer={answer} /> : unanswered(address)}
              </span>
            </li>
          );
        })}
      </ul>
    </details>
  );
}
