/** What is known of pictures' files, for the findings: of cuts from their rows, of others from the last look at them. */
import type { Cut } from "@/contract";
import { factsOfForeign, factsOfHosted, type PictureFactsBySource } from "@/core/checks";
import { findForeignPictures } from "../addresses/foreign-pictures";

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
