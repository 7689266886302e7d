/** A line broken into as many as the room takes, word by word, as browsers do (CSS Text 3, section 5); px. */
import { breaksBetween } from "./breaks-between";
import type { DrawnLine } from "./drawn-lines";

export interface BrokenInto {
  /** How many lines it takes. */
  readonly lines: number;
  /** By how much its widest word sticks out; 0 where all have room. */
  readonly over: number;
}

/** Browsers lay out in 64ths of a px, and round up. */
const unit = 1 / 64;

/** What stands between two places at which a line may be broken. */
interface Unbroken {
  readonly start: number;
  /** Without the spaces behind it, which hang over the edge. */
  readonly end: number;
}

function unbrokenIn({ pieces }: DrawnLine): readonly Unbroken[] {
  const found: Unbroken[] = [];
  let [start, end, at] = [0, 0, 0];
  let before = "";
  for (const { text, upTo } of pieces) {
    let length = 0;
    for (const letter of text) {
      if (before !== "" && breaksBetween(before, letter)) {
        const here = at + upTo(length);
        if (end > start) found.push({ start, end });
        start = here;
        end = here;
      }
      length += letter.length;
      if (!/^[ \t\u200b]$/.test(letter)) end = at + upTo(length);
      before = letter;
    }
    at += upTo(text.length);
  }
  if (end > start) found.push({ start, end });
  return found;
}

export function breakLine(line: DrawnLine, room: number): BrokenInto {
  let lines = 1;
  let begun = 0;
  let over = 0;
  for (const [index, { start, end }] of unbrokenIn(line).entries()) {
    if (index > 0 && end - begun > room + unit) {
      lines += 1;
      begun = start;
    }
    over = Math.max(over, end - start - room);
  }
  return { lines, over: over > unit ? over : 0 };
}
