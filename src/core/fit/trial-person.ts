/** Whom to try a layout with: details that are long or short, in other letters, or written from right to left. */
import type { Node } from "prosemirror-model";
import type { Person } from "../people";
import { longestPerson, shortestPerson } from "./longest-person";

export type Trial = "longest" | "shortest" | "other-letters" | "right-to-left";

/** Scripts that are written from right to left, of those that names of mail are likely to have (Unicode 15, UAX 9). */
const rightToLeft = /[\p{Script=Arabic}\p{Script=Hebrew}\p{Script=Syriac}\p{Script=Thaana}\p{Script=Nko}]/u;
const otherThanLatin = /(?!\p{Script=Latin})\p{Letter}/u;

/** The first of some people to try a signature with in a way; null where there is none. */
export function trialPerson<P extends { readonly person: Person }>(
  trial: Trial,
  document: Node,
  people: readonly P[],
): P | null {
  const named = people.filter(({ person }) => person.name.trim() !== "");
  switch (trial) {
    case "longest":
      return longestPerson(document, named);
    case "shortest":
      return shortestPerson(document, named);
    case "right-to-left":
      return named.find(({ person }) => rightToLeft.test(person.name)) ?? null;
    case "other-letters":
      return (
        named.find(({ person }) => otherThanLatin.test(person.name) && !rightToLeft.test(person.name)) ?? null
      );
  }
}
