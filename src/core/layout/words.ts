/** Words as they are drawn, and the lines that they stand in. */
import type { Box } from "./box";

export interface DrawnWord extends Box {
  readonly text: string;
}

/**
 * Words in the order in which they are read, line by line: a word stands in a line where its middle is within half of its
 * height of the middle of the word that the line begins with.
 */
export function inLines<W extends DrawnWord>(words: readonly W[]): readonly (readonly W[])[] {
  const lines: W[][] = [];
  const middle = ({ top, height }: Box): number => top + height / 2;
  for (const word of words) {
    const line = lines.at(-1);
    const first = line?.[0];
    if (line && first && Math.abs(middle(first) - middle(word)) < word.height / 2) line.push(word);
    else lines.push([word]);
  }
  return lines;
}

/** What stands in each line. */
export const linesOf = (words: readonly DrawnWord[]): readonly string[] =>
  inLines(words).map((line) => line.map(({ text }) => text).join(" "));
