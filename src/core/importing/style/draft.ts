/** An element while its declarations are read, and what all of their readers need. Lengths in px. */
import { lengthOf, readValue, type ValuePart } from "../../html";
import { sideNames, type SideName, type Sides } from "../../signature";
import type { Box, Look } from "./look";

type Writable<T> = { -readonly [K in keyof T]: T[K] };

/** What an element comes to while its declarations are read in order. */
export interface Draft {
  /** What it takes from around it. */
  readonly parent: Look;
  readonly look: Writable<Look>;
  readonly box: Writable<Box>;
  /** Whether the element stands in a line, where a background is that of its text. */
  inline: boolean;
  /** The families that are asked for and not taken, once each. */
  readonly families: (asked: string, taken: string) => void;
  readonly changed: (what: string, reason: string) => void;
}

/** Reads one value of a property into a draft; whether it could be held. */
export type Read = (draft: Draft, value: string) => boolean;

/** The parts of a value at its outermost level. */
export const partsOf = (value: string): readonly ValuePart[] => readValue(value).parts;

/** A length in px; null for a share, a keyword and what is none. */
export function length(part: ValuePart | undefined, em: number): number | null {
  if (part?.kind === "word") return null;
  return part ? lengthOf(part, em) : null;
}

/** The sides with one of them replaced. */
export const withSide = <T>(sides: Sides<T>, side: SideName, value: T): Sides<T> => ({
  ...sides,
  [side]: value,
});

/** Logical sides are those of text from left to right; what follows its direction is turned. */
export function sideOf(name: string, direction: Look["direction"]): SideName | null {
  if ((sideNames as readonly string[]).includes(name)) return name as SideName;
  if (name === "block-start") return "top";
  if (name === "block-end") return "bottom";
  if (name === "inline-start") return direction === "rtl" ? "right" : "left";
  if (name === "inline-end") return direction === "rtl" ? "left" : "right";
  return null;
}
