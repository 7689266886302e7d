/** What a picture should weigh at most, by what it is in a signature; bytes. */
import type { Recipe, Use } from "./cut";

export type BudgetKind = Use | "loop";

export const budgets: Readonly<Record<BudgetKind, number>> = {
  photo: 40 * 1024,
  logo: 20 * 1024,
  icon: 4 * 1024,
  banner: 60 * 1024,
  loop: 200 * 1024,
};

/** Weight that all pictures of a signature together should stay under; bytes. */
export const signatureBudget = 200 * 1024;

/** Largest side of an icon; CSS px. */
const largestIcon = 48;

/**
 * What a cut is in a signature: as its recipe says, or told by its size, its proportions, its frame and whether
 * its original came out of a camera.
 */
export function pictureUse(recipe: Recipe, originalType: string): Use {
  if (recipe.use) return recipe.use;
  const { width, height, frame } = recipe;
  if (Math.max(width, height) <= largestIcon) return "icon";
  if (width >= 240 && width >= 3 * height) return "banner";
  const camera = originalType === "jpeg" || originalType === "avif" || originalType === "webp";
  return camera || frame.shape === "circle" || frame.shape === "soft-ellipse" ? "photo" : "logo";
}
