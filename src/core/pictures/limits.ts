/** What a picture may weigh and measure before it is decoded, and what it should weigh when it is sent. */

/** Largest file that is taken; bytes. A phone's full photo is under 15 MB. */
export const largestFile = 20 * 1024 * 1024;
/** Most pixels that are decoded: 50 megapixels are 200 MB in memory. */
export const mostPixels = 50_000_000;
/** Longest side that is decoded; px. */
export const longestSide = 12_000;

/** Weight that all pictures of a signature together should stay under; bytes. */
export const signatureBudget = 200 * 1024;
