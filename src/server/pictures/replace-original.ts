/** Another file in the place of an original: every cut and loop is made again from it, and signatures and people follow. */
import { eq } from "drizzle-orm";
import type { Cut, Original, Replacement } from "@/contract";
import { carryCrop, originalsOfLoop, type LoopRecipe, type LoopSource, type Recipe } from "@/core/pictures";
import { parseSignature, replaceSources } from "@/core/signature";
import { database } from "../database/database";
import { originals, patterns } from "../database/schema";
import { notFound, Refusal } from "../http/refusal";
import { carryPictures } from "../people/carry-pictures";
import { rewriteSources } from "../signatures/signatures";
import { listCuts, makeCut } from "./cuts";
import { makeLoop } from "./loops";
import { addOriginal, findOriginal, findOriginalRow, toOriginal } from "./originals";

const carryRecipe = (recipe: Recipe, from: Original, to: Original): Recipe => ({
  ...recipe,
  crop: carryCrop(recipe.crop, from, to),
});

function carryLoop(loop: LoopRecipe, from: Original, to: Original): LoopRecipe {
  const swap = (hash: string): string => (hash === from.hash ? to.hash : hash);
  const { source } = loop;
  const crop = loop.crop && carryCrop(loop.crop, from, to);
  const carried = (next: LoopSource): LoopRecipe => ({ ...loop, crop, source: next });
  switch (source.kind) {
    case "animation": {
      const frames = loop.frames.filter(({ picture }) => picture < to.frames);
      return {
        ...carried({ ...source, original: to.hash, count: to.frames }),
        frames: frames.length > 0 ? frames : [{ picture: 0, time: loop.frames[0]!.time }],
      };
    }
    case "pictures":
      return carried({
        ...source,
        originals: source.originals.map(swap),
        looks: source.looks?.map((look, index) =>
          source.originals[index] === from.hash ? carryRecipe(look, from, to) : look,
        ),
      });
    case "ring-cycle":
      return carried({ ...source, original: to.hash, picture: carryRecipe(source.picture, from, to) });
    case "text-reveal":
      return loop;
  }
}

const isMadeOf = ({ loop, originalHash }: Cut, hash: string): boolean =>
  loop ? originalsOfLoop(loop.source).includes(hash) : originalHash === hash;

/** Makes every cut of one original from another, and answers which address follows which. */
async function makeAgain(from: Original, to: Original): Promise<ReadonlyMap<string, string>> {
  const pairs = new Map<string, string>();
  for (const cut of (await listCuts()).filter((candidate) => isMadeOf(candidate, from.hash))) {
    const made = cut.loop
      ? await makeLoop(carryLoop(cut.loop, from, to), cut.fileName)
      : await makeCut(to, carryRecipe(cut.recipe!, from, to));
    pairs.set(cut.source, made.source);
  }
  return pairs;
}

async function rewriteEverywhere(pairs: ReadonlyMap<string, string>): Promise<number> {
  const db = await database();
  for (const pattern of await db.select().from(patterns)) {
    const before = parseSignature(JSON.parse(pattern.document));
    const document = replaceSources(before, pairs);
    if (document === before) continue;
    await db
      .update(patterns)
      .set({ document: JSON.stringify(document.toJSON()) })
      .where(eq(patterns.id, pattern.id));
  }
  return rewriteSources(pairs);
}

/**
 * Keeps a file as the original in another's place. The old cuts stay at their addresses, for what was sent already.
 */
export async function replaceOriginal(hash: string, bytes: Uint8Array, name: string): Promise<Replacement> {
  const from = await findOriginal(hash);
  const added = await addOriginal(bytes, name);
  if (added.hash === hash)
    throw new Refusal(422, "same-file", `“${name}” is the very file that is here already.`);
  const db = await database();
  // The name that recipients read stays.
  await db.update(originals).set({ name: from.name }).where(eq(originals.hash, added.hash));
  const to = await findOriginal(added.hash);
  const pairs = await makeAgain(from, to);
  const changed = await rewriteEverywhere(pairs);
  await carryPictures(from, to);
  await db.update(originals).set({ replacedBy: to.hash }).where(eq(originals.hash, hash));
  return { original: to, cuts: pairs.size, signatures: changed };
}

/** Puts an original back in its place, and its cuts into the signatures; what had replaced it stays in the library. */
export async function takeBackReplacement(hash: string): Promise<Replacement> {
  const from = await findOriginalRow(hash);
  if (!from.replacedBy) throw notFound("replaced original");
  const to = await findOriginal(from.replacedBy);
  const pairs = await makeAgain(from, to);
  const back = new Map([...pairs].map(([old, made]) => [made, old]));
  const changed = await rewriteEverywhere(back);
  await carryPictures(to, toOriginal(from));
  await (await database()).update(originals).set({ replacedBy: null }).where(eq(originals.hash, hash));
  return { original: await findOriginal(hash), cuts: back.size, signatures: changed };
}
