/** Pictures as bare pixels: RGBA, four bytes each from 0 to 255, row by row, alpha not multiplied in. */
export interface Pixels {
  readonly data: Uint8Array;
  readonly width: number;
  readonly height: number;
}

/** Whether any pixel lets something through. */
export function hasTransparency({ data }: Pixels): boolean {
  for (let at = 3; at < data.length; at += 4) if (byteAt(data, at) < 255) return true;
  return false;
}

/** One channel of a pixel, 0 to 255; 0 beyond the picture. */
export const byteAt = (data: Pixels["data"], at: number): number => data[at] ?? 0;

/** Red, green and blue of the pixel at an offset as one number: 0xRRGGBB. */
export const colorAt = (data: Pixels["data"], at: number): number =>
  (byteAt(data, at) << 16) | (byteAt(data, at + 1) << 8) | byteAt(data, at + 2);
