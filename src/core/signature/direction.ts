/** Which way text is written, by its first letter that is written one way only (Unicode UAX 9, rules P2 and P3). */
import type { Node } from "prosemirror-model";
import type { Settings } from "./settings";

export type Direction = Settings["direction"];

const rightToLeft = /\p{Script=Hebrew}|\p{Script=Arabic}|\p{Script=Syriac}|\p{Script=Thaana}|\p{Script=Nko}/u;
const letter = /\p{L}/u;

/** The direction of a text; null where none of its letters says. */
export function directionOf(text: string): Direction | null {
  for (const character of text)
    if (letter.test(character)) return rightToLeft.test(character) ? "rtl" : "ltr";
  return null;
}

/** What a line may say of its own direction: one of the two, or that its first letter says it. */
export const lineDirections = ["auto", "ltr", "rtl"] as const;

/** The direction that a line is written in, where it is not the signature's; null where it is. */
export function ownDirection(
  line: Node,
  said: (typeof lineDirections)[number] | null,
  { direction }: Pick<Settings, "direction">,
): Direction | null {
  const own = said === "auto" ? directionOf(line.textContent) : said;
  return own === direction ? null : own;
}
