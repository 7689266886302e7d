/**
 * Pieces: what of a design is looked for as one. A picture is one; a text is several, of about a word or two, since it may
 * be broken into lines elsewhere; of a border or a filled cell it is each side.
 */
import { append } from "../values";
import { around, inLines, type Box, type DrawnWord } from "../layout";
import type { DrawnDesign, WordedPart } from "./design";

export interface Piece {
  /** The part that it is of. */
  readonly part: number;
  readonly kind: "words" | "picture" | "across" | "down";
  /** px of the design. */
  readonly box: Box;
  /** Which words of the part it is; none of pictures and sides. */
  readonly words: readonly number[];
}

/** Narrower than this, words look like too many others; px. */
const tellingWidth = 36;

/** What is drawn at a side of a box and a little beyond it; px, each way. */
const sideReach = 4;

/** Words of each line together until they are wide enough to tell; what is left over at its end joins those before. */
function runsOf(words: readonly DrawnWord[]): readonly (readonly number[])[] {
  const numbered = words.map((word, index) => ({ ...word, index }));
  const widthOf = (run: typeof numbered): number => around(run).width;
  return inLines(numbered).flatMap((line) => {
    const runs: (typeof numbered)[] = [];
    for (const word of line) {
      const last = runs.at(-1);
      if (last && widthOf(last) < tellingWidth) last.push(word);
      else runs.push([word]);
    }
    const rest = runs.at(-1);
    if (rest && runs.length > 1 && widthOf(rest) < tellingWidth / 2) {
      runs.pop();
      append(runs.at(-1) ?? [], rest);
    }
    return runs.map((run) => run.map(({ index }) => index));
  });
}

function sidesOf({ left, top, width, height }: Box): readonly Pick<Piece, "kind" | "box">[] {
  const thick = 2 * sideReach;
  const across = (y: number) => ({
    kind: "across" as const,
    box: { left, top: y - sideReach, width, height: thick },
  });
  const down = (x: number) => ({
    kind: "down" as const,
    box: { left: x - sideReach, top, width: thick, height },
  });
  return [across(top), across(top + height), down(left), down(left + width)];
}

const piecesOfPart = (part: WordedPart, index: number): readonly Piece[] => {
  if (part.kind === "box") return sidesOf(part).map((side) => ({ ...side, part: index, words: [] }));
  if (part.kind === "picture") return [{ part: index, kind: "picture", box: part, words: [] }];
  return runsOf(part.words).map((run) => ({
    part: index,
    kind: "words",
    box: around(run.map((word) => part.words[word]!)),
    words: run,
  }));
};

export const piecesOf = ({ parts }: DrawnDesign): readonly Piece[] => parts.flatMap(piecesOfPart);

/** Whether a piece can be told from others wherever it stands. */
export const isTelling = ({ kind, box }: Piece): boolean =>
  kind === "picture" ? box.width * box.height >= 100 : kind === "words" && box.width >= tellingWidth / 2;
