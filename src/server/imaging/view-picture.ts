/** Originals as the application's own screens show them; never sent to a recipient. */
import { openOriginal } from "./open-original";

/** As WebP, upright, fitting into a box of px; a vector is drawn at the size that it is shown at. */
export async function viewPicture(
  original: Uint8Array,
  { width, height, frame = 0 }: { width: number; height: number; frame?: number },
): Promise<Buffer> {
  const { pipeline } = await openOriginal(original, {
    frame,
    scale: (size) => Math.min(width / size.width, height / size.height),
  });
  return pipeline
    .resize({ width, height, fit: "inside", withoutEnlargement: true })
    .webp({ quality: 82, effort: 2 })
    .toBuffer();
}
