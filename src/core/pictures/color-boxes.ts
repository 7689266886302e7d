/** Pixels sorted into boxes of like colour. Pixels are RGBA, four bytes each. */
import type { Channels } from "../color";

export interface ColorBox {
  /** Of all that is in it. */
  readonly weight: number;
  /** The mean of what is in it; channels 0 to 255, fractions too. */
  readonly color: Channels;
}

interface Sum {
  weight: number;
  red: number;
  green: number;
  blue: number;
}

export interface Sorting {
  /** Bits of each channel that tell one box from another. */
  readonly bits: number;
  /** How much a pixel counts by how opaque it is, from 0 to 255; 0 leaves it out. */
  readonly weightOf: (alpha: number) => number;
}

/** The boxes that hold anything, the fullest first. */
export function colorBoxes(
  pixels: Uint8Array | Uint8ClampedArray,
  { bits, weightOf }: Sorting,
): readonly ColorBox[] {
  const shift = 8 - bits;
  const sums = new Map<number, Sum>();
  for (let at = 0; at + 3 < pixels.length; at += 4) {
    const weight = weightOf(pixels[at + 3] ?? 0);
    if (weight === 0) continue;
    const [red, green, blue] = [pixels[at] ?? 0, pixels[at + 1] ?? 0, pixels[at + 2] ?? 0];
    const key = ((red >> shift) << 16) | ((green >> shift) << 8) | (blue >> shift);
    const sum = sums.get(key) ?? { weight: 0, red: 0, green: 0, blue: 0 };
    sum.weight += weight;
    sum.red += red * weight;
    sum.green += green * weight;
    sum.blue += blue * weight;
    sums.set(key, sum);
  }
  return [...sums.values()]
    .map(({ weight, red, green, blue }) => ({
      weight,
      color: [red / weight, green / weight, blue / weight] as const,
    }))
    .sort((one, other) => other.weight - one.weight);
}
