/** What a picture may weigh and measure before it is decoded, and what it should weigh when it is sent. */

/** Largest file that is taken; bytes. A phone's full photo is under 15 MB. */
export const largestFile = 20 * 1024 * 1024;
/** Most pixels that are decoded: 50 megapixels are 200 MB in memory. */
export const mostPixels = 50_000_000;
/** Longest side that is decoded; px. */
export const longestSide = 12_000;

export type PictureUse = "photo" | "logo" | "icon" | "banner";

/** Weight that a cut of each use should stay under; bytes. */
export const weightBudgets: Readonly<Record<PictureUse, number>> = {
  photo: 40 * 1024,
  logo: 20 * 1024,
  icon: 4 * 1024,
  banner: 60 * 1024,
};

/** Weight that all pictures of a signature together should stay under; bytes. */
export const signatureBudget = 200 * 1024;
