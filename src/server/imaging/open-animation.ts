/**
 * The frames of an animation. A decoder begins at the first frame whenever it is asked for a later one, so frames are decoded
 * many at a time and handed out from there: one by one, the time would grow with the square of their number.
 */
import sharp, { type Sharp } from "sharp";
import { mostPixels, type Size } from "@/core/pictures";
import { openOriginal } from "./open-original";

/** How many px are decoded at a time: 64 MB as RGBA. */
const pixelsAtOnce = 16_000_000;

export interface OpenedAnimation {
  /** Of each frame; px. */
  readonly size: Size;
  /** A fresh pipeline of one frame, from 0; quick where they are asked for in their order. */
  readonly frame: (index: number) => Promise<Sharp>;
}

interface Decoded {
  readonly first: number;
  readonly count: number;
  readonly data: Buffer;
}

export async function openAnimation(bytes: Uint8Array): Promise<OpenedAnimation> {
  const { pages = 1, orientation = 1 } = await sharp(bytes).metadata();
  const { size } = await openOriginal(bytes);
  // What has to be turned first is opened frame by frame: many together cannot be.
  if (orientation > 1 || pages === 1)
    return { size, frame: async (frame) => (await openOriginal(bytes, { frame })).pipeline };

  const { width, height } = size;
  const frameBytes = width * height * 4;
  const atOnce = Math.max(1, Math.floor(pixelsAtOnce / (width * height)));
  const decode = async (first: number): Promise<Decoded> => {
    const count = Math.min(atOnce, pages - first);
    const options = { failOn: "error", limitInputPixels: mostPixels, page: first, pages: count } as const;
    const data = await sharp(bytes, options).toColorspace("srgb").ensureAlpha().raw().toBuffer();
    if (data.length !== frameBytes * count)
      throw new RangeError(`${count} frames of ${width} × ${height} px came as ${data.length} bytes`);
    return { first, count, data };
  };
  let at: Decoded | null = null;
  return {
    size,
    frame: async (index) => {
      if (!at || index < at.first || index >= at.first + at.count)
        at = await decode(index - (index % atOnce));
      const from = (index - at.first) * frameBytes;
      return sharp(at.data.subarray(from, from + frameBytes), { raw: { width, height, channels: 4 } });
    },
  };
}
