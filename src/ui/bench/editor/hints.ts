/** What could go where, said in the empty cells of a signature that has nothing in it yet. */
import { Plugin } from "prosemirror-state";
import { Decoration, DecorationSet } from "prosemirror-view";
import { outerTable } from "@/core/signature";
import type { Node } from "prosemirror-model";

const hintFor = (column: number, columns: number): string =>
  columns > 1 && column === 0 ? "Photo or logo" : "Type a name, or put one in from the directory";

/** Whether all that a document holds is empty lines. */
function isBlank(document: Node): boolean {
  let blank = true;
  document.descendants((node) => {
    if (node.isInline || (node.isAtom && node.isBlock)) blank = false;
    return blank;
  });
  return blank;
}

export const hints = new Plugin({
  props: {
    decorations({ doc }) {
      if (!isBlank(doc)) return null;
      const found: Decoration[] = [];
      outerTable(doc).firstChild!.forEach((cell, offset, column) => {
        const line = cell.firstChild!;
        // The table, the row and the cell each open with one position.
        const from = 2 + offset + 1;
        const hint = hintFor(column, outerTable(doc).firstChild!.childCount);
        found.push(Decoration.node(from, from + line.nodeSize, { "data-hint": hint }));
      });
      return DecorationSet.create(doc, found);
    },
  },
});
