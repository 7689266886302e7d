/** Tells while a signature is built whose details do not fit, beside the page. It keeps the people, and is asked anew for each document. */
import type { DirectoryPerson } from "@/contract";
import { tightSays, whoFits } from "@/core/fit";
import type { Person } from "@/core/people";
import { parseSignature } from "@/core/signature";

export interface WhoFitsRequest {
  /** Null for those of the request before. */
  readonly people: readonly DirectoryPerson[] | null;
  /** The document's JSON. */
  readonly document: unknown;
}

export interface LineThatIsTight {
  readonly position: number;
  readonly text: string;
  /** What is wrong with it, in words. */
  readonly says: string;
}

export interface WhoDoesNot {
  readonly id: string;
  readonly person: Person;
  readonly lines: readonly LineThatIsTight[];
}

export interface WhoFitsAnswer {
  readonly all: number;
  readonly fitting: number;
  /** Those who strain it most. */
  readonly worst: readonly WhoDoesNot[];
}

/** So many are named; the others are counted. */
const mostNamed = 12;

let people: readonly DirectoryPerson[] = [];

addEventListener("message", ({ data }: MessageEvent<WhoFitsRequest>) => {
  people = data.people ?? people;
  const { worst, ...counted } = whoFits(parseSignature(data.document), people, mostNamed);
  const answer: WhoFitsAnswer = {
    ...counted,
    worst: worst.map(({ who: { id, person }, tight }) => ({
      id,
      person,
      lines: tight.map((line) => ({ position: line.position, text: line.text, says: tightSays(line) })),
    })),
  };
  postMessage(answer);
});
