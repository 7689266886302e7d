import { closeHistory } from "prosemirror-history";
import type { Node } from "prosemirror-model";
import type { Transaction } from "prosemirror-state";

/**
 * Puts another document in place of this one, so that undo brings this one back: a step of its own, however shortly
 * after the last letter that was typed.
 */
export function replaceDocument(tr: Transaction, document: Node): Transaction {
  closeHistory(tr);
  tr.replaceWith(0, tr.doc.content.size, document.content);
  for (const [name, value] of Object.entries(document.attrs)) tr.setDocAttribute(name, value);
  return tr;
}
