/** Words found in a source, and put in place of each other: with each place shown before anything is done. */
import type { Extent } from "../html";
import { wholeWordAt } from "../values";

export interface Match extends Extent {
  /** From 1. */
  readonly line: number;
  /** What stands around it on its line. */
  readonly before: string;
  readonly after: string;
}

export interface FindOptions {
  readonly matchCase: boolean;
  /** Whether letters and digits may not touch what is found. */
  readonly wholeWords: boolean;
}

/** So much of a line is shown on either side. */
const around = 36;

/** More are not listed. */
export const mostMatches = 1000;

const lowered = (text: string): string =>
  // Letters whose small form is longer would move all places behind them.
  [...text]
    .map((letter) => (letter.toLowerCase().length === letter.length ? letter.toLowerCase() : letter))
    .join("");

/** Every place of what is sought, in order, none within another. */
export function findInSource(text: string, sought: string, options: FindOptions): readonly Match[] {
  if (sought === "") return [];
  const [where, what] = options.matchCase ? [text, sought] : [lowered(text), lowered(sought)];
  const matches: Match[] = [];
  let line = 1;
  let counted = 0;
  for (let from = where.indexOf(what); from >= 0 && matches.length < mostMatches;) {
    const to = from + what.length;
    if (options.wholeWords && !wholeWordAt(text, from, to)) {
      from = where.indexOf(what, from + 1);
      continue;
    }
    for (; counted < from; counted++) if (text[counted] === "\n") line += 1;
    const start = Math.max(text.lastIndexOf("\n", from - 1) + 1, from - around);
    const next = text.indexOf("\n", to);
    const end = Math.min(next < 0 ? text.length : next, to + around);
    matches.push({ from, to, line, before: text.slice(start, from).trimStart(), after: text.slice(to, end) });
    from = where.indexOf(what, to);
  }
  return matches;
}
