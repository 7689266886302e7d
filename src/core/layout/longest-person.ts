/** Whose details strain a layout most. */
import { largest, smallest } from "../values";
import type { Node } from "prosemirror-model";
import { compile } from "../compile";
import type { Person } from "../people";

/** Any address will do: the text of a signature does not hold it. */
const base = "https://pictures.example";

/** Characters of the longest line that a signature has for a person. */
function longestLine(document: Node, person: Person): number {
  const text = compile(document, { destination: "plain-text", person, base });
  return largest(
    text.split("\n").map((line) => [...line].length),
    0,
  );
}

/**
 * The one of some people for whom the signature has its longest line, the first of equals; null when there is
 * nobody, or when the signature shows nothing of a person.
 */
export function longestPerson<P extends { readonly person: Person }>(
  document: Node,
  people: readonly P[],
): P | null {
  let found: P | null = null;
  let longest = 0;
  const lengths = people.map(({ person }) => longestLine(document, person));
  if (new Set(lengths).size <= 1 && people.length > 1) return null;
  people.forEach((candidate, index) => {
    const length = lengths[index] ?? 0;
    if (length > longest) [found, longest] = [candidate, length];
  });
  return found;
}

/** The one for whom the signature has its shortest longest line, the first of equals; null as for the longest. */
export function shortestPerson<P extends { readonly person: Person }>(
  document: Node,
  people: readonly P[],
): P | null {
  const lengths = people.map(({ person }) => longestLine(document, person));
  if (new Set(lengths).size <= 1 && people.length > 1) return null;
  return people[lengths.indexOf(smallest(lengths))] ?? null;
}
