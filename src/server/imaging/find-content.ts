/** Where something is drawn in a picture, whatever margins its file has. */
import { contentBox } from "@/core/icons";
import { carryCrop, clampCrop, type Rectangle } from "@/core/pictures";
import { openOriginal, toPixels } from "./open-original";

/** A drawing is looked at this large, so that its box is found to a part of its unit; px. */
const lookedAt = 512;

/** The box of what is drawn, in px of the original. Rejects with sharp's own error when it cannot be decoded. */
export async function findContent(original: Uint8Array): Promise<Rectangle> {
  const opened = await openOriginal(original, {
    scale: ({ width, height }) => lookedAt / Math.max(width, height),
  });
  const box = contentBox(await toPixels(opened.pipeline));
  return opened.vector ? clampCrop(carryCrop(box, opened.drawn, opened.size), opened.size) : box;
}
