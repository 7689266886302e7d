/** Pictures that tests draw, and reading their pixels. */
import sharp from "sharp";

/** One colour all over. */
export const plain = (
  width: number,
  height: number,
  background: string,
  format: "png" | "jpeg" | "gif" | "webp" = "png",
): Promise<Buffer> =>
  sharp({ create: { width, height, channels: 3, background } })
    .toFormat(format)
    .toBuffer();

/** The left half in one colour, the right half in another. */
export const halves = async (width: number, height: number, left: string, right: string): Promise<Buffer> =>
  sharp({ create: { width, height, channels: 3, background: right } })
    .composite([{ input: await plain(width / 2, height, left), left: 0, top: 0 }])
    .png()
    .toBuffer();

/** A mark on nothing, in a square file with other margins at each side: left, top, right and bottom; px. */
export async function mark(
  side: number,
  [left, top, right, bottom]: readonly [number, number, number, number],
  color: string,
): Promise<Buffer> {
  const drawn = { width: side - left - right, height: side - top - bottom };
  return sharp({ create: { ...drawn, channels: 4, background: color } })
    .extend({ left, top, right, bottom, background: { r: 0, g: 0, b: 0, alpha: 0 } })
    .png()
    .toBuffer();
}

/** Frames of one colour each. */
export async function animation(
  colors: readonly string[],
  {
    width = 40,
    height = 30,
    format = "gif",
    delay = 120,
  }: { width?: number; height?: number; format?: "gif" | "webp"; delay?: number } = {},
): Promise<Buffer> {
  const frames = await Promise.all(colors.map((color) => plain(width, height, color)));
  return sharp(frames, { join: { animated: true } })
    .toFormat(format, { delay: colors.map(() => delay), loop: 0 })
    .toBuffer();
}

export async function pixelsOf(bytes: Uint8Array, page = 0) {
  const { data, info } = await sharp(bytes, { page })
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return {
    data,
    width: info.width,
    height: info.height,
    at: (x: number, y: number): number[] => [
      ...data.subarray((y * info.width + x) * 4, (y * info.width + x) * 4 + 4),
    ],
  };
}
