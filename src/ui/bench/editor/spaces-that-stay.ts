/** Runs of spaces are kept in the document as they are sent: all but the last of a run are spaces that stay. */
import type { Node } from "prosemirror-model";
import { Plugin, type Transaction } from "prosemirror-state";
import { keptSpaces } from "@/core/signature";

/** Puts one character in the place of another, so that the caret and what is selected stay. */
function keepSpacesOf(line: Node, position: number, tr: Transaction): void {
  let at = position + 1;
  keptSpaces(line.children).forEach((kept, index) => {
    const [before = "", after = ""] = [line.child(index).text, kept.text];
    // Positions count UTF-16 code units, as the two texts do, which are equally long.
    for (let offset = 0; offset < after.length; offset++)
      if (before[offset] !== after[offset]) tr.insertText(after.charAt(offset), at + offset, at + offset + 1);
    at += kept.nodeSize;
  });
}

export const spacesThatStay = new Plugin({
  appendTransaction(_transactions, before, { doc, tr }) {
    const start = before.doc.content.findDiffStart(doc.content);
    const end = before.doc.content.findDiffEnd(doc.content);
    if (start === null || !end) return null;
    // What follows or comes before in a line counts as well, so the whole lines that changed are looked at.
    doc.nodesBetween(
      Math.min(start, end.b),
      Math.min(doc.content.size, Math.max(start, end.b) + 1),
      (node, position) => {
        if (node.isTextblock) keepSpacesOf(node, position, tr);
        return !node.isTextblock;
      },
    );
    return tr.docChanged ? tr : null;
  },
});
