/**
 * Dark mode by mirroring lightness in OKLCH (Ottosson 2020; CSS Color 4, section 9). The hue is kept, and so is the share
 * of the chroma that a screen has at a lightness and hue: a colour that is mirrored twice is what it was.
 */
import { converter, formatHex, formatHex8, type Oklch } from "culori/fn";
import { remember } from "../memory";
import { knowModes } from "./modes";
import { parseColor } from "./parse-color";

knowModes();
const toOklch = converter("oklch");
const toRgb = converter("rgb");

const edge = 1e-7;
const onScreen = (color: Oklch): boolean => {
  const { r, g, b } = toRgb(color);
  return [r, g, b].every((channel) => channel >= -edge && channel <= 1 + edge);
};

/** The most chroma that sRGB has at a lightness and hue. */
function mostChroma(lightness: number, hue: number | undefined): number {
  let low = 0;
  let high = 0.4;
  for (let step = 0; step < 32; step++) {
    const middle = (low + high) / 2;
    if (onScreen({ mode: "oklch", l: lightness, c: middle, h: hue ?? 0 })) low = middle;
    else high = middle;
  }
  return low;
}

/** Less chroma than this is a grey. */
const grey = 1e-4;

/** A colour of sRGB with its lightness mirrored. */
export function mirrored(color: Oklch): Oklch {
  const l = 1 - color.l;
  const most = color.c < grey ? 0 : mostChroma(color.l, color.h);
  const c = most < grey ? 0 : (color.c / most) * mostChroma(l, color.h);
  return { ...color, l, c };
}

const written = (color: Oklch): string =>
  (color.alpha === undefined || color.alpha >= 1 ? formatHex(color) : formatHex8(color)).toUpperCase();

interface Known {
  readonly lightness: number;
  readonly mirrored: string;
}

/** A colour's lightness from 0 to 1, and it mirrored, as six hex digits, or eight where one sees through it. */
const known = remember((css: string): Known | null => {
  const parsed = parseColor(css);
  const color = parsed && toOklch(parsed);
  // What cannot be seen has no colour to change.
  return color && color.alpha !== 0 ? { lightness: color.l, mirrored: written(mirrored(color)) } : null;
});

/** A CSS colour with its lightness mirrored, as hex digits; null for what is no colour, or cannot be seen. */
export const mirrorLightness = (css: string): string | null => known(css)?.mirrored ?? null;

/** The lightness of a CSS colour in OKLCH, from 0 to 1; null for what is no colour, or cannot be seen. */
export const lightnessOf = (css: string): number | null => known(css)?.lightness ?? null;
