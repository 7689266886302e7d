/** A line broken into as many as the room takes, word by word, as browsers do (CSS Text 3, section 5); px. */
import { breakPlaces } from "../layout";
import type { DrawnLine, LinePiece } from "./drawn-lines";

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

/** A place in a line: so many UTF-16 units into a piece that begins at `from`. */
interface Spot {
  readonly from: number;
  readonly piece: LinePiece;
  readonly length: number;
}

const at = ({ from, piece, length }: Spot): number => from + piece.upTo(length);

/** Widths are measured where something ends, and not at every letter: that would grow with the square of the line. */
function unbrokenIn({ pieces }: DrawnLine): readonly Unbroken[] {
  const found: Unbroken[] = [];
  let from = 0;
  let start: Spot | null = null;
  let end: Spot | null = null;
  let place = 0;
  const places = new Set(breakPlaces(pieces.map(({ text }) => text).join("")));
  const close = (): void => {
    if (start && end) found.push({ start: at(start), end: at(end) });
    [start, end] = [null, null];
  };
  for (const piece of pieces) {
    let length = 0;
    for (const letter of piece.text) {
      if (places.has(place)) close();
      start ??= { from, piece, length };
      length += letter.length;
      if (!/^[ \t\u200b]$/.test(letter)) end = { from, piece, length };
      place += letter.length;
    }
    from += piece.upTo(piece.text.length);
  }
  close();
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
