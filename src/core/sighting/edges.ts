/**
 * Edges: how quickly a plane changes at each px, 0 to 1. They are what a picture keeps when a client turns light to dark, so
 * they are what is compared. From a certain slope on all count alike: a pale text is as much there as a black one.
 */
import type { Plane } from "./plane";

/** A change of luma over two px that counts in full. */
const full = 0.2;

/** Slopes by Sobel's operator, blurred by a px, so that half a px of shift is no difference. */
export function edgesOf({ data, width, height }: Plane): Plane {
  const slopes = new Float32Array(width * height);
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const at = y * width + x;
      const above = at - width;
      const below = at + width;
      const across =
        data[above + 1]! +
        2 * data[at + 1]! +
        data[below + 1]! -
        data[above - 1]! -
        2 * data[at - 1]! -
        data[below - 1]!;
      const down =
        data[below - 1]! +
        2 * data[below]! +
        data[below + 1]! -
        data[above - 1]! -
        2 * data[above]! -
        data[above + 1]!;
      slopes[at] = Math.min(1, Math.sqrt(across * across + down * down) / (4 * full));
    }
  return { data: blurred(slopes, width, height), width, height };
}

/** By a quarter, a half and a quarter, each way. */
function blurred(data: Float32Array, width: number, height: number): Float32Array {
  const across = new Float32Array(data.length);
  for (let y = 0; y < height; y++)
    for (let x = 1; x < width - 1; x++) {
      const at = y * width + x;
      across[at] = (data[at - 1]! + 2 * data[at]! + data[at + 1]!) / 4;
    }
  const out = new Float32Array(data.length);
  for (let y = 1; y < height - 1; y++)
    for (let x = 0; x < width; x++) {
      const at = y * width + x;
      out[at] = (across[at - width]! + 2 * across[at]! + across[at + width]!) / 4;
    }
  return out;
}
