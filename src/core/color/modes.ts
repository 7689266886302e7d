/** The notations and spaces that colours are read and converted in. */
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
  useMode as register,
} from "culori/fn";

const modes = [
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
];

let known = false;

/**
 * Lets culori know them, and only them be loaded. Whoever makes something of it while a module is set up calls this first:
 * bundlers put modules in another order than they are imported in.
 */
export function knowModes(): void {
  if (known) return;
  known = true;
  for (const mode of modes) register(mode);
}
