/** Cutting a picture for where it goes: whole at first, and again at another size. */
import {
  firstDisplaySize,
  largestCrop,
  plainRecipe,
  recipeInLook,
  resizeRecipe,
  wholeCrop,
  type DarkLook,
  type Size,
} from "@/core/pictures";
import type { Cut, CutRequest } from "@/contract";
import { notFound, Refusal } from "../http/refusal";
import { findCuts, makeCut } from "./cuts";
import { loopAgain, loopWhole } from "./loops";
import { findOriginal } from "./originals";

/** The first cut of an original: the whole of it, at its own size at 2x, but no wider than `widest` CSS px. */
export async function cutWhole(originalHash: string, widest: number): Promise<Cut> {
  const original = await findOriginal(originalHash);
  // What moves goes on moving.
  if (original.frames > 1) return loopWhole(original, widest);
  // A vector has the pixels that are asked for.
  const across = original.type === "svg" ? Math.max(original.width, 2 * widest) : original.width;
  const natural = { width: across, height: (across * original.height) / original.width };
  return makeCut(original, plainRecipe(wholeCrop(original), firstDisplaySize(natural, widest)));
}

/** A cut that fills a place of a display size: as much of the original around its middle as has its proportions. */
export async function cutToFill(originalHash: string, place: Size): Promise<Cut> {
  const original = await findOriginal(originalHash);
  if (original.frames > 1) return loopWhole(original, place.width);
  return makeCut(original, plainRecipe(largestCrop(original, place.width / place.height), place));
}

/** A hosted cut, the original that it was made from, and its recipe. */
async function cutWithRecipe(source: string) {
  const [known] = await findCuts([source]);
  if (!known)
    throw new Refusal(
      422,
      "not-hosted",
      "This picture is not hosted here, so it cannot be cut: upload it first.",
    );
  return known;
}

/** A hosted cut made again, as large as it was, so that it is seen on light and on dark. */
async function cutInLook(source: string, look: DarkLook): Promise<Cut> {
  const { originalHash, recipe } = await cutWithRecipe(source);
  if (originalHash === null || !recipe)
    throw new Refusal(422, "not-a-cut", "A loop is drawn anew in its own room: it has several pictures.");
  return makeCut(await findOriginal(originalHash), recipeInLook(recipe, look));
}

/** A hosted cut made again at another display size; everything else of its recipe stays. */
export async function cutAgain(source: string, asked: { width: number } | { height: number }): Promise<Cut> {
  const known = await cutWithRecipe(source);
  if (known.loop) return loopAgain({ loop: known.loop, fileName: known.fileName }, asked);
  const { originalHash, recipe } = known;
  if (originalHash === null || !recipe) throw notFound("original");
  return makeCut(await findOriginal(originalHash), resizeRecipe(recipe, asked));
}

/** A cut as somebody asked for it. */
export async function cutAsAsked(asked: CutRequest): Promise<Cut> {
  switch (asked.kind) {
    case "recipe":
      return makeCut(await findOriginal(asked.original), asked.recipe);
    case "whole":
      return cutWhole(asked.original, asked.widest);
    case "fill":
      return cutToFill(asked.original, asked);
    case "at-width":
      return cutAgain(asked.source, { width: asked.width });
    case "at-height":
      return cutAgain(asked.source, { height: asked.height });
    case "in-look":
      return cutInLook(asked.source, asked.look);
  }
}
