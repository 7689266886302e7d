/** For how many the details fit, and whose strain a signature most: what is told while it is built. */
import type { Node } from "prosemirror-model";
import type { Person } from "../people";
import { fitOf, type TightLine } from "./fit-of";
import { worstFirst } from "./strain";

export interface Strained<P> {
  readonly who: P;
  /** Their lines that wrap or stick out, in document order; at least one. */
  readonly tight: readonly TightLine[];
}

export interface WhoFits<P> {
  readonly all: number;
  readonly fitting: number;
  /** Those whose details do not fit, worst first; at most so many. */
  readonly worst: readonly Strained<P>[];
}

/** Of `people`, for whom a signature fits. Of those for whom it does not, the worst `most` are named. */
export function whoFits<P extends { readonly person: Person }>(
  document: Node,
  people: readonly P[],
  most: number,
): WhoFits<P> {
  const strained = people
    .map((who) => ({ who, fit: fitOf(document, who.person) }))
    .filter(({ fit }) => fit.tight.length > 0)
    .sort((one, other) => worstFirst(one.fit, other.fit));
  return {
    all: people.length,
    fitting: people.length - strained.length,
    worst: strained.slice(0, most).map(({ who, fit: { tight } }) => ({ who, tight })),
  };
}
