/** What a picture may weigh and measure before it is decoded, and what it should weigh when it is sent. */

/** Largest file that is taken; bytes. A phone's full photo is under 15 MB. */
export const largestFile = 20 * 1024 * 1024;
/** Most pixels that are decoded: 50 megapixels are 200 MB in memory. */
export const mostPixels = 50_000_000;
/** Longest side that is decoded; px. */
export const longestSide = 12_000;

/** Most frames of an animation that are decoded, and most pixels of all of them together. */
export const mostFrames = 300;
export const mostFramePixels = 60_000_000;
/** Most pictures that one archive may hold, and most bytes of all of them unpacked. */
export const mostInArchive = 200;
export const largestArchive = 100 * 1024 * 1024;
