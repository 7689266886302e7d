/** What two engines draw of one signature, held against each other. Lengths in px. */
import type { Box, Measured } from "./measure-page";

/** Rounding of glyphs and borders; more is said. */
export const within = 1;

export interface Apart {
  /** The greatest distance of any edge of a cell, word or picture. */
  readonly most: number;
  /** What it is of: "word Harrow", "cell 3". */
  readonly what: string;
  /** Whether a word stands in another line. */
  readonly wraps: boolean;
}

const distance = (one: Box, other: Box): number =>
  Math.max(...one.map((edge, index) => Math.abs(edge - (other[index] ?? 0))));

/**
 * Words that begin a line: their tops differ from the word before by half their height or more. A word's own height is not
 * compared: how high the box of a word is, is the engine's own, and nothing that is drawn.
 */
const startsOf = ({ words }: Measured): readonly boolean[] =>
  words.map(({ box }, index) => {
    const before = words[index - 1]?.box;
    return !before || Math.abs(middle(box) - middle(before)) > (box[3] - box[1]) / 2;
  });

const middle = (box: Box): number => (box[1] + box[3]) / 2;

/** Left, right and middle of a word: what a reader sees of where it stands. */
const seenOf = (box: Box): Box => [box[0], middle(box), box[2], middle(box)];

/** How many letters of its line stand before the end of each word. */
function lettersBefore({ words }: Measured, starts: readonly boolean[]): readonly number[] {
  let letters = 0;
  return words.map(({ word }, index) => (letters = (starts[index] ? 0 : letters + 1) + word.length));
}

/** `wholeLetters` says that the other engine sets letters on whole px. */
export function apart(one: Measured, other: Measured, wholeLetters = false): Apart {
  let worst: Omit<Apart, "wraps"> = { most: 0, what: "" };
  const hold = (what: string, own: Box, its: Box | undefined, allowed = 0): void => {
    const most = its ? Math.max(0, distance(own, its) - allowed) : Infinity;
    if (most > worst.most) worst = { most, what };
  };
  const [own, its] = [startsOf(one), startsOf(other)];
  const letters = lettersBefore(one, own);
  one.cells.forEach((box, index) => hold(`cell ${index + 1}`, box, other.cells[index]));
  one.pictures.forEach((box, index) => hold(`picture ${index + 1}`, box, other.pictures[index]));
  one.words.forEach(({ word, box }, index) => {
    const found = other.words[index]?.box;
    const allowed = wholeLetters ? (letters[index] ?? 0) / 2 : 0;
    hold(`“${word}”`, seenOf(box), found && seenOf(found), allowed);
  });
  return { ...worst, wraps: own.some((starts, index) => starts !== its[index]) };
}
