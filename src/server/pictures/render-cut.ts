/** Rendering a cut with sharp: crop, resize at density, frame, encode. Bytes in, bytes out; no files. */
import { createHash } from "node:crypto";
import sharp, { type CreateRaw, type OverlayOptions } from "sharp";
import {
  clampCrop,
  needsTransparency,
  renditionSize,
  type Frame,
  type Recipe,
  type Size,
} from "@/core/pictures";
import { setJpegDensity, setPngDensity } from "./set-density";

/** Dots per inch: one CSS px is 1/96 in (CSS Values 4, section 6.2). */
const cssDensity = 96;

export interface RenderedCut {
  readonly bytes: Buffer;
  readonly type: "png" | "jpeg";
  /** The first 20 hex digits of the SHA-256 of the bytes. */
  readonly hash: string;
}

/** Twenty hex digits are 80 bits: short in the HTML, and no two pictures of a lifetime share them. */
export const contentHash = (bytes: Uint8Array): string =>
  createHash("sha256").update(bytes).digest("hex").slice(0, 20);

/** The frame as a white shape on nothing, in rendition px; what is outside it is cut away. */
function mask(frame: Frame, { width, height }: Size, density: number): string {
  const ring = frame.shape === "circle" ? (frame.ring?.width ?? 0) * density : 0;
  const shape =
    frame.shape === "rounded"
      ? `<rect width="${width}" height="${height}" rx="${frame.radius * density}" fill="#fff"/>`
      : `<ellipse cx="${width / 2}" cy="${height / 2}" rx="${width / 2 - ring / 2}" ry="${height / 2 - ring / 2}" fill="#fff"/>`;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}">${shape}</svg>`;
}

function ringDrawing(frame: Frame, { width, height }: Size, density: number): string | null {
  if (frame.shape !== "circle" || !frame.ring) return null;
  const stroke = frame.ring.width * density;
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><ellipse cx="${width / 2}" cy="${height / 2}" ` +
    `rx="${(width - stroke) / 2}" ry="${(height - stroke) / 2}" fill="none" stroke="${frame.ring.color}" stroke-width="${stroke}"/></svg>`
  );
}

/** The smaller of a palette PNG and a true-colour PNG. */
async function smallestPng(picture: Buffer, raw: CreateRaw): Promise<Buffer> {
  const encode = (palette: boolean): Promise<Buffer> =>
    sharp(picture, { raw })
      .png(palette ? { palette: true, quality: 95, effort: 7 } : { compressionLevel: 9 })
      .toBuffer();
  const [palette, full] = await Promise.all([encode(true), encode(false)]);
  return setPngDensity(palette.length < full.length ? palette : full, cssDensity);
}

/**
 * Renders a recipe over an original's bytes. An opaque cut of a JPEG stays a JPEG; everything else is a PNG.
 * Rejects with sharp's own error when the bytes cannot be decoded.
 */
export async function renderCut(
  original: Uint8Array,
  recipe: Recipe,
  type: "png" | "jpeg",
): Promise<RenderedCut> {
  const upright = sharp(original, { failOn: "error" }).autoOrient().toColorspace("srgb");
  const oriented = await upright.metadata();
  const natural = { width: oriented.autoOrient.width, height: oriented.autoOrient.height };
  const crop = clampCrop(recipe.crop, natural);
  const size = renditionSize(recipe);
  const resized = upright
    .extract({ left: crop.x, top: crop.y, width: crop.width, height: crop.height })
    .resize({ ...size, fit: "fill", kernel: "lanczos3" });

  if (type === "jpeg" && !needsTransparency(recipe.frame)) {
    const encoded = await resized
      .flatten({ background: "#ffffff" })
      .jpeg({ quality: 84, mozjpeg: true })
      .toBuffer();
    const bytes = setJpegDensity(encoded, cssDensity);
    return { bytes, type: "jpeg", hash: contentHash(bytes) };
  }

  const layers: OverlayOptions[] = [];
  if (needsTransparency(recipe.frame))
    layers.push({ input: Buffer.from(mask(recipe.frame, size, recipe.density)), blend: "dest-in" });
  const ring = ringDrawing(recipe.frame, size, recipe.density);
  if (ring) layers.push({ input: Buffer.from(ring) });
  const { data, info } = await resized
    .ensureAlpha()
    .composite(layers)
    .raw()
    .toBuffer({ resolveWithObject: true });
  const bytes = await smallestPng(data, { width: info.width, height: info.height, channels: info.channels });
  return { bytes, type: "png", hash: contentHash(bytes) };
}
