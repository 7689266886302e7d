/** Reading a colour in any CSS notation (CSS Color 4). */
import {
  modeHsl,
  modeHwb,
  modeLab,
  modeLab65,
  modeLch,
  modeLrgb,
  modeOklab,
  modeOklch,
  modeP3,
  modeRgb,
  modeXyz50,
  modeXyz65,
  parse,
  useMode as register,
  type Color,
} from "culori/fn";

// Only what is registered is read and converted, and only that is loaded.
for (const mode of [
  modeRgb,
  modeLrgb,
  modeHsl,
  modeHwb,
  modeXyz50,
  modeXyz65,
  modeLab,
  modeLab65,
  modeLch,
  modeOklab,
  modeOklch,
  modeP3,
])
  register(mode);

/** Null for what is no colour; never throws. */
export function parseColor(css: string): Color | null {
  try {
    return parse(css) ?? null;
  } catch {
    return null;
  }
}
