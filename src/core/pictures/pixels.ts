/** Pictures as bare pixels: RGBA, four bytes each from 0 to 255, row by row, alpha not multiplied in. */
export interface Pixels {
  readonly data: Uint8Array;
  readonly width: number;
  readonly height: number;
}

/** Red, green and blue of a six-digit hex colour. Throws a RangeError for anything else. */
export function channelsOf(hex: string): readonly [number, number, number] {
  const found = /^#([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/i.exec(hex);
  if (!found) throw new RangeError(`A colour is six hex digits after #, not ${JSON.stringify(hex)}`);
  return [parseInt(found[1]!, 16), parseInt(found[2]!, 16), parseInt(found[3]!, 16)];
}

/** Whether any pixel lets something through. */
export function hasTransparency({ data }: Pixels): boolean {
  for (let at = 3; at < data.length; at += 4) if (data[at]! < 255) return true;
  return false;
}
