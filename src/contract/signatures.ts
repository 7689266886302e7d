/** Signatures as the interface knows them: versions, refused saves, how the letters around them are set. */
import type { Person } from "@/core/people";
import { color, object, words, type TypeOf, textSize } from "@/core/values";

/** A signature as one of its screens opens it. */
/** In how many of all proofs a signature is still. */
export interface Stillness {
  readonly still: number;
  readonly all: number;
}

export interface OpenSignature {
  readonly id: string;
  readonly name: string;
  readonly personId: string | null;
  /** The document's JSON. */
  readonly document: unknown;
  readonly revision: number;
}

export interface Version {
  readonly id: string;
  readonly revision: number;
  /** Null for one that was kept automatically. */
  readonly name: string | null;
  /** The document's JSON. */
  readonly document: unknown;
  readonly createdAt: number;
}

/** What a stale save is refused with: what was refused, and what is saved instead. */
export interface StaleSave {
  readonly refusedId: string;
  readonly saved: { readonly document: unknown; readonly revision: number };
}

/** A save that was refused and waits until somebody chooses. */
export interface WaitingVersion {
  readonly refusedId: string;
  readonly signatureId: string;
  /** The signature's name. */
  readonly name: string;
  /** The document's JSON. */
  readonly document: unknown;
  /** ms since 1970. */
  readonly createdAt: number;
}

export interface Settled {
  readonly document: unknown;
  readonly revision: number;
  /** Where the other version is: among the versions, or on the Shelf as a signature of its own, and under which name. */
  readonly other: { readonly kind: "version" | "signature"; readonly name: string };
}

/** How the user's own letters are set; size in px. */
export const letterType = object({
  font: words("The font of your letters", 60, "The font of your letters needs a name."),
  size: textSize,
  color,
});
export type LetterType = TypeOf<typeof letterType>;

export interface DirectoryPerson {
  readonly id: string;
  readonly person: Person;
}
