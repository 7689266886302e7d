import type { Plane } from "./plane";

/** A plane whose numbers are worked out from their places. */
export const plane = (width: number, height: number, of: (x: number, y: number) => number): Plane => ({
  data: Float32Array.from({ length: width * height }, (_, at) => of(at % width, Math.floor(at / width))),
  width,
  height,
});
