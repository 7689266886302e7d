/** Contrast of two colours, as readers need it. */
import { wcagContrast } from "culori/fn";
import { parseColor } from "./parse-color";

/** The canvases that mail is read on, and what a text of ordinary size needs there (WCAG 2.2, 1.4.3). */
export const lightCanvas = "#FFFFFF";
export const darkCanvas = "#121212";
export const readableContrast = 4.5;

/** The contrast ratio of two CSS colours, from 1 to 21 (WCAG 2.2). Throws a RangeError for what is no colour. */
export function contrast(one: string, other: string): number {
  const [first, second] = [parseColor(one), parseColor(other)];
  if (!first || !second) throw new RangeError(`No colour: ${first ? other : one}`);
  return wcagContrast(first, second);
}
