/** Which children of a document's node are those of the node that its HTML reads as. */
import type { Node } from "prosemirror-model";

/** How many pairs of children are tried against each other; more are told whole. */
const mostPairs = 40_000;

/** What it is worth, up to 2, that two children of one kind are one another though they differ; 0 where they cannot be. */
export type Worth = (own: Node, read: Node) => number;

/** The best list of pairs of children that could be one another, in order, equal ones before those of one kind. */
export function pairChildren(
  own: Node,
  read: Node,
  worth: Worth = () => 1,
): readonly (readonly [own: number, read: number])[] {
  const [rows, columns] = [own.childCount, read.childCount];
  if (rows * columns > mostPairs) return [];
  const score = (row: number, column: number): number => {
    const [one, other] = [own.child(row), read.child(column)];
    if (one.eq(other)) return 3;
    return !own.isTextblock && one.type === other.type ? worth(one, other) : 0;
  };
  const best = Array.from({ length: rows + 1 }, () => new Float64Array(columns + 1));
  for (let row = rows - 1; row >= 0; row--)
    for (let column = columns - 1; column >= 0; column--) {
      const here = score(row, column);
      const both = here > 0 ? here + (best[row + 1]?.[column + 1] ?? 0) : 0;
      const skipped = Math.max(best[row + 1]?.[column] ?? 0, best[row]?.[column + 1] ?? 0);
      const line = best[row];
      if (line) line[column] = Math.max(both, skipped);
    }
  const found: (readonly [number, number])[] = [];
  for (let row = 0, column = 0; row < rows && column < columns;) {
    const here = score(row, column);
    const value = best[row]?.[column] ?? 0;
    if (here > 0 && value === here + (best[row + 1]?.[column + 1] ?? 0)) found.push([row++, column++]);
    else if (value === (best[row + 1]?.[column] ?? 0)) row++;
    else column++;
  }
  return found;
}
