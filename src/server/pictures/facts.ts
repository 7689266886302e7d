/** What is known of pictures' files, for the findings: of cuts from their rows, of others from the last look at them. */
import { factsOfHosted, type PictureFacts, type PictureFactsBySource } from "@/core/checks";
import { findForeignPictures, type ForeignPicture } from "../addresses/foreign-pictures";
import { isUsable } from "../addresses/inspect-address";
import type { Cut } from "./cuts";

/** Largest side of an icon; CSS px. */
const largestIcon = 96;

export function factsOfForeign({ picture, verdict, message }: ForeignPicture): PictureFacts {
  const { width = 0, height = 0, bytes = 0, frames = 1 } = picture ?? {};
  return {
    pixels: picture && { width, height },
    needed: null,
    bytes,
    use: frames > 1 ? "loop" : Math.max(width, height) <= largestIcon ? "icon" : "photo",
    trouble: verdict === "open" ? null : { usable: isUsable({ verdict }), message },
  };
}

/** Sources of which nothing is known are left out. */
export async function factsOf(
  sources: readonly string[],
  cuts: readonly Cut[],
): Promise<PictureFactsBySource> {
  const known = new Map(cuts.map((cut) => [cut.source, factsOfHosted(cut)]));
  const foreign = sources.filter((source) => /^https?:/i.test(source) && !known.has(source));
  for (const picture of await findForeignPictures(foreign))
    known.set(picture.address, factsOfForeign(picture));
  return Object.fromEntries(known);
}
