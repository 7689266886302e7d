/** Whose details strain a layout most: whose widest line is widest in the signature's own fonts. */
import type { Node } from "prosemirror-model";
import type { Person } from "../people";
import { largest, smallest } from "../values";
import { drawnLines, widthOf } from "./drawn-lines";

/** px. */
const widestLine = (document: Node, person: Person): number =>
  largest(drawnLines(document, person).map(widthOf), 0);

/** The first of some people whose widest line is as a choice of all those widths; null where none differs from another. */
function choose<P extends { readonly person: Person }>(
  document: Node,
  people: readonly P[],
  choice: (widths: readonly number[]) => number,
): P | null {
  const widths = people.map(({ person }) => widestLine(document, person));
  if (new Set(widths).size <= 1 && people.length > 1) return null;
  return people[widths.indexOf(choice(widths))] ?? null;
}

/**
 * The one of some people for whom the signature has its widest line, the first of equals; null when there is
 * nobody, or when the signature shows nothing of a person.
 */
export const longestPerson = <P extends { readonly person: Person }>(
  document: Node,
  people: readonly P[],
): P | null => choose(document, people, (widths) => largest(widths, 0));

/** The one for whom the signature's widest line is narrowest, the first of equals; null as for the longest. */
export const shortestPerson = <P extends { readonly person: Person }>(
  document: Node,
  people: readonly P[],
): P | null => choose(document, people, smallest);
