/** Drawings of originals for the application's own screens; they are never sent to a recipient. */
import type { Original } from "@/contract";
import { bytesAnswer } from "../http/handle";
import { Refusal } from "../http/refusal";
import { imaging } from "../imaging/imaging";
import { findOriginal, readOriginal } from "./originals";

interface Box {
  readonly width: number;
  readonly height: number;
  readonly frame?: number;
}

/** Small drawings are asked for by every list; so many stay, 10 KB each or so. */
const mostKept = 500;
const smallSide = 400;
const kept = new Map<string, Promise<Buffer>>();

const draw = async (hash: string, box: Box): Promise<Buffer> =>
  imaging.viewPicture(await readOriginal(hash), box);

/** Content under a hash never changes, so a drawing of it stays true. */
function drawSmall(hash: string, box: Box): Promise<Buffer> {
  const key = `${hash} ${box.width} ${box.height} ${box.frame ?? 0}`;
  let drawing = kept.get(key);
  if (!drawing) {
    drawing = draw(hash, box);
    kept.set(key, drawing);
    drawing.catch(() => kept.delete(key));
    for (const oldest of kept.keys()) {
      if (kept.size <= mostKept) break;
      kept.delete(oldest);
    }
  }
  return drawing;
}

/** Fits into a box of px. Refuses with 404 for an unknown original or a frame that it does not have. */
export async function drawOriginal(hash: string, box: Box): Promise<Response> {
  const { frames } = await findOriginal(hash);
  const { frame = 0 } = box;
  if (frame < 0 || frame >= frames) throw new Refusal(404, "no-such-frame", "There is no such frame.");
  const drawn = await (box.width <= smallSide ? drawSmall(hash, box) : draw(hash, box));
  return bytesAnswer(drawn, {
    "content-type": "image/webp",
    "cache-control": "private, max-age=31536000, immutable",
  });
}

/** An original with what is worth knowing before it is cut: the one colour behind it, where it has one. */
export const describeOriginal = async (
  hash: string,
): Promise<{ original: Original; background: string | null }> => ({
  original: await findOriginal(hash),
  background: await imaging.findBackground(await readOriginal(hash)),
});
