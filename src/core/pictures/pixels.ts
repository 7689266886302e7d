/** Pictures as bare pixels: RGBA, four bytes each from 0 to 255, row by row, alpha not multiplied in. */
export interface Pixels {
  readonly data: Uint8Array;
  readonly width: number;
  readonly height: number;
}

/** Whether any pixel lets something through. */
export function hasTransparency({ data }: Pixels): boolean {
  for (let at = 3; at < data.length; at += 4) if (data[at]! < 255) return true;
  return false;
}
