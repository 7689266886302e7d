/**
 * A palette's entries put back to what they stand for: searching for few colours moves them a little. A corner that is a
 * hundredth opaque is a grey corner in dark mode, and a flat colour that is a shade off shows beside a cell of the same
 * colour (W3C PNG 3, sections 11.2.2 and 11.3.1.1).
 */
import { crc32 } from "node:zlib";
import { colorAt, type Pixels } from "@/core/pictures";

type Color = readonly [number, number, number];

/** Steps of 255 that nobody sees by themselves. */
const nearlyClear = 8;
const nearlySame = 6;
/** Part of the opaque pixels that makes a colour a flat one. */
const flatShare = 0.01;

const chunkHead = 8;
const signatureLength = 8;
/** Where the header says how colours are kept; 3 is by palette. */
const colorTypeAt = signatureLength + chunkHead + 9;

/** Every so many pixels are looked at: what fills a hundredth of them is found all the same. */
const lookEvery = 8;

/** Colours that fill a part of a picture evenly, the most frequent first. */
export function flatColors({ data }: Pixels): readonly Color[] {
  const counts = new Map<number, number>();
  let opaque = 0;
  for (let at = 0; at + 3 < data.length; at += 4 * lookEvery) {
    if (data[at + 3] !== 255) continue;
    opaque++;
    const color = colorAt(data, at);
    counts.set(color, (counts.get(color) ?? 0) + 1);
  }
  return [...counts]
    .filter(([, count]) => count >= opaque * flatShare)
    .sort((one, other) => other[1] - one[1])
    .map(([color]) => [color >> 16, (color >> 8) & 255, color & 255]);
}

/** Each flat colour takes the entry nearest to it, if that is near. */
function settleColors(entries: Buffer, flats: readonly Color[]): void {
  const taken = new Set<number>();
  for (const flat of flats) {
    let [nearest, least] = [-1, nearlySame + 1];
    for (let at = 0; at + 2 < entries.length; at += 3) {
      const away = Math.max(...flat.map((value, channel) => Math.abs(entries[at + channel]! - value)));
      if (!taken.has(at) && away < least) [nearest, least] = [at, away];
    }
    if (nearest === -1) continue;
    taken.add(nearest);
    entries.set(flat, nearest);
  }
}

function settleAlphas(entries: Buffer): void {
  for (let index = 0; index < entries.length; index++)
    if (entries[index]! <= nearlyClear) entries[index] = 0;
    else if (entries[index]! >= 255 - nearlyClear) entries[index] = 255;
}

/** Changes the bytes in place, and answers with them. PNGs without a palette stay as they are. */
export function settlePalette(png: Buffer, flats: readonly Color[]): Buffer {
  if (png[colorTypeAt] !== 3) return png;
  for (let at = signatureLength; at + chunkHead <= png.length;) {
    const end = at + chunkHead + png.readUInt32BE(at);
    const type = png.subarray(at + 4, at + chunkHead).toString("latin1");
    const entries = png.subarray(at + chunkHead, end);
    if (type === "PLTE") settleColors(entries, flats);
    if (type === "tRNS") settleAlphas(entries);
    if (type === "PLTE" || type === "tRNS") png.writeUInt32BE(crc32(png.subarray(at + 4, end)), end);
    at = end + 4;
  }
  return png;
}
