/** How alike a template and each place of a plane are: normalised cross-correlation, from −1 to 1, the same for any contrast. */
import FFT from "fft.js";
import { sumOf, sumsOf, type Plane, type Sums } from "./plane";

/** A plane as complex numbers in rows of a power of two, transformed along both axes. */
interface Spectrum {
  readonly data: Float64Array;
  readonly width: number;
  readonly height: number;
}

const powerOfTwo = (least: number): number => 2 ** Math.ceil(Math.log2(Math.max(2, least)));

/** Transforms each row, then each column; the same backwards. */
function transformed({ data, width, height }: Spectrum, forwards: boolean): Spectrum {
  const out = new Float64Array(data.length);
  const along = (length: number) => {
    const fft = new FFT(length);
    return (to: Float64Array, from: Float64Array): void =>
      forwards ? fft.transform(to, from) : fft.inverseTransform(to, from);
  };
  const row = along(width);
  for (let y = 0; y < height; y++) {
    const [from, to] = [y * 2 * width, (y + 1) * 2 * width];
    row(out.subarray(from, to), data.subarray(from, to));
  }
  const column = along(height);
  const [read, written] = [new Float64Array(2 * height), new Float64Array(2 * height)];
  for (let x = 0; x < width; x++) {
    for (let y = 0; y < height; y++) {
      read[2 * y] = out[2 * (y * width + x)]!;
      read[2 * y + 1] = out[2 * (y * width + x) + 1]!;
    }
    column(written, read);
    for (let y = 0; y < height; y++) {
      out[2 * (y * width + x)] = written[2 * y]!;
      out[2 * (y * width + x) + 1] = written[2 * y + 1]!;
    }
  }
  return { data: out, width, height };
}

function spectrumOf(plane: Plane, width: number, height: number, less: number): Spectrum {
  const data = new Float64Array(2 * width * height);
  for (let y = 0; y < plane.height; y++)
    for (let x = 0; x < plane.width; x++) data[2 * (y * width + x)] = plane.data[y * plane.width + x]! - less;
  return transformed({ data, width, height }, true);
}

/** A plane in which templates are looked for, with what is the same for all of them. */
export interface Searched {
  readonly plane: Plane;
  readonly spectrum: Spectrum;
  readonly sums: Sums;
  /** Of the squares of its numbers. */
  readonly squares: Sums;
}

export const searched = (plane: Plane): Searched => ({
  plane,
  spectrum: spectrumOf(plane, powerOfTwo(plane.width), powerOfTwo(plane.height), 0),
  sums: sumsOf(plane),
  squares: sumsOf(plane, (value) => value * value),
});

const mean = ({ data }: Plane): number => data.reduce((sum, value) => sum + value, 0) / data.length;

/** Under this much variance a px there is nothing to be alike. */
const blank = 1e-5;

/**
 * For each place at which the template lies wholly within the plane how alike they are, worked out through their spectra
 * (J. P. Lewis, Fast Normalized Cross-Correlation, 1995). Null where the template is larger, or blank.
 */
export function correlation({ plane, spectrum, sums, squares }: Searched, template: Plane): Plane | null {
  const [across, down] = [plane.width - template.width + 1, plane.height - template.height + 1];
  if (across < 1 || down < 1) return null;
  const average = mean(template);
  const count = template.data.length;
  const own = template.data.reduce((sum, value) => sum + (value - average) ** 2, 0);
  if (own < blank * count) return null;
  const { data: seen, width, height } = spectrum;
  const sought = spectrumOf(template, width, height, average).data;
  const product = new Float64Array(seen.length);
  for (let at = 0; at < product.length; at += 2) {
    const real = sought[at]!;
    const conjugate = -sought[at + 1]!;
    product[at] = seen[at]! * real - seen[at + 1]! * conjugate;
    product[at + 1] = seen[at]! * conjugate + seen[at + 1]! * real;
  }
  const together = transformed({ data: product, width, height }, false).data;
  const data = new Float32Array(across * down);
  for (let y = 0; y < down; y++)
    for (let x = 0; x < across; x++) {
      const [right, bottom] = [x + template.width, y + template.height];
      const sum = sumOf(sums, x, y, right, bottom);
      const variance = sumOf(squares, x, y, right, bottom) - (sum * sum) / count;
      if (variance > blank * count)
        data[y * across + x] = together[2 * (y * width + x)]! / Math.sqrt(variance * own);
    }
  return { data, width: across, height: down };
}

export interface Peak {
  readonly x: number;
  readonly y: number;
  readonly score: number;
}

/** The highest places of a plane, each at least `apart` px from those before it. */
export function peaksOf({ data, width, height }: Plane, most: number, apart: number): readonly Peak[] {
  const found: Peak[] = [];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const score = data[y * width + x]!;
      const beside = (dx: number, dy: number): number =>
        x + dx < 0 || y + dy < 0 || x + dx >= width || y + dy >= height
          ? -1
          : data[(y + dy) * width + x + dx]!;
      if (
        score > 0 &&
        score >= beside(-1, 0) &&
        score > beside(1, 0) &&
        score >= beside(0, -1) &&
        score > beside(0, 1)
      )
        found.push({ x, y, score });
    }
  found.sort((one, other) => other.score - one.score);
  const kept: Peak[] = [];
  for (const peak of found) {
    if (kept.length === most) break;
    if (kept.every(({ x, y }) => Math.max(Math.abs(x - peak.x), Math.abs(y - peak.y)) >= apart))
      kept.push(peak);
  }
  return kept;
}
