/** Dark mode by mirroring lightness in OKLCH, hue and chroma kept (Ottosson 2020; CSS Color 4, section 9). */
import { clampChroma, converter, formatHex } from "culori/fn";
import { parseColor } from "./parse-color";

/** A CSS colour with its lightness mirrored, as six hex digits; null for what is no colour. */
export function mirrorLightness(css: string): string | null {
  const parsed = parseColor(css);
  const color = parsed && converter("oklch")(parsed);
  if (!color) return null;
  return formatHex(clampChroma({ ...color, l: 1 - color.l }, "oklch")).toUpperCase();
}
