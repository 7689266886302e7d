/**
 * What is in a picture field: an original of the library, and the square of it that is to be seen whatever shape a signature shows it in.
 * In px of the original, origin at its top left, y down. It is kept as one text, as every detail is: `HASH X Y SIDE`.
 */
import { isContentHash } from "../addresses";
import type { Focus } from "../pictures";

export interface PictureDetail {
  /** The content hash of the original. */
  readonly original: string;
  readonly focus: Focus;
}

const written = /^(\w+) (\d{1,5}) (\d{1,5}) (\d{1,5})$/;

/** Null for what is no picture, and for nothing. */
export function readPictureDetail(value: string): PictureDetail | null {
  const [, original = "", x, y, side] = written.exec(value) ?? [];
  if (!isContentHash(original) || Number(side) < 1) return null;
  return { original, focus: { x: Number(x), y: Number(y), side: Number(side) } };
}

export const writePictureDetail = ({ original, focus: { x, y, side } }: PictureDetail): string =>
  [original, Math.max(0, Math.round(x)), Math.max(0, Math.round(y)), Math.max(1, Math.round(side))].join(" ");
