/**
 * Taking a plain background away by its colour. Edges are unmixed: what an edge pixel holds of the background is
 * taken out of its colour, so that no pale rim is left on dark.
 */
import { channelsOf, distanceFrom, hexOf } from "../color";
import type { ClearedBackground } from "./cut";
import { byteAt, colorAt, type Pixels } from "./pixels";

/** Changes copies only; opaque and far colours stay byte for byte. */
export function clearBackground({ data, width, height }: Pixels, cleared: ClearedBackground): Pixels {
  const [red, green, blue] = channelsOf(cleared.color);
  const distance = distanceFrom(cleared.color);
  const out = new Uint8Array(data);
  // A logo has few colours and many pixels: each colour is measured once.
  const kept = new Map<number, number>();
  const alphaOf = (at: number): number => {
    const key = colorAt(data, at);
    let alpha = kept.get(key);
    if (alpha === undefined) {
      const away = distance(byteAt(data, at), byteAt(data, at + 1), byteAt(data, at + 2)) - cleared.tolerance;
      alpha = away <= 0 ? 0 : cleared.softness > 0 ? Math.min(1, away / cleared.softness) : 1;
      kept.set(key, alpha);
    }
    return alpha;
  };
  const unmix = (value: number, behind: number, alpha: number): number =>
    Math.max(0, Math.min(255, Math.round((value - behind * (1 - alpha)) / alpha)));
  for (let at = 0; at + 3 < data.length; at += 4) {
    const alpha = alphaOf(at);
    if (alpha === 1) continue;
    out[at + 3] = Math.round(byteAt(data, at + 3) * alpha);
    if (alpha === 0) continue;
    out[at] = unmix(byteAt(data, at), red, alpha);
    out[at + 1] = unmix(byteAt(data, at + 1), green, alpha);
    out[at + 2] = unmix(byteAt(data, at + 2), blue, alpha);
  }
  return { data: out, width, height };
}

/** The colour that a picture's border is made of most, or null where no colour holds half of it. */
export function backgroundColor({ data, width, height }: Pixels): string | null {
  const counts = new Map<number, number>();
  let all = 0;
  const count = (x: number, y: number): void => {
    const at = (y * width + x) * 4;
    all++;
    if (byteAt(data, at + 3) < 128) return;
    // Neighbouring shades of one background are one colour: four bits a channel.
    const key =
      ((byteAt(data, at) >> 4) << 8) | ((byteAt(data, at + 1) >> 4) << 4) | (byteAt(data, at + 2) >> 4);
    counts.set(key, (counts.get(key) ?? 0) + 1);
  };
  for (let x = 0; x < width; x++) for (const y of new Set([0, height - 1])) count(x, y);
  for (let y = 1; y < height - 1; y++) for (const x of new Set([0, width - 1])) count(x, y);
  const [most] = [...counts].sort((one, other) => other[1] - one[1]);
  if (!most || most[1] * 2 < all) return null;
  // The shade at the first border pixel of that colour, exactly.
  for (let at = 0; at + 3 < data.length; at += 4) {
    const key =
      ((byteAt(data, at) >> 4) << 8) | ((byteAt(data, at + 1) >> 4) << 4) | (byteAt(data, at + 2) >> 4);
    if (key === most[0] && byteAt(data, at + 3) >= 128)
      return hexOf(byteAt(data, at), byteAt(data, at + 1), byteAt(data, at + 2));
  }
  return null;
}
