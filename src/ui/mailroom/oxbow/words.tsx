"use client";

/** Oxbow's bar at the foot: everything is reached by words that are typed there, or pressed where they are named above it. */
import { useState } from "react";

export interface Word {
  /** What is typed; the first of several words. */
  readonly word: string;
  /** What follows it, named; left out where nothing does. */
  readonly what?: string;
  readonly says: string;
  /** Answers with what is said of it; nothing where one goes elsewhere. */
  readonly run: (rest: string) => string | void | Promise<string | void>;
}

const sentence = (unknown: string, words: readonly Word[]): string =>
  `There is no word “${unknown}” here. These are: ${words.map(({ word }) => word).join(", ")}.`;

export function OxbowWords({ words, said: told = "" }: { words: readonly Word[]; said?: string }) {
  const [typed, setTyped] = useState("");
  const [said, setSaid] = useState("");
  const run = async (line: string): Promise<void> => {
    const trimmed = line.trim();
    if (trimmed === "") return;
    // The longest word that it begins with is meant.
    const found = [...words]
      .sort((one, other) => other.word.length - one.word.length)
      .find(({ word }) => `${trimmed.toLowerCase()} `.startsWith(`${word} `));
    setTyped("");
    if (!found) return setSaid(sentence(trimmed, words));
    const rest = trimmed.slice(found.word.length).trim();
    if (found.what && rest === "") {
      setTyped(`${found.word} `);
      return setSaid(`${found.word}, and then ${found.what}.`);
    }
    setSaid((await found.run(rest)) ?? "");
  };
  return (
    <div className="oxbow-foot">
      <p role="status" className="min-h-6 [overflow-wrap:anywhere]">
        {said || told}
      </p>
      <ul aria-label="Words" className="flex flex-wrap gap-x-4 text-sm">
        {words.map(({ word, what, says }) => (
          <li key={word}>
            <button type="button" className="oxbow-word" title={says} onClick={() => void run(word)}>
              {word}
              {what && <span className="text-(--ox-soft)"> {what}</span>}
            </button>
          </li>
        ))}
      </ul>
      <form
        className="mt-1 flex items-baseline gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void run(typed);
        }}
      >
        <span aria-hidden>›</span>
        <input
          aria-label="Type a word"
          className="oxbow-line"
          autoComplete="off"
          spellCheck={false}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
      </form>
    </div>
  );
}
