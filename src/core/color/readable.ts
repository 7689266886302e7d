/** The nearest colour of the same hue that something holds for. */
import { clampChroma, converter, formatHex } from "culori/fn";
import { parseColor } from "./parse-color";

/** Steps of lightness in OKLCH; less is not seen. */
const step = 0.005;

/**
 * The colour nearest in lightness to a CSS colour for which `holds` is true, with its hue and as much of its chroma as a
 * screen has; six hex digits. Null where it holds for none, or for what is no colour.
 */
export function nearestColor(css: string, holds: (hex: string) => boolean): string | null {
  const parsed = parseColor(css);
  const color = parsed && converter("oklch")(parsed);
  if (!color) return null;
  for (let distance = 0; distance <= 1; distance += step)
    for (const l of [color.l - distance, color.l + distance]) {
      if (l < 0 || l > 1) continue;
      const hex = formatHex(clampChroma({ ...color, l }, "oklch")).toUpperCase();
      if (holds(hex)) return hex;
    }
  return null;
}
