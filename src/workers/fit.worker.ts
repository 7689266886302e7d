/** Tries a signature with everybody of a directory beside the page, which stays usable while it does. */
import type { DirectoryPerson } from "@/contract";
import { fitOf, type Fit } from "@/core/fit";
import { parseSignature } from "@/core/signature";

export interface FitRequest {
  /** The document's JSON. */
  readonly document: unknown;
  readonly people: readonly DirectoryPerson[];
}

export interface PersonFit extends Fit {
  readonly id: string;
  readonly name: string;
}

export type FitAnswer =
  | { readonly kind: "progress"; readonly done: number; readonly all: number }
  | { readonly kind: "done"; readonly fits: readonly PersonFit[] };

/** People between two reports of how far it is. */
const atOnce = 250;

const answer = (said: FitAnswer): void => postMessage(said);

addEventListener("message", ({ data: { document, people } }: MessageEvent<FitRequest>) => {
  const signature = parseSignature(document);
  const fits = people.map(({ id, person }, index): PersonFit => {
    if (index % atOnce === 0) answer({ kind: "progress", done: index, all: people.length });
    return { id, name: person.name, ...fitOf(signature, person) };
  });
  answer({ kind: "done", fits });
});
