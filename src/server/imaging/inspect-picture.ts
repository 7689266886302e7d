/** Checking an uploaded file before anything decodes it: bytes, real type, frames, and size in px. */
import sharp, { type Metadata } from "sharp";
import {
  largestFile,
  longestSide,
  mostFramePixels,
  mostFrames,
  mostPixels,
  sniffType,
  svgTrouble,
  typeRefusal,
  type OriginalType,
  type Size,
} from "@/core/pictures";
import { Refusal } from "../http/refusal";
import { openOriginal } from "./open-original";

export interface InspectedPicture extends Size {
  readonly type: OriginalType;
  readonly transparent: boolean;
  /** 1 for a still picture. */
  readonly frames: number;
}

const megabytes = (bytes: number): string => `${(bytes / 1024 / 1024).toFixed(1)} MB`;
const count = (value: number): string => value.toLocaleString("en");

const damaged = (name: string): Refusal =>
  new Refusal(422, "damaged-picture", `“${name}” is damaged or cut short: save or download it again.`);

const sizeless = (name: string): Refusal =>
  new Refusal(
    422,
    "svg-without-size",
    `“${name}” gives no size at which it can be drawn, or is damaged: export it with a width and a height between 1 and ${count(longestSide)} px.`,
  );

const tooManyPixels = (name: string, { width, height }: Size): Refusal =>
  new Refusal(
    413,
    "too-many-pixels",
    `“${name}” is ${width} × ${height} px, far more than a signature needs: save it with at most ${count(longestSide)} px a side.`,
  );

function checkVector(bytes: Uint8Array, name: string): void {
  const trouble = svgTrouble(new TextDecoder().decode(bytes));
  if (trouble === "external-reference")
    throw new Refusal(
      422,
      "svg-refers-elsewhere",
      `“${name}” takes parts of itself from other files, which would be missing: export it with everything inside.`,
    );
  if (trouble === "entities")
    throw new Refusal(
      422,
      "svg-has-entities",
      `“${name}” defines entities, which are not read: export it as a plain SVG.`,
    );
}

/** What is left of a side by rounding, at the least, when it is drawn larger or smaller. */
const rounding = 0.6;

/** A side of an SVG that is beyond all numbers counts as 1 px, and stays so at any scale. */
async function checkScaling(bytes: Uint8Array, { width, height }: Size, name: string): Promise<void> {
  const { drawn, scale } = await openOriginal(bytes, { scale: () => 2 }).catch(() => {
    throw sizeless(name);
  });
  const least = scale * rounding;
  if (drawn.width < width * least || drawn.height < height * least) throw sizeless(name);
}

async function readHeader(bytes: Uint8Array, type: OriginalType, name: string): Promise<Metadata> {
  try {
    // The limit is our own, with a sentence that says the numbers.
    return await sharp(bytes, { limitInputPixels: false }).metadata();
  } catch {
    throw type === "svg" ? sizeless(name) : damaged(name);
  }
}

/** Refuses with one sentence that names the file and says what to do. */
export async function inspectPicture(bytes: Uint8Array, name: string): Promise<InspectedPicture> {
  if (bytes.length === 0) throw new Refusal(422, "empty-file", `“${name}” is empty: choose the file again.`);
  if (bytes.length > largestFile)
    throw new Refusal(
      413,
      "too-many-bytes",
      `“${name}” has ${megabytes(bytes.length)}, and ${megabytes(largestFile)} is the most: save it smaller first.`,
    );
  const sniffed = sniffType(bytes);
  const refusal = typeRefusal(sniffed, name);
  if (refusal) throw new Refusal(415, "not-a-picture", refusal);
  const type = sniffed as OriginalType;
  if (type === "svg") checkVector(bytes, name);

  const header = await readHeader(bytes, type, name);
  const size = { width: header.autoOrient.width, height: header.autoOrient.height };
  const frames = type === "avif" ? 1 : (header.pages ?? 1);
  if (size.width * size.height > mostPixels || Math.max(size.width, size.height) > longestSide)
    throw tooManyPixels(name, size);
  if (type === "svg") await checkScaling(bytes, size, name);
  if (frames > mostFrames || size.width * size.height * frames > mostFramePixels)
    throw new Refusal(
      413,
      "too-many-frames",
      `“${name}” has ${count(frames)} frames of ${size.width} × ${size.height} px, more than a signature's loop can hold: save it with at most ${mostFrames} frames, or smaller.`,
    );
  try {
    // Decodes the whole of it once, so that a truncated file is found now and not when it is placed.
    const { isOpaque } = await sharp(bytes, {
      failOn: "truncated",
      limitInputPixels: mostFramePixels,
      animated: frames > 1,
    }).stats();
    return { type, ...size, transparent: !isOpaque, frames };
  } catch {
    throw damaged(name);
  }
}
