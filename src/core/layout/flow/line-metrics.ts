/** How high text stands above and below its baseline, as browsers round it (CSS 2.2, section 10.8.1); px, y down. */
import { verticalMetrics } from "../../measure";
import type { TextStyle } from "./computed-style";

export interface Reach {
  readonly ascent: number;
  readonly descent: number;
}

/** Below this many px nothing is rounded, since above and below would come out the same. */
const smallestRounded = 3;

/** The face's own, in whole px. */
export function glyphReach(style: TextStyle): Reach {
  const { ascent, descent } = verticalMetrics(style);
  const [up, down] = [ascent * style.size, descent * style.size];
  return up < smallestRounded || up + down < 2
    ? { ascent: up, descent: down }
    : { ascent: Math.round(up), descent: Math.round(down) };
}

function lineHeightOf({ lineHeight, size, ...style }: TextStyle, { ascent, descent }: Reach): number {
  if (lineHeight === "normal") return ascent + descent + verticalMetrics({ ...style }).lineGap * size;
  return "px" in lineHeight ? lineHeight.px : lineHeight.times * size;
}

/** With half of its leading on either side; the upper half is a whole number of px. */
export function lineReach(style: TextStyle): Reach {
  const glyphs = glyphReach(style);
  const height = lineHeightOf(style, glyphs);
  const above = Math.floor((height - glyphs.ascent - glyphs.descent) / 2);
  return { ascent: glyphs.ascent + above, descent: height - glyphs.ascent - above };
}

/** Half of the height of an x, which pictures stand in the middle of. */
export const halfOfX = (style: TextStyle): number => (verticalMetrics(style).xHeight * style.size) / 2;
