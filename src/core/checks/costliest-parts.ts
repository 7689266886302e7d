/** Which parts of a signature cost most characters of HTML. */
import { Fragment, type Node } from "prosemirror-model";
import { compile } from "../compile";
import type { Person } from "../people";
import { build, outerTable, placeOf, tableMap } from "../signature";

export interface PartCost {
  readonly at: string;
  readonly characters: number;
}

/**
 * Each block of each cell of the outer table with the characters that the signature would have less without
 * it, costliest first.
 */
export function costliestParts(
  document: Node,
  options: { person: Person | null; base: string },
): readonly PartCost[] {
  const length = (block: Node): number => {
    const { width } = tableMap(outerTable(document));
    const alone = document.copy(Fragment.from(build.table(build.row(build.cell({ width: [width] }, block)))));
    return compile(alone, { destination: "webmail-paste", ...options }).length;
  };
  // A picture that is not chosen yet writes nothing, so this is the cell around a part and no more.
  const around = length(build.picturePlace(1, 1));
  const costs: PartCost[] = [];
  outerTable(document).descendants((node, offset) => {
    if (node.type.name === "row" || node.type.name === "cell") return true;
    costs.push({ at: placeOf(document, offset + 1), characters: Math.max(0, length(node) - around) });
    return false;
  });
  return costs.sort((one, other) => other.characters - one.characters);
}
