/** Saying where in a document something is: "row 2, cell 1, picture". */
import type { Node } from "prosemirror-model";
import { nodeKinds } from "./schema";

/** One step down from a node to its child, with the child's number where there are several. */
export const placeStep = (word: string, index: number, siblings: number): string =>
  siblings > 1 || word === "row" || word === "cell" ? `${word} ${index + 1}` : word;

/** The place of a position in a document, from the outer table down; "signature" for the whole. */
export function placeOf(document: Node, position: number): string {
  const resolved = document.resolve(position);
  const steps: string[] = [];
  for (let depth = 1; depth <= resolved.depth; depth++) {
    const node = resolved.node(depth);
    const kind = nodeKinds.get(node.type.name)!;
    if (depth === 1) continue;
    steps.push(placeStep(kind.word, resolved.index(depth - 1), resolved.node(depth - 1).childCount));
  }
  const after = resolved.nodeAfter;
  if (after && !after.isText && after.type.name !== "table")
    steps.push(placeStep(nodeKinds.get(after.type.name)!.word, resolved.index(), resolved.parent.childCount));
  return steps.join(", ") || "signature";
}
