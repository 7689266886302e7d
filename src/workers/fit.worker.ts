/**
 * Tries a signature with everybody of a directory beside the page, which stays usable while it does: first whose details fit and how large it
 * comes out for each, then what would make them fit, then in how many proofs it is still for them, those who strain it most first.
 */
import type { DirectoryPerson } from "@/contract";
import {
  designSizes,
  findFitMends,
  fitOf,
  stillFor,
  worstFirst,
  type Fit,
  type StillFor,
  type TightBlock,
} from "@/core/fit";
import type { KnownColors } from "@/core/layout";
import type { Person } from "@/core/people";
import type { Size } from "@/core/pictures";
import { parseSignature } from "@/core/signature";

export interface FitRequest {
  /** The document's JSON. */
  readonly document: unknown;
  readonly people: readonly DirectoryPerson[];
  /** The public address of pictures, and the colours of those that are known. */
  readonly base: string;
  readonly colors: KnownColors;
}

export interface PersonFit extends Fit {
  readonly id: string;
  readonly name: string;
  /** How large the signature comes out for them, as it is designed; px. */
  readonly size: Size;
}

export interface PersonStill extends StillFor {
  readonly id: string;
  readonly name: string;
}

/** A line that does not fit for some of them, and what would make it. */
export interface MendableLine extends Omit<TightBlock<unknown>, "people"> {
  /** For how many it does not. */
  readonly people: number;
  /** The one whose details strain it most. */
  readonly person: Person;
}

export type FitAnswer =
  | { readonly kind: "progress"; readonly done: number; readonly all: number }
  | { readonly kind: "fits"; readonly fits: readonly PersonFit[] }
  | { readonly kind: "mends"; readonly lines: readonly MendableLine[] }
  /** One more of so many people whose proofs are drawn. */
  | { readonly kind: "still"; readonly person: PersonStill; readonly all: number };

/** People between two reports of how far it is. */
const atOnce = 250;
/** For so many people all proofs are drawn: the others strain it less. */
const mostDrawn = 200;

const answer = (said: FitAnswer): void => postMessage(said);

addEventListener("message", ({ data: { document, people, base, colors } }: MessageEvent<FitRequest>) => {
  const signature = parseSignature(document);
  const sizeOf = designSizes(signature);
  const tried = people.map(({ id, person }, index) => {
    if (index % atOnce === 0) answer({ kind: "progress", done: index, all: people.length });
    const fit = fitOf(signature, person);
    return { person, fit: { id, name: person.name, ...fit, size: sizeOf(person, fit) } };
  });
  answer({ kind: "fits", fits: tried.map(({ fit }) => fit) });
  const lines = findFitMends(signature, tried).flatMap(({ people: [worst, ...others], ...line }) =>
    worst ? [{ ...line, people: 1 + others.length, person: worst.person }] : [],
  );
  answer({ kind: "mends", lines });
  const strained = [...tried].sort((one, other) => worstFirst(one.fit, other.fit)).slice(0, mostDrawn);
  for (const {
    person,
    fit: { id, name },
  } of strained) {
    const still = stillFor(signature, person, base, colors);
    answer({ kind: "still", person: { id, name, ...still }, all: strained.length });
  }
});
