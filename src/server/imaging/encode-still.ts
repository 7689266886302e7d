/** Encoding a still picture: as told, or as the smallest file that looks the same. */
import sharp, { type Sharp } from "sharp";
import {
  countColors,
  hasTransparency,
  looksTheSame,
  measureDifference,
  type Difference,
  type Format,
  type Pixels,
} from "@/core/pictures";
import { toPixels } from "./open-original";
import { flatColors, settlePalette } from "./settle-palette";
import { setJpegDensity, setPngDensity } from "./set-density";

/** Dots per inch: one CSS px is 1/96 in (CSS Values 4, section 6.2). */
const cssDensity = 96;

export type SettledFormat = Exclude<Format, { kind: "lightest" }>;

export interface EncodedStill {
  readonly bytes: Buffer;
  readonly format: SettledFormat;
  /** From the picture as it was drawn; null where nothing was measured. */
  readonly difference: Difference | null;
}

export const same: Difference = { similarity: 1, worst: 1, color: 0 };

const fromPixels = ({ data, width, height }: Pixels): Sharp =>
  sharp(data, { raw: { width, height, channels: 4 } });

/** Writes an opaque pipeline as JPEG, at 96 dpi and with no other metadata. */
export const encodeJpeg = async (pipeline: Sharp, quality: number): Promise<Buffer> =>
  setJpegDensity(await pipeline.jpeg({ quality, mozjpeg: true }).toBuffer(), cssDensity);

/** Writes a pipeline as PNG of all its colours, likewise. */
export const encodePng = async (pipeline: Sharp): Promise<Buffer> =>
  setPngDensity(await pipeline.png({ compressionLevel: 9 }).toBuffer(), cssDensity);

/**
 * Writes drawn pixels in a format, at 96 dpi and with no other metadata. A palette keeps their flat colours exactly, and
 * is not mixed by dots: at the density of a signature dots are no gain to the eye, and heavier.
 */
export async function encodePixels(drawn: Pixels, format: SettledFormat): Promise<Buffer> {
  const pixels = fromPixels(drawn);
  const pipeline = hasTransparency(drawn) ? pixels : pixels.removeAlpha();
  switch (format.kind) {
    case "jpeg":
      return encodeJpeg(pipeline, format.quality);
    case "palette": {
      const png = await pipeline
        .png({ palette: true, colours: format.colors, effort: 4, dither: 0 })
        .toBuffer();
      return setPngDensity(settlePalette(png, flatColors(drawn)), cssDensity);
    }
    case "png":
      return encodePng(pipeline);
  }
}

/** As above, with how far it is from what was drawn. */
export async function encodeMeasured(drawn: Pixels, format: SettledFormat): Promise<EncodedStill> {
  const bytes = await encodePixels(drawn, format);
  if (format.kind === "png") return { bytes, format, difference: same };
  return { bytes, format, difference: measureDifference(drawn, await toPixels(sharp(bytes))) };
}

const alike = ({ difference }: EncodedStill): boolean => looksTheSame(difference!);

const qualities = [60, 66, 72, 77, 82, 87, 92, 96] as const;

/** The lowest quality that looks the same, by halving: a higher one never looks worse. Null when none does. */
async function lightestJpeg(drawn: Pixels): Promise<EncodedStill | null> {
  let [from, to] = [0, qualities.length - 1];
  let found: EncodedStill | null = null;
  while (from <= to) {
    const middle = (from + to) >> 1;
    const tried = await encodeMeasured(drawn, { kind: "jpeg", quality: qualities[middle]! });
    if (alike(tried)) [found, to] = [tried, middle - 1];
    else from = middle + 1;
  }
  return found;
}

/** More colours than a drawing has: a true-colour PNG would be many times a JPEG. */
const colorsOfPhoto = 5000;

const allColors = { kind: "palette", colors: 256 } as const;

/** The fewest colours of a palette that look the same; null when 256 do not. */
async function lightestPalette(drawn: Pixels): Promise<EncodedStill | null> {
  let found = await encodeMeasured(drawn, allColors);
  if (!alike(found)) return null;
  for (const colors of [16, 4] as const) {
    const tried = await encodeMeasured(drawn, { kind: "palette", colors });
    if (!alike(tried)) break;
    if (tried.bytes.length < found.bytes.length) found = tried;
  }
  return found;
}

/**
 * The smallest of the files that look the same as what was drawn. A photo with clear parts is a palette of 256
 * colours whether or not it looks the same, since all of its colours would be ten times as heavy; the answer says
 * how far it is.
 */
export async function encodeLightest(drawn: Pixels): Promise<EncodedStill> {
  const transparent = hasTransparency(drawn);
  if (countColors(drawn) > colorsOfPhoto)
    return transparent
      ? encodeMeasured(drawn, allColors)
      : ((await lightestJpeg(drawn)) ?? encodeMeasured(drawn, { kind: "png" }));
  // Where few colours do, neither all of them nor a JPEG is smaller.
  const palette = await lightestPalette(drawn);
  if (palette) return palette;
  const full = await encodeMeasured(drawn, { kind: "png" });
  const jpeg = transparent ? null : await lightestJpeg(drawn);
  return jpeg && jpeg.bytes.length < full.bytes.length ? jpeg : full;
}
