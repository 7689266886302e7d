/** What the rooms of a client are given: its letters, writing one, and its settings. */
import type { Desk, Draft, LetterBegun, LetterBox, Letters, OpenedLetter } from "@/contract";

export interface Colleague {
  readonly id: string;
  readonly name: string;
  readonly mail: string;
}

export interface LettersProps {
  readonly desk: Desk;
  readonly letters: Letters;
  readonly box: LetterBox;
  readonly search: string;
  readonly drafts: readonly Draft[];
  /** The letter that is open; null while none is. */
  readonly open: OpenedLetter | null;
  /** The public address of hosted pictures. */
  readonly base: string;
}

export interface WritingProps {
  readonly desk: Desk;
  readonly start: LetterBegun;
  readonly colleagues: readonly Colleague[];
  /** What came newest, for clients that show it beside. */
  readonly letters: Letters;
}

export interface SettingsProps {
  readonly desk: Desk;
  /** Those of the Shelf, whose kits can be placed. */
  readonly signatures: readonly { readonly id: string; readonly name: string }[];
}
