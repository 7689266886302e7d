/** Reading a colour in any CSS notation (CSS Color 4). */
import { parse, type Color } from "culori/fn";
import { knowModes } from "./modes";

knowModes();

/** Null for what is no colour; never throws. */
export function parseColor(css: string): Color | null {
  try {
    return parse(css) ?? null;
  } catch {
    return null;
  }
}
