/** A CSS colour of any notation as six hex digits in capitals; null for what is no opaque colour. */
import { formatHex, parse } from "culori";

export function toHex(css: string): string | null {
  const color = parse(css);
  if (!color || (color.alpha !== undefined && color.alpha < 1)) return null;
  return formatHex(color).toUpperCase();
}
