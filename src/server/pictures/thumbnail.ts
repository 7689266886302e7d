/** Small drawings of originals for the application's own lists; they are never sent to a recipient. */
import sharp from "sharp";
import { readPicture } from "./files";
import { findOriginal } from "./pictures";

/** Fits into 320 × 240 px. Refuses with 404 for an unknown original. */
export async function thumbnail(hash: string): Promise<Buffer> {
  const { hash: known } = await findOriginal(hash);
  return sharp(await readPicture("originals", known))
    .autoOrient()
    .resize({ width: 320, height: 240, fit: "inside", withoutEnlargement: true })
    .webp({ quality: 80 })
    .toBuffer();
}
