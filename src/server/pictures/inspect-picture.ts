/** Checking an uploaded file before anything decodes it: bytes, real type, and size in px. */
import sharp from "sharp";
import { largestFile, longestSide, mostPixels, sniffType, typeRefusal, type Size } from "@/core/pictures";
import { Refusal } from "../http/refusal";

export interface InspectedPicture extends Size {
  readonly type: "png" | "jpeg";
  readonly transparent: boolean;
}

const megabytes = (bytes: number): string => `${(bytes / 1024 / 1024).toFixed(1)} MB`;

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
  const type = sniffed as "png" | "jpeg";

  let size: Size;
  try {
    // Reads the header only; the limit is our own, with a sentence that says the numbers.
    const header = await sharp(bytes, { limitInputPixels: false }).metadata();
    size = { width: header.autoOrient.width, height: header.autoOrient.height };
  } catch {
    throw damaged(name);
  }
  if (size.width * size.height > mostPixels || Math.max(size.width, size.height) > longestSide)
    throw new Refusal(
      413,
      "too-many-pixels",
      `“${name}” is ${size.width} × ${size.height} px, far more than a signature needs: save it with at most ${longestSide.toLocaleString("en")} px a side.`,
    );
  try {
    // Decodes the whole of it once, so that a truncated file is found now and not when it is placed.
    const { isOpaque } = await sharp(bytes, { failOn: "truncated", limitInputPixels: mostPixels }).stats();
    return { type, ...size, transparent: !isOpaque };
  } catch {
    throw damaged(name);
  }
}

const damaged = (name: string): Refusal =>
  new Refusal(422, "damaged-picture", `“${name}” is damaged or cut short: save or download it again.`);
