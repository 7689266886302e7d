/** The Mailroom: letters in mailboxes, what is written at a desk, and what each client there holds. */
import type { DeskClientId, HeldSignature, RehearsedStep, SignatureChoice } from "@/core/desks";
import type { KitKind } from "@/core/install-kinds";
import type { Left, MailAddress } from "@/core/mailroom";
import {
  choice,
  list,
  maybe,
  nameOf,
  object,
  optional,
  tagged,
  text,
  words,
  type TypeOf,
} from "@/core/values";

/** A letter as a list shows it. */
export interface LetterHead {
  readonly id: string;
  readonly box: "in" | "sent";
  readonly from: MailAddress;
  /** Whom it says that it is for, as one line. */
  readonly recipients: string;
  readonly subject: string;
  /** The beginning of its text. */
  readonly beginning: string;
  /** ms since 1970. */
  readonly receivedAt: number;
  readonly read: boolean;
  readonly thrown: boolean;
}

/** A file that came with a letter. */
export interface LetterPart {
  /** Its content id, or a name of ours where it has none. */
  readonly id: string;
  readonly name: string;
  readonly type: string;
  /** Bytes. */
  readonly weight: number;
  /** Whether the letter shows it where it stands. */
  readonly shown: boolean;
}

export interface OpenedLetter extends LetterHead {
  readonly to: readonly MailAddress[];
  readonly cc: readonly MailAddress[];
  /** The HTML part as it came; null where it is plain text. Never shown without `received`. */
  readonly html: string | null;
  readonly text: string;
  readonly parts: readonly LetterPart[];
  /** The beginning of what came over the wire. */
  readonly raw: string;
  /** What it was written with, as it says itself. */
  readonly writtenWith: string;
  /** What about it cannot be read; null where nothing. */
  readonly problem: string | null;
  /** The letters of the same talk in this mailbox, itself among them, the oldest first. */
  readonly talk: readonly LetterHead[];
  /** What is left here of the signature in the first of them; null in that one, and where it had none. */
  readonly left: Left | null;
}

export const letterBoxes = ["in", "sent", "thrown"] as const;
export type LetterBox = (typeof letterBoxes)[number];

export interface Letters {
  readonly letters: readonly LetterHead[];
  /** How many there are beyond those. */
  readonly more: number;
}

/** A person at a client of the Mailroom, with what the client holds. */
export interface Desk {
  readonly client: DeskClientId;
  readonly person: { readonly id: string; readonly name: string };
  /** The person's own addresses, in small letters. */
  readonly addresses: readonly string[];
  readonly held: readonly HeldSignature[];
  /** One for each own address. */
  readonly choices: readonly SignatureChoice[];
  /** Files that belong to none of its signatures. */
  readonly strays: readonly string[];
  /** Whether the program is open; a client that is not a program always is. */
  readonly running: boolean;
}

/** A file as it is put into a client's folder, its bytes as base64 (RFC 4648). */
export const placedFiles = object({
  files: list(object({ path: words("A path", 300, "A file needs a path."), base64: text(8_000_000) }), {
    least: 1,
    most: 200,
    what: "files",
  }),
});

/** A change of a signature that a client holds in files. */
export const heldChange = tagged("kind", {
  /** An empty one, for a client that keeps archives. */
  make: { name: nameOf("A signature's name", 80, "A signature needs a name.") },
  rename: { id: text(300), name: nameOf("A signature's name", 80, "A signature needs a name.") },
  duplicate: { id: text(300) },
  "take-out": { id: text(300) },
});
export type HeldChange = TypeOf<typeof heldChange>;

const letterAbout = object({ letter: text(80), how: choice("answer", "forward") });
/** What a letter answers or hands on. */
export type LetterAbout = TypeOf<typeof letterAbout>;

export const newLetter = object({
  from: text(320),
  to: list(text(320), { most: 50, what: "recipients" }),
  cc: list(text(320), { most: 50, what: "recipients" }),
  subject: words("A subject", 200),
  html: text(2_000_000),
  /** Which of the held signatures stands in it, where it is known. */
  signature: maybe(optional(text(300))),
  about: optional(letterAbout),
  /** The draft that it was until now. */
  draft: optional(text(80)),
});
export type NewLetter = TypeOf<typeof newLetter>;

/** How a letter begins. */
export interface LetterBegun extends NewLetter {
  readonly signature: string | null;
  /** Where the pictures in it are drawn from, by content id. */
  readonly pictures: Readonly<Record<string, string>>;
}

/** A rehearsal that goes on at a desk. */
export interface Rehearsal {
  readonly signatureId: string;
  readonly signatureName: string;
  /** Of the signature as it is now. */
  readonly revision: number;
  readonly kind: KitKind;
  readonly clientName: string;
  readonly steps: readonly RehearsedStep[];
}

export interface Draft {
  readonly id: string;
  readonly client: DeskClientId;
  readonly to: readonly string[];
  readonly subject: string;
  /** ms since 1970. */
  readonly updatedAt: number;
}
