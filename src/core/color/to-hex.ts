/** A CSS colour of any notation as six hex digits in capitals; null for what is no opaque colour. */
import { formatHex } from "culori/fn";
import { parseColor } from "./parse-color";

export function toHex(css: string): string | null {
  const color = parseColor(css);
  if (!color || (color.alpha !== undefined && color.alpha < 1)) return null;
  return formatHex(color).toUpperCase();
}
