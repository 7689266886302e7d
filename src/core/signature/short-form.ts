/** The short form of a signature: what a reply holds, once the rows and parts that it leaves out are gone. */
import { Fragment, type Node } from "prosemirror-model";
import { isLeftOut } from "./kind";
import { emptyTable, tableWithout, type LeavingOut } from "./leave-out";
import { outerTable } from "./outer-table";
import { someInside } from "./some-inside";

const cache = new WeakMap<Node, Node>();

const leavingOut: LeavingOut = { leaves: isLeftOut, keepsWidth: false };

/** Whether anything of a signature is left out of replies. */
export const hasShortForm = someInside(isLeftOut);

/**
 * The document that a reply holds: without the rows and parts that are marked, and without rows and columns
 * that this leaves empty. What comes to stand at an edge has the frame of what stood there. The very same document when
 * nothing is marked.
 */
export function shortForm(document: Node): Node {
  const known = cache.get(document);
  if (known) return known;
  const table = outerTable(document);
  const short = hasShortForm(document) ? (tableWithout(table, leavingOut) ?? emptyTable(table)) : table;
  const made = short === table ? document : document.copy(Fragment.from(short));
  cache.set(document, made);
  return made;
}
