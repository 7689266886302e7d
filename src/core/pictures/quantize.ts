/**
 * Fewer colours for animations: one palette for all frames, by median cut over a histogram (Heckbert 1982) and a
 * few rounds of moving each colour to the middle of the pixels that are nearest to it. Pixels are RGBA; a pixel
 * less than half opaque becomes wholly clear, any other wholly opaque, since a GIF knows nothing in between.
 */
import { largest, smallest } from "../values";
import { byteAt, colorAt, type Pixels } from "./pixels";

interface Bin {
  count: number;
  red: number;
  green: number;
  blue: number;
}

/** Five bits a channel. */
const keyOf = (data: Pixels["data"], at: number): number =>
  ((byteAt(data, at) >> 3) << 10) | ((byteAt(data, at + 1) >> 3) << 5) | (byteAt(data, at + 2) >> 3);

const channels = ["red", "green", "blue"] as const;
const meanOf = (bin: Bin, channel: (typeof channels)[number]): number => bin[channel] / bin.count;

function histogram(data: Pixels["data"]): Map<number, Bin> {
  const bins = new Map<number, Bin>();
  for (let at = 0; at + 3 < data.length; at += 4) {
    if (byteAt(data, at + 3) < 128) continue;
    const key = keyOf(data, at);
    let bin = bins.get(key);
    if (!bin) bins.set(key, (bin = { count: 0, red: 0, green: 0, blue: 0 }));
    bin.count++;
    bin.red += byteAt(data, at);
    bin.green += byteAt(data, at + 1);
    bin.blue += byteAt(data, at + 2);
  }
  return bins;
}

interface Box {
  readonly bins: readonly Bin[];
  readonly channel: (typeof channels)[number];
  /** How much is gained by splitting it: its widest side times the pixels in it. */
  readonly worth: number;
}

function boxOf(bins: readonly Bin[]): Box {
  let [channel, widest] = ["red" as Box["channel"], -1];
  for (const candidate of channels) {
    const values = bins.map((bin) => meanOf(bin, candidate));
    const side = largest(values) - smallest(values);
    if (side > widest) [channel, widest] = [candidate, side];
  }
  const pixels = bins.reduce((sum, { count }) => sum + count, 0);
  return { bins, channel, worth: bins.length < 2 ? -1 : widest * Math.sqrt(pixels) };
}

function split({ bins, channel }: Box): readonly [Box, Box] {
  const sorted = [...bins].sort((one, other) => meanOf(one, channel) - meanOf(other, channel));
  const half = sorted.reduce((sum, { count }) => sum + count, 0) / 2;
  let [at, sum] = [0, 0];
  for (const { count } of sorted.slice(0, -1)) {
    if (sum + count > half) break;
    sum += count;
    at++;
  }
  const cut = Math.max(1, at);
  return [boxOf(sorted.slice(0, cut)), boxOf(sorted.slice(cut))];
}

type Color = readonly [number, number, number];

const middleOf = (bins: readonly Bin[]): Color => {
  const count = bins.reduce((sum, bin) => sum + bin.count, 0);
  const mean = (channel: (typeof channels)[number]): number =>
    bins.reduce((sum, bin) => sum + bin[channel], 0) / count;
  return [mean("red"), mean("green"), mean("blue")];
};

function nearest(palette: readonly Color[], red: number, green: number, blue: number): number {
  let [best, least] = [0, Infinity];
  for (let index = 0; index < palette.length; index++) {
    const [r, g, b] = palette[index]!;
    // The eye tells shades of green best; the weights are those of the "redmean" approximation.
    const distance = 3 * (r - red) ** 2 + 4 * (g - green) ** 2 + 2 * (b - blue) ** 2;
    if (distance < least) [best, least] = [index, distance];
  }
  return best;
}

const rounds = 3;

