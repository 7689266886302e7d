/** Who gets what, as the interface knows it. */
import type { Because, GivenSignature, GivingTrouble, Purpose } from "@/core/people";
import type { FoundPeople, PeopleLook, PersonChoice } from "./people";

/** Whom a list of people is narrowed to: who has no signature, or two of the same. */
export const givingShows = ["all", "none", "twice"] as const;
export type GivingShows = (typeof givingShows)[number];

export interface GivingLook extends PeopleLook {
  readonly shows: GivingShows;
}

/** One form of a signature, for pasting and as plain text. */
export interface WrittenForms {
  readonly html: string;
  readonly plainText: string;
}

/** Somebody with the signatures that are theirs. */
export interface PersonGiven extends PersonChoice {
  readonly signatures: readonly {
    readonly id: string;
    readonly name: string;
    readonly purpose: Purpose;
    readonly language: string;
    readonly because: Because;
    /** Whether they have another that is for the same. */
    readonly twice: boolean;
  }[];
  readonly trouble: GivingTrouble;
}

/** A signature with whom it is for. */
export interface ListedGiven extends GivenSignature {
  /** How many people it is for. */
  readonly people: number;
  /** Who is named one by one; without a name for who is not in the directory any more. */
  readonly named: readonly { readonly id: string; readonly name: string | null }[];
}

/** A signature that is somebody's, written for them. */
export interface TheirSignature {
  readonly id: string;
  readonly name: string;
  readonly purpose: Purpose;
  readonly language: string;
  readonly because: Because;
  readonly revision: number;
  readonly full: WrittenForms;
  /** What a reply holds; null where that is the whole. */
  readonly short: WrittenForms | null;
  /** The public address of its pictures. */
  readonly base: string;
}

export interface WhoGetsWhat extends FoundPeople {
  readonly signatures: readonly ListedGiven[];
  /** How many people have none, and how many two of the same. */
  readonly none: number;
  readonly twice: number;
}
