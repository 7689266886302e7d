/**
 * The colours that a picture is made of: its pixels are sorted into boxes of like colour, the fullest boxes give a
 * colour each, and colours too like an earlier one are left out. Pixels are RGBA, four bytes each.
 */
import { colorDifference, hexOf, type Channels } from "../color";
import { colorBoxes, type Sorting } from "./color-boxes";

/** Colours less than this apart look alike (CIEDE2000). */
const likeness = 12;
/** A box with a smaller share of the opaque pixels is an edge between colours, not a colour. */
const leastShare = 0.004;
/** Finer boxes split one flat colour into several. */
const sorting: Sorting = { bits: 5, weightOf: (alpha) => (alpha < 200 ? 0 : 1) };

/** At most `count` six-digit hex colours, the most frequent first; none of a picture without opaque pixels. */
export function extractPalette(pixels: Uint8ClampedArray, count: number): readonly string[] {
  const boxes = colorBoxes(pixels, sorting);
  const opaque = boxes.reduce((sum, { weight }) => sum + weight, 0);
  const chosen: Channels[] = [];
  for (const { weight, color } of boxes) {
    if (chosen.length === count || weight < opaque * leastShare) break;
    if (chosen.every((earlier) => colorDifference(earlier, color) >= likeness)) chosen.push(color);
  }
  return chosen.map(([red, green, blue]) => hexOf(Math.round(red), Math.round(green), Math.round(blue)));
}
