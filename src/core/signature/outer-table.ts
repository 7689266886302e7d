/** The one table that a document holds. */
import type { Node } from "prosemirror-model";

/** Throws a TypeError for what is no document: the schema lets none be without its table. */
export function outerTable(document: Node): Node {
  const table = document.firstChild;
  if (table?.type.name !== "table") throw new TypeError(`A ${document.type.name} is no signature`);
  return table;
}

/** The node that begins at a position. Throws a RangeError where none does. */
export function nodeAt(document: Node, position: number): Node {
  const node = document.nodeAt(position);
  if (!node) throw new RangeError(`Nothing begins at position ${position}`);
  return node;
}
