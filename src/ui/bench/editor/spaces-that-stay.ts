/** Runs of spaces are kept in the document as they are sent: all but the last of a run are spaces that stay. */
import type { Node } from "prosemirror-model";
import { Plugin, type Transaction } from "prosemirror-state";
import { keptSpaces } from "@/core/signature";

/** Puts one character in the place of another, so that the caret and what is selected stay. */
function keepSpacesOf(line: Node, position: number, tr: Transaction): void {
  let at = position + 1;
  keptSpaces(line.children).forEach((kept, index) => {
    const before = line.child(index).text ?? "";
    [...(kept.text ?? "")].forEach((character, offset) => {
      if (before[offset] !== character) tr.insertText(character, at + offset, at + offset + 1);
    });
    at += kept.nodeSize;
  });
}

export const spacesThatStay = new Plugin({
  appendTransaction(transactions, _before, { doc, tr }) {
    if (!transactions.some(({ docChanged }) => docChanged)) return null;
    doc.descendants((node, position) => {
      if (node.isTextblock) keepSpacesOf(node, position, tr);
      return !node.isTextblock;
    });
    return tr.docChanged ? tr : null;
  },
});
