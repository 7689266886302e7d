/** Things to know of an original before it is cut. */
import { backgroundColor } from "@/core/pictures";
import sharp from "sharp";
import { openOriginal, toPixels } from "./open-original";

/** Enough to tell what the border is made of. */
const lookSide = 400;

/** The colour of a plain background, or null where the border is of many colours or clear. */
export async function findBackground(original: Uint8Array): Promise<string | null> {
  const { pipeline } = await openOriginal(original);
  // Nearest: mixing neighbours would invent shades that the border does not have.
  const small = pipeline.resize({
    width: lookSide,
    height: lookSide,
    fit: "inside",
    withoutEnlargement: true,
    kernel: "nearest",
  });
  return backgroundColor(await toPixels(small));
}

/** How long each frame of an animation is shown; ms. */
export const frameTimes = async (original: Uint8Array): Promise<readonly number[]> =>
  (await sharp(original).metadata()).delay ?? [];
