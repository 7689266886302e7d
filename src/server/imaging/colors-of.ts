/** The colours that a picture is made of, as they are kept for asking what they stand out from. */
import sharp from "sharp";
import { pictureColors, type PictureColors } from "@/core/pictures";

/** Small enough to be quick, large enough that lines of an icon are not lost; px. */
const lookedAt = 96;

/** Of the first picture of a loop. Rejects with sharp's own error when it cannot be decoded. */
export async function colorsOf(bytes: Uint8Array): Promise<PictureColors> {
  const { data, info } = await sharp(bytes, { limitInputPixels: 64_000_000 })
    .resize(lookedAt, lookedAt, { fit: "inside", withoutEnlargement: true, kernel: "nearest" })
    .ensureAlpha()
    .toColourspace("srgb")
    .raw()
    .toBuffer({ resolveWithObject: true });
  return pictureColors(data, info.width);
}
