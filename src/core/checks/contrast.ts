/** Contrast of two colours, as readers need it. */
import { parse, wcagContrast } from "culori";

/** The canvases that mail is read on, and what a text of ordinary size needs there (WCAG 2.2, 1.4.3). */
export const lightCanvas = "#FFFFFF";
export const darkCanvas = "#121212";
export const readableContrast = 4.5;

/** The contrast ratio of two six-digit hex colours, from 1 to 21 (WCAG 2.2). Throws a RangeError for other input. */
export function contrast(one: string, other: string): number {
  const [first, second] = [parse(one), parse(other)];
  if (!first || !second) throw new RangeError(`No colour: ${first ? other : one}`);
  return wcagContrast(first, second);
}
