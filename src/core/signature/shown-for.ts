/** Rows and parts that are for some only: whom each is for, and where in a document those stand that somebody does not see. */
import type { Node } from "prosemirror-model";
import { meets, type Person } from "../people";
import { part } from "./kind";
import { someInside } from "./some-inside";

/** Whether a row or part is for others; nothing is hidden from nobody. */
export function isHiddenFrom(node: Node, person: Person | null): boolean {
  if (!person || !part.is(node)) return false;
  const { shownFor } = part.of(node);
  return shownFor !== null && !meets(person, shownFor);
}

/** Whether a row or part is for some only. */
export const isForSome = (node: Node): boolean => part.is(node) && part.of(node).shownFor !== null;

/** Whether anything in a node is for some only. */
export const hasPartsForSome = someInside(isForSome);

/** A stretch of positions of a document. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** Where in a document the rows and parts stand that somebody does not see, outermost ones only. */
export function hiddenFrom(document: Node, person: Person | null): readonly Stretch[] {
  if (!person || !hasPartsForSome(document)) return [];
  const found: Stretch[] = [];
  document.descendants((node, position) => {
    if (isHiddenFrom(node, person)) {
      found.push({ from: position, to: position + node.nodeSize });
      return false;
    }
    return hasPartsForSome(node);
  });
  return found;
}
