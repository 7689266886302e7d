/** The part of a photograph that is to be seen of somebody, as it is first suggested. */
import { carryFocus, clampFocus, findHead, type Focus } from "@/core/pictures";
import { openOriginal, toPixels } from "./open-original";

/** Enough to tell a face by, and little enough to be quick; px. */
const lookedAt = 240;

/** Where no head can be told: so much of the shorter side around what draws the eye. */
const around = 0.7;

/** Around the head, or where none can be told around what draws the eye. In px of the original. */
export async function findFocus(original: Uint8Array): Promise<Focus> {
  const { pipeline, size } = await openOriginal(original);
  const small = await toPixels(
    pipeline.clone().resize({ width: lookedAt, height: lookedAt, fit: "inside", kernel: "cubic" }),
  );
  const head = findHead(small);
  if (head) return carryFocus(head, small, size);
  const side = Math.min(size.width, size.height);
  const { info } = await pipeline
    .resize({ width: side, height: side, fit: "cover", position: "attention" })
    .toBuffer({ resolveWithObject: true });
  // The square that is kept is the shorter side; what draws the eye lies in its middle where there is room.
  const { cropOffsetLeft: left = 0, cropOffsetTop: top = 0 } = info;
  return clampFocus({ x: side / 2 - left, y: side / 2 - top, side: side * around }, size);
}
