/**
 * Tries a signature with everybody of a directory beside the page, which stays usable while it does: first whose details fit and how large it
 * comes out for each, then in how many proofs it is still for them, those who strain it most first.
 */
import type { DirectoryPerson } from "@/contract";
import { designSizes, fitOf, stillFor, worstFirst, type Fit, type StillFor } from "@/core/fit";
import type { KnownColors } from "@/core/layout";
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

export type FitAnswer =
  | { readonly kind: "progress"; readonly done: number; readonly all: number }
  | { readonly kind: "fits"; readonly fits: readonly PersonFit[] }
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
  const fits = people.map(({ id, person }, index): PersonFit => {
    if (index % atOnce === 0) answer({ kind: "progress", done: index, all: people.length });
    const fit = fitOf(signature, person);
    return { id, name: person.name, ...fit, size: sizeOf(person, fit) };
  });
  answer({ kind: "fits", fits });
  const byId = new Map(people.map((each) => [each.id, each.person]));
  const strained = [...fits].sort(worstFirst).slice(0, mostDrawn);
  for (const { id, name } of strained) {
    const person = byId.get(id);
    if (!person) continue;
    const still = stillFor(signature, person, base, colors);
    answer({ kind: "still", person: { id, name, ...still }, all: strained.length });
  }
});
