/**
 * What of a document somebody sees: parts that are for others are gone, their own pictures are in their places, and what stands empty for
 * that closes up: the width of a column that goes is given to the one beside it, so that the table is as wide as it was. Positions in that
 * are others than in the document; where a part is looked for, `isHiddenFrom` says whether it is there.
 */
import { Fragment, type Node } from "prosemirror-model";
import type { Person } from "../people";
import { picture } from "./kinds/picture";
import { emptyTable, tableWithout } from "./leave-out";
import { outerTable } from "./outer-table";
import { hasOwnPictures, withPicturesOf } from "./pictures-of-person";
import { hasPartsForSome, isHiddenFrom } from "./shown-for";

/** A place of somebody's own picture that is to close up. */
function isClosed(node: Node): boolean {
  if (!picture.is(node)) return false;
  const { field, without, source } = picture.of(node);
  return field !== null && without === "nothing" && source === "";
}

/** What is kept of nobody. */
const nobody = {};

const shown = new WeakMap<object, WeakMap<Node, Node>>();

/** The document as it is written for somebody; the very same one where all of it is for everybody. */
export function shownTo(document: Node, person: Person | null): Node {
  if (!hasOwnPictures(document) && !(person && hasPartsForSome(document))) return document;
  const ofPerson = shown.get(person ?? nobody) ?? new WeakMap<Node, Node>();
  shown.set(person ?? nobody, ofPerson);
  const before = ofPerson.get(document);
  if (before) return before;
  const settled = withPicturesOf(document, person);
  const table = outerTable(settled);
  const leaves = (node: Node): boolean => isClosed(node) || isHiddenFrom(node, person);
  const left = leaves(table) ? null : tableWithout(table, { leaves, keepsWidth: true });
  const made = left === table ? settled : settled.copy(Fragment.from(left ?? emptyTable(table)));
  ofPerson.set(document, made);
  return made;
}