function paletteOf(bins: readonly Bin[], most: number): readonly Color[] {
  if (bins.length === 0) return [];
  const boxes = [boxOf(bins)];
  while (boxes.length < most) {
    const widest = boxes.reduce((best, box, index) => (box.worth > boxes[best]!.worth ? index : best), 0);
    if (boxes[widest]!.worth <= 0) break;
    boxes.splice(widest, 1, ...split(boxes[widest]!));
  }
  let palette = boxes.map(({ bins: own }) => middleOf(own));
  for (let round = 0; round < rounds; round++) {
    const groups = palette.map((): Bin[] => []);
    for (const bin of bins)
      groups[nearest(palette, meanOf(bin, "red"), meanOf(bin, "green"), meanOf(bin, "blue"))]!.push(bin);
    palette = groups.map((group, index) => (group.length > 0 ? middleOf(group) : palette[index]!));
  }
  return palette;
}

/** Shades that nobody tells apart: rounding leaves them where a flat colour was mixed and unmixed. */
const sameShade = 3;

/** For few exact colours, which frequent colour each is a shade of; itself where it is none. */
function mergeShades(data: Pixels["data"]): ReadonlyMap<number, number> {
  const counts = new Map<number, number>();
  for (let at = 0; at + 3 < data.length; at += 4) {
    if (byteAt(data, at + 3) < 128) continue;
    const color = colorAt(data, at);
    counts.set(color, (counts.get(color) ?? 0) + 1);
  }
  const kept: number[] = [];
  const merged = new Map<number, number>();
  const near = (one: number, other: number): boolean =>
    [16, 8, 0].every((shift) => Math.abs(((one >> shift) & 255) - ((other >> shift) & 255)) <= sameShade);
  for (const [color] of [...counts].sort((one, other) => other[1] - one[1])) {
    const found = kept.find((frequent) => near(frequent, color));
    if (found === undefined) kept.push(color);
    merged.set(color, found ?? color);
  }
  return merged;
}

/**
 * The pixels with at most `colors` opaque colours, 2 to 256, one of them given up where something is clear. Throws
 * a RangeError for another number.
 */
export function quantize({ data, width, height }: Pixels, colors: number): Pixels {
  if (!Number.isInteger(colors) || colors < 2 || colors > 256)
    throw new RangeError(`A palette has 2 to 256 colours, not ${colors}`);
  const out = new Uint8Array(data.length);
  const exact = new Set<number>();
  let clear = false;
  for (let at = 0; at + 3 < data.length; at += 4)
    if (byteAt(data, at + 3) < 128) clear = true;
    else if (exact.size <= colors) exact.add(colorAt(data, at));
  const most = clear ? colors - 1 : colors;
  const bins = histogram(data);
  // Few flat colours stay exactly what they are.
  const palette = exact.size <= most ? null : paletteOf([...bins.values()], most);
  const shades = palette ? null : mergeShades(data);
  const chosen = new Map<number, Color>();
  for (let at = 0; at + 3 < data.length; at += 4) {
    if (byteAt(data, at + 3) < 128) continue;
    out[at + 3] = 255;
    if (!palette) {
      const shade = shades!.get(colorAt(data, at))!;
      out[at] = shade >> 16;
      out[at + 1] = (shade >> 8) & 255;
      out[at + 2] = shade & 255;
      continue;
    }
    const key = keyOf(data, at);
    let color = chosen.get(key);
    if (!color) {
      const bin = bins.get(key)!;
      color = palette[nearest(palette, meanOf(bin, "red"), meanOf(bin, "green"), meanOf(bin, "blue"))]!;
      chosen.set(key, color);
    }
    out[at] = Math.round(color[0]);
    out[at + 1] = Math.round(color[1]);
    out[at + 2] = Math.round(color[2]);
  }
  return { data: out, width, height };
}

/** How many different colours there are, clear pixels counting as one. */
export function countColors({ data }: Pixels): number {
  const found = new Set<number>();
  for (let at = 0; at + 3 < data.length; at += 4)
    found.add(byteAt(data, at + 3) < 128 ? -1 : colorAt(data, at));
  return found.size;
}
