/**
 * Which children of one node are those of another: the same ones first, then those of one kind that are most alike.
 * Places are indexes among the children.
 */
import type { Node } from "prosemirror-model";

/** A child of the old node and what it became; null on one side for what went or came. */
export interface Pair {
  readonly before: number | null;
  readonly after: number | null;
}

/** More children than this on both sides are aligned by their equal ends only, so that cost stays linear. */
const mostAligned = 400;

/** What an equal pair is worth: more than any two that were changed. */
const equal = 10;

/** How alike two nodes of one kind are, from 0 to 1: how much of their text begins and ends alike. */
function likeness(one: Node, other: Node): number {
  const [a, b] = [one.textContent, other.textContent];
  const shorter = Math.min(a.length, b.length);
  const longer = Math.max(a.length, b.length);
  if (longer === 0) return 0.5;
  let start = 0;
  while (start < shorter && a[start] === b[start]) start++;
  let end = 0;
  while (end < shorter - start && a[a.length - 1 - end] === b[b.length - 1 - end]) end++;
  return (start + end) / longer;
}

/** What it is worth that one child became another; null where it cannot have. */
function worth(before: Node, after: Node): number | null {
  if (before.type !== after.type) return null;
  return before.eq(after) ? equal : 1 + 4 * likeness(before, after);
}

function middle(before: readonly Node[], after: readonly Node[], from: number): Pair[] {
  const [rows, columns] = [before.length, after.length];
  // best[i][j]: the most that children from i and from j on are worth together.
  const best = Array.from({ length: rows + 1 }, () => new Float64Array(columns + 1));
  const at = (row: number, column: number): number => best[row]?.[column] ?? 0;
  const worths = before.map((one) => after.map((other) => worth(one, other)));
  for (let row = rows - 1; row >= 0; row--)
    for (let column = columns - 1; column >= 0; column--) {
      const pair = worths[row]?.[column] ?? null;
      const together = pair === null ? -1 : pair + at(row + 1, column + 1);
      const line = best[row];
      if (line) line[column] = Math.max(together, at(row + 1, column), at(row, column + 1));
    }
  const pairs: Pair[] = [];
  let [row, column] = [0, 0];
  while (row < rows || column < columns) {
    const pair = worths[row]?.[column] ?? null;
    if (pair !== null && at(row, column) === pair + at(row + 1, column + 1))
      pairs.push({ before: from + row++, after: from + column++ });
    else if (row < rows && at(row, column) === at(row + 1, column))
      pairs.push({ before: from + row++, after: null });
    else pairs.push({ before: null, after: from + column++ });
  }
  return pairs;
}

/** The children of `before` and of `after` in order, each once, paired where one became the other. */
export function alignChildren(before: Node, after: Node): readonly Pair[] {
  const [old, current] = [before.children, after.children];
  const shorter = Math.min(old.length, current.length);
  let start = 0;
  while (start < shorter && old[start]?.eq(current[start] as Node)) start++;
  let end = 0;
  while (end < shorter - start && old.at(-1 - end)?.eq(current.at(-1 - end) as Node)) end++;
  const [oldMiddle, currentMiddle] = [
    old.slice(start, old.length - end),
    current.slice(start, current.length - end),
  ];
  const inTurn = (length: number, beforeFrom: number, afterFrom: number): Pair[] =>
    Array.from({ length }, (_, index) => ({ before: beforeFrom + index, after: afterFrom + index }));
  const between =
    oldMiddle.length * currentMiddle.length > mostAligned ** 2
      ? [
          ...oldMiddle.map((_, index): Pair => ({ before: start + index, after: null })),
          ...currentMiddle.map((_, index): Pair => ({ before: null, after: start + index })),
        ]
      : middle(oldMiddle, currentMiddle, start);
  return [...inTurn(start, 0, 0), ...between, ...inTurn(end, old.length - end, current.length - end)];
}
