/** People's own pages, as the office and as they themselves know them. */
import type { FieldId } from "@/core/people";
import { installForms, kitKinds, type InstallForm, type KitKind } from "@/core/install-kinds";
import { choice, count, object, optional, text, words, type TypeOf } from "@/core/values";
import type { PersonChoice } from "./people";
import type { TheirSignature } from "./giving";
import type { Install } from "./installs";
import type { FailedFor, Progress } from "./progress";

/** How a letter goes: to the Mailroom's desks, or by the mail server that is set up. */
export const letterWays = ["mailroom", "server"] as const;
export type LetterWay = (typeof letterWays)[number];

/** The letter that carries the address of a page, written once with places for details. */
export const pageLetter = object({
  subject: words("A subject", 200, "The letter needs a subject."),
  text: words("The letter", 10_000, "Write the letter."),
  /** Under which address people reach Still Line. */
  base: words("The address of the pages", 300, "Say under which address people reach these pages."),
});
export type PageLetter = TypeOf<typeof pageLetter>;

/** Whom it is written to: everybody with a signature, or those of a department. */
export const pageLetters = object({
  letter: pageLetter,
  way: choice(...letterWays),
  department: optional(text(300)),
});

/** How far the writing is, and what came of it. */
export type LettersWritten =
  | Progress
  | {
      readonly kind: "written";
      readonly written: number;
      /** Who had been written to before. */
      readonly before: number;
      readonly failed: readonly FailedFor[];
    };

export interface LetterState {
  readonly state: "going" | "gone" | "failed";
  readonly trouble: string;
  /** ms since 1970. */
  readonly at: number;
}

/** Somebody with their page as the office sees it; times in ms since 1970. */
export interface PersonWithPage extends PersonChoice {
  readonly mail: string;
  /** How many signatures are theirs. */
  readonly signatures: number;
  readonly page: {
    /** What its address ends with. */
    readonly secret: string;
    readonly withdrawn: boolean;
    readonly openedAt: number | null;
    readonly copiedAt: number | null;
    readonly letters: Readonly<Partial<Record<LetterWay, LetterState>>>;
  } | null;
  /** How many installs of theirs there are, and how many of those are out of date. */
  readonly installs: number;
  readonly late: number;
}

export interface Correction {
  readonly id: string;
  readonly personId: string;
  readonly personName: string;
  readonly field: FieldId;
  readonly before: string;
  readonly after: string;
  readonly askedAt: number;
}

/** How many people are at each step. */
export interface PageCounts {
  readonly withSignature: number;
  readonly pages: number;
  readonly opened: number;
  readonly copied: number;
  readonly installed: number;
}

/** What somebody sees on their own page. */
export interface OwnPage {
  readonly name: string;
  readonly signatures: readonly TheirSignature[];
  readonly installs: readonly Install[];
  /** Their details that a signature of theirs shows. */
  readonly details: readonly { readonly field: FieldId; readonly value: string }[];
  /** What they have asked to be corrected, and is not settled yet. */
  readonly asked: readonly { readonly field: FieldId; readonly after: string }[];
}

/** That somebody has put a signature of theirs into their mail. */
export const ownInstall = object({
  signature: text(80),
  revision: count(1, 1e9),
  kind: choice(...kitKinds),
  form: choice(...installForms),
});
export interface OwnInstall {
  readonly signature: string;
  readonly revision: number;
  readonly kind: KitKind;
  readonly form: InstallForm;
}
