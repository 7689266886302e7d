/**
 * How far two renditions of one picture look apart. Brightness is compared by structural similarity (SSIM, Wang,
 * Bovik, Sheikh and Simoncelli 2004) in windows of 8 × 8 px side by side, on the canvas where
 * transparent pictures differ most: white, and black as well when something is transparent. Colour is compared by
 * the distance in YCbCr (ITU-T T.871) of each window's mean colour.
 */
import { hasTransparency, type Pixels } from "./pixels";

export interface Difference {
  /** Mean SSIM of all windows; 1 is the same. */
  readonly similarity: number;
  /** Mean SSIM of the worst twentieth of the windows, so that one spoilt corner is not averaged away. */
  readonly worst: number;
  /** Mean distance of colours in the worst twentieth of the windows, 0 to 255: few colours spoil small parts first. */
  readonly color: number;
}

const windowSide = 8;
const step = windowSide;
const c1 = (0.01 * 255) ** 2;
const c2 = (0.03 * 255) ** 2;

interface Planes {
  readonly luma: Float32Array;
  readonly blue: Float32Array;
  readonly red: Float32Array;
}

/** One picture is compared with many renditions of it. */
const known = new WeakMap<Pixels, Map<number, Planes>>();

function planesOn(pixels: Pixels, canvas: number): Planes {
  const found = known.get(pixels)?.get(canvas);
  if (found) return found;
  const { data, width, height } = pixels;
  const count = width * height;
  const planes = {
    luma: new Float32Array(count),
    blue: new Float32Array(count),
    red: new Float32Array(count),
  };
  for (let index = 0; index < count; index++) {
    const at = index * 4;
    const alpha = data[at + 3]! / 255;
    const behind = canvas * (1 - alpha);
    const r = data[at]! * alpha + behind;
    const g = data[at + 1]! * alpha + behind;
    const b = data[at + 2]! * alpha + behind;
    planes.luma[index] = 0.299 * r + 0.587 * g + 0.114 * b;
    planes.blue[index] = -0.168736 * r - 0.331264 * g + 0.5 * b;
    planes.red[index] = 0.5 * r - 0.418688 * g - 0.081312 * b;
  }
  known.set(pixels, (known.get(pixels) ?? new Map<number, Planes>()).set(canvas, planes));
  return planes;
}

/** SSIM of one window, whose top left is at x, y. */
function windowSimilarity(
  one: Float32Array,
  other: Float32Array,
  size: Pixels,
  x: number,
  y: number,
): number {
  const across = Math.min(windowSide, size.width - x);
  const down = Math.min(windowSide, size.height - y);
  let [sumOne, sumOther, squareOne, squareOther, product] = [0, 0, 0, 0, 0];
  for (let row = y; row < y + down; row++)
    for (let index = row * size.width + x; index < row * size.width + x + across; index++) {
      const a = one[index]!;
      const b = other[index]!;
      sumOne += a;
      sumOther += b;
      squareOne += a * a;
      squareOther += b * b;
      product += a * b;
    }
  const count = across * down;
  const [meanOne, meanOther] = [sumOne / count, sumOther / count];
  const varianceOne = squareOne / count - meanOne * meanOne;
  const varianceOther = squareOther / count - meanOther * meanOther;
  const covariance = product / count - meanOne * meanOther;
  return (
    ((2 * meanOne * meanOther + c1) * (2 * covariance + c2)) /
    ((meanOne * meanOne + meanOther * meanOther + c1) * (varianceOne + varianceOther + c2))
  );
}

/** How far the mean colour of one window is apart: bands in a smooth place have no structure that SSIM would miss. */
function windowColor(one: Planes, other: Planes, size: Pixels, x: number, y: number): number {
  const across = Math.min(windowSide, size.width - x);
  const down = Math.min(windowSide, size.height - y);
  let [luma, blue, red] = [0, 0, 0];
  for (let row = y; row < y + down; row++)
    for (let index = row * size.width + x; index < row * size.width + x + across; index++) {
      luma += one.luma[index]! - other.luma[index]!;
      blue += one.blue[index]! - other.blue[index]!;
      red += one.red[index]! - other.red[index]!;
    }
  return Math.hypot(luma, blue, red) / (across * down);
}

function differenceOn(one: Pixels, other: Pixels, canvas: number): Difference {
  const [left, right] = [planesOn(one, canvas), planesOn(other, canvas)];
  const found: number[] = [];
  const colors: number[] = [];
  for (let y = 0; y === 0 || y + windowSide <= one.height; y += step)
    for (let x = 0; x === 0 || x + windowSide <= one.width; x += step) {
      found.push(windowSimilarity(left.luma, right.luma, one, x, y));
      colors.push(windowColor(left, right, one, x, y));
    }
  found.sort((a, b) => a - b);
  const worstCount = Math.max(1, Math.ceil(found.length / 20));
  const mean = (values: readonly number[]): number =>
    values.reduce((sum, value) => sum + value, 0) / values.length;
  colors.sort((a, b) => b - a);
  return {
    similarity: mean(found),
    worst: mean(found.slice(0, worstCount)),
    color: mean(colors.slice(0, worstCount)),
  };
}

/** Throws a RangeError when the sizes differ. */
export function measureDifference(one: Pixels, other: Pixels): Difference {
  if (one.width !== other.width || one.height !== other.height)
    throw new RangeError(
      `Renditions of one size are compared, not ${one.width} × ${one.height} with ${other.width} × ${other.height}`,
    );
  const onWhite = differenceOn(one, other, 255);
  if (!hasTransparency(one) && !hasTransparency(other)) return onWhite;
  const onBlack = differenceOn(one, other, 0);
  return {
    similarity: Math.min(onWhite.similarity, onBlack.similarity),
    worst: Math.min(onWhite.worst, onBlack.worst),
    color: Math.max(onWhite.color, onBlack.color),
  };
}

/** Where two renditions look the same at true size on a 2x display; found by eye on photos and drawings. */
const same = { similarity: 0.965, worst: 0.75, color: 4 };

export const looksTheSame = ({ similarity, worst, color }: Difference): boolean =>
  similarity >= same.similarity && worst >= same.worst && color <= same.color;
