/** Drawings of originals for the application's own screens; they are never sent to a recipient. */
import { Refusal } from "../http/refusal";
import { imaging } from "../imaging/imaging";
import { findOriginal, readOriginal } from "./originals";

/** Fits into a box of px. Refuses with 404 for an unknown original or a frame that it does not have. */
export async function drawOriginal(
  hash: string,
  box: { width: number; height: number; frame?: number },
): Promise<Response> {
  const { frames } = await findOriginal(hash);
  const { frame = 0 } = box;
  if (frame < 0 || frame >= frames) throw new Refusal(404, "no-such-frame", "There is no such frame.");
  const drawn = await imaging.viewPicture(await readOriginal(hash), box);
  return new Response(new Uint8Array(drawn), {
    headers: { "content-type": "image/webp", "cache-control": "private, max-age=31536000, immutable" },
  });
}
