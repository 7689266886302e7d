/** Planes: one number for each px of a picture, row by row. Sampled by area, so that no scale drops what is thin. */
import type { Pixels } from "../pictures";

export interface Plane {
  readonly data: Float32Array;
  readonly width: number;
  readonly height: number;
}

/** Luma (ITU-R BT.601), 0 to 1, upon white. */
export function lumaOf({ data, width, height }: Pixels): Plane {
  const luma = new Float32Array(width * height);
  for (let index = 0; index < luma.length; index++) {
    const at = index * 4;
    const alpha = data[at + 3]! / 255;
    luma[index] =
      ((0.299 * data[at]! + 0.587 * data[at + 1]! + 0.114 * data[at + 2]!) * alpha) / 255 + (1 - alpha);
  }
  return { data: luma, width, height };
}

/** What all px above and left of a place add up to: the sum of any box comes from its four corners. */
export interface Sums {
  /** One more each way than the plane has px. */
  readonly data: Float64Array;
  readonly width: number;
  readonly height: number;
}

/** Of the numbers of a plane, or of what is made of each. */
export function sumsOf(
  { data, width, height }: Plane,
  of: (value: number) => number = (value) => value,
): Sums {
  const sums = new Float64Array((width + 1) * (height + 1));
  for (let y = 0; y < height; y++) {
    let row = 0;
    for (let x = 0; x < width; x++) {
      row += of(data[y * width + x]!);
      sums[(y + 1) * (width + 1) + x + 1] = sums[y * (width + 1) + x + 1]! + row;
    }
  }
  return { data: sums, width, height };
}

/** The sum of whole px from left and top to before right and bottom, all within the plane. */
export function sumOf(
  { data, width }: Sums,
  left: number,
  top: number,
  right: number,
  bottom: number,
): number {
  const across = width + 1;
  return (
    data[bottom * across + right]! -
    data[top * across + right]! -
    data[bottom * across + left]! +
    data[top * across + left]!
  );
}

/** A part of a plane, seen at another scale. */
export interface Window {
  /** Where it begins, in px of the plane, which need not be whole, nor within it. */
  readonly left: number;
  readonly top: number;
  /** How many px of the plane one of its own covers, each way. */
  readonly step: number;
  /** Its own px. */
  readonly width: number;
  readonly height: number;
}

/** Where each px of a window begins and ends along one axis, in px of the plane. Beyond it its outermost px go on. */
function stopsOf(start: number, step: number, count: number, length: number) {
  const least = Math.min(1, step);
  const [begins, ends] = [new Float64Array(count), new Float64Array(count)];
  for (let index = 0; index < count; index++) {
    const from = start + index * step;
    begins[index] = Math.max(0, Math.min(from, length - least));
    ends[index] = Math.min(length, Math.max(from + step, begins[index]! + least));
  }
  return { begins, ends };
}

/** The mean of what each px of a window covers; of a px that is covered in part, its share. */
export function sampled(sums: Sums, { left, top, step, width, height }: Window): Plane {
  const across = sums.width + 1;
  const columns = stopsOf(left, step, width, sums.width);
  const rows = stopsOf(top, step, height, sums.height);
  const data = new Float32Array(width * height);
  /** What stands in a band of rows, from the left up to each place between px. */
  const band = new Float64Array(across);
  const along = (at: number): number => {
    const whole = Math.min(sums.width - 1, Math.floor(at));
    return band[whole]! + (band[whole + 1]! - band[whole]!) * (at - whole);
  };
  for (let y = 0; y < height; y++) {
    const [from, to] = [rows.begins[y]!, rows.ends[y]!];
    const above = Math.min(sums.height - 1, Math.floor(from));
    const below = Math.min(sums.height - 1, Math.floor(to));
    const [high, low] = [from - above, to - below];
    for (let x = 0; x < across; x++) {
      const start = sums.data[above * across + x]!;
      const end = sums.data[below * across + x]!;
      band[x] =
        end +
        (sums.data[(below + 1) * across + x]! - end) * low -
        start -
        (sums.data[(above + 1) * across + x]! - start) * high;
    }
    const tall = to - from;
    for (let x = 0; x < width; x++) {
      const [begin, end] = [columns.begins[x]!, columns.ends[x]!];
      data[y * width + x] = (along(end) - along(begin)) / ((end - begin) * tall);
    }
  }
  return { data, width, height };
}

/** A whole plane, each px of it the mean of `step` px each way. */
export const shrunk = (plane: Plane, step: number): Plane =>
  sampled(sumsOf(plane), {
    left: 0,
    top: 0,
    step,
    width: Math.max(1, Math.floor(plane.width / step)),
    height: Math.max(1, Math.floor(plane.height / step)),
  });
