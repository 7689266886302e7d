/** How badly somebody fits, and how a line that does not is told. */
import type { Fit, TightLine } from "./fit-of";

/** The larger, the worse: words that stick out count before lines that wrap; px. */
const strainOf = ({ tight }: Pick<Fit, "tight">): number =>
  tight.reduce((sum, { over, width, room }) => sum + over * 10 + Math.max(0, width - room), 0);

/** Whose details strain a layout most come first; of equals, whose fullest line is fuller. */
export const worstFirst = (
  one: Pick<Fit, "tight" | "fullest">,
  other: Pick<Fit, "tight" | "fullest">,
): number => strainOf(other) - strainOf(one) || other.fullest - one.fullest;

/** "2 lines: 317.4 px in 289 px". */
export const tightSays = ({ width, room, lines, over }: TightLine): string =>
  over > 0
    ? `a word is ${over.toFixed(1)} px too wide for ${Math.round(room)} px`
    : `${lines} lines: ${width.toFixed(1)} px in ${Math.round(room)} px`;
