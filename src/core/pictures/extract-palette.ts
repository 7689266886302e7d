/**
 * The colours that a picture is made of: its pixels are sorted into boxes of like colour, the fullest boxes give a
 * colour each, and colours too like an earlier one are left out. Pixels are RGBA, four bytes each.
 */
import { colorDifference, hexOf, type Channels } from "../color";

/** Colours less than this apart look alike (CIEDE2000). */
const likeness = 12;
/** Five bits a channel: finer boxes split one flat colour into several. */
const shift = 3;
/** A box with a smaller share of the opaque pixels is an edge between colours, not a colour. */
const leastShare = 0.004;

interface Box {
  count: number;
  red: number;
  green: number;
  blue: number;
}

const colorOf = ({ count, red, green, blue }: Box): Channels => [red / count, green / count, blue / count];

/** At most `count` six-digit hex colours, the most frequent first; none of a picture without opaque pixels. */
export function extractPalette(pixels: Uint8ClampedArray, count: number): readonly string[] {
  const boxes = new Map<number, Box>();
  let opaque = 0;
  for (let at = 0; at + 3 < pixels.length; at += 4) {
    if (pixels[at + 3]! < 200) continue;
    opaque++;
    const [red, green, blue] = [pixels[at]!, pixels[at + 1]!, pixels[at + 2]!];
    const key = ((red >> shift) << 16) | ((green >> shift) << 8) | (blue >> shift);
    const box = boxes.get(key) ?? { count: 0, red: 0, green: 0, blue: 0 };
    box.count++;
    box.red += red;
    box.green += green;
    box.blue += blue;
    boxes.set(key, box);
  }
  const chosen: Channels[] = [];
  for (const box of [...boxes.values()].sort((one, other) => other.count - one.count)) {
    if (chosen.length === count || box.count < opaque * leastShare) break;
    const color = colorOf(box);
    if (chosen.every((earlier) => colorDifference(earlier, color) >= likeness)) chosen.push(color);
  }
  return chosen.map(([red, green, blue]) => hexOf(Math.round(red), Math.round(green), Math.round(blue)));
}
