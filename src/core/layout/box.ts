/** Boxes: px, origin at the top left of what they stand in, y down. */
import { largest, smallest } from "../values";

export interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** The box around some boxes; there is at least one. */
export function around(boxes: readonly Box[]): Box {
  const left = smallest(boxes.map((box) => box.left));
  const top = smallest(boxes.map((box) => box.top));
  return {
    left,
    top,
    width: largest(boxes.map((box) => box.left + box.width)) - left,
    height: largest(boxes.map((box) => box.top + box.height)) - top,
  };
}

/** A box with so much room around it, each way; less where that is below zero. */
export const grown = ({ left, top, width, height }: Box, by: number): Box => ({
  left: left - by,
  top: top - by,
  width: width + 2 * by,
  height: height + 2 * by,
});

export const shifted = ({ left, top, width, height }: Box, across: number, down: number): Box => ({
  left: left + across,
  top: top + down,
  width,
  height,
});
