/**
 * How much of a picture can be told from what is behind it. A picture is kept as the few colours that its visible pixels
 * have and the share of each, so that this can be asked of any background without its pixels.
 */
import { channelsOf, colorDifference, contrast, hexOf, isHex } from "../color";
import { colorBoxes, type Sorting } from "./color-boxes";

export interface PictureColor {
  /** Six hex digits. */
  readonly color: string;
  /** Of the pixels that can be seen, from 0 to 1, by how opaque they are. */
  readonly share: number;
  /** Whether all four corners of the picture have it, and let nothing through. */
  readonly corner: boolean;
}

export type PictureColors = readonly PictureColor[];

/** Near colours count as one, and each pixel by how opaque it is; what is nearly clear is not seen. */
const sorting: Sorting = { bits: 4, weightOf: (alpha) => (alpha < 16 ? 0 : alpha) };
/** The most colours that are kept; the rest are mostly edges. */
const mostColors = 48;

/**
 * Contrast from which something is told from what is behind it at all: a dark green plate on black is still seen. To be
 * made out without effort, drawings need 3:1 (WCAG 2.2, 1.4.11).
 */
const standsOut = 2;

/** A picture of which less can be told from what is behind it has vanished. */
export const leastVisibility = 0.2;

/** What lets less through than this is solid. */
const solid = 240;

/** The colour that all four corners of a picture have; null where they differ, or something is seen through one. */
function cornerOf(pixels: Uint8Array | Uint8ClampedArray, width: number): string | null {
  const height = Math.floor(pixels.length / 4 / width);
  const corners = [0, width - 1, (height - 1) * width, height * width - 1].map((at) => ({
    color: hexOf(pixels[at * 4] ?? 0, pixels[at * 4 + 1] ?? 0, pixels[at * 4 + 2] ?? 0),
    alpha: pixels[at * 4 + 3] ?? 0,
  }));
  const [first] = corners;
  return first && corners.every(({ color, alpha }) => alpha >= solid && isNear(color, first.color))
    ? first.color
    : null;
}

/** No eye tells these apart; CIEDE2000. */
const isNear = (one: string, other: string): boolean =>
  colorDifference(channelsOf(one), channelsOf(other)) < 4;

/**
 * The colours of a picture of so many px across, its pixels as RGBA, four bytes each: the most frequent first; none of one
 * that is wholly clear.
 */
export function pictureColors(pixels: Uint8Array | Uint8ClampedArray, width: number): PictureColors {
  const boxes = colorBoxes(pixels, sorting);
  const all = boxes.reduce((sum, { weight }) => sum + weight, 0);
  const corner = boxes.length > 0 ? cornerOf(pixels, width) : null;
  return boxes.slice(0, mostColors).map(({ weight, color: [red, green, blue] }) => {
    const color = hexOf(Math.round(red), Math.round(green), Math.round(blue));
    return {
      color,
      share: Math.round((weight / all) * 10_000) / 10_000,
      corner: corner !== null && isNear(color, corner),
    };
  });
}

/** From this share on, what is as the page around it is the picture's own ground, and not a light line in it. */
const ownGround = 0.3;

const shareOf = (colors: PictureColors): number => colors.reduce((sum, { share }) => sum + share, 0);

/**
 * The share of what a picture shows that can be told from what is around it, on a CSS colour `behind` it. What it shows is
 * what stands out where it was designed, on `design`: a white plate on white paper is none of it, and what is drawn on that
 * plate is seen on any ground. 1 for one that is wholly clear.
 */
export function visibilityOn(colors: PictureColors, behind: string, design: string): number {
  if (shareOf(colors) === 0) return 1;
  const drawn = colors.filter(({ color }) => contrast(color, design) >= standsOut);
  const shown = drawn.length > 0 ? drawn : colors;
  const [ground, ...grounds] = colors.filter((color) => !shown.includes(color));
  const lies = ground && shareOf([ground, ...grounds]) >= ownGround * shareOf(colors) ? ground.color : null;
  const seen = shown.filter(
    ({ color }) =>
      contrast(color, behind) >= standsOut || (lies !== null && contrast(color, lies) >= standsOut),
  );
  return shareOf(seen) / shareOf(shown);
}

/** Whether a value that was kept is a list of colours with their shares. */
export const isPictureColors = (value: unknown): value is PictureColors =>
  Array.isArray(value) &&
  value.every(
    (entry: unknown) =>
      typeof entry === "object" &&
      entry !== null &&
      isHex(String((entry as PictureColor).color)) &&
      typeof (entry as PictureColor).share === "number" &&
      typeof (entry as PictureColor).corner === "boolean",
  );
