/** Which parts of a signature cost most characters of HTML. */
import type { Node } from "prosemirror-model";
import { compile } from "../compile";
import type { Person } from "../people";
import { placeOf, schema, tableMap } from "../signature";

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
    const cell = schema.nodes.cell!.create({ colwidth: [tableMap(document.firstChild!).width] }, block);
    const alone = document.copy(
      document.content.replaceChild(
        0,
        schema.nodes.table!.create(null, schema.nodes.row!.create(null, cell)),
      ),
    );
    return compile(alone, { destination: "webmail-paste", ...options }).length;
  };
  // A picture that is not chosen yet writes nothing, so this is the cell around a part and no more.
  const around = length(schema.nodes.picture!.create({ source: "", width: 1, height: 1 }));
  const costs: PartCost[] = [];
  document.firstChild!.descendants((node, offset) => {
    if (node.type.name === "row" || node.type.name === "cell") return true;
    costs.push({ at: placeOf(document, offset + 1), characters: Math.max(0, length(node) - around) });
    return false;
  });
  return costs.sort((one, other) => other.characters - one.characters);
}
