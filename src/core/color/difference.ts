/** How far two colours are apart to the eye. */
import { converter, differenceCiede2000, differenceEuclidean, type Color, type Lab } from "culori/fn";
import { knowModes } from "./modes";
import { parseColor } from "./parse-color";

knowModes();
const ciede2000 = differenceCiede2000();
const inLab = differenceEuclidean("lab");
const rgb = (red: number, green: number, blue: number): Color => ({
  mode: "rgb",
  r: red / 255,
  g: green / 255,
  b: blue / 255,
});
const toLab = (color: Color): Lab => converter("lab")(color);

/** CIEDE2000; one step is about what is just seen. Channels 0 to 255, fractions too. */
export const colorDifference = (
  one: readonly [number, number, number],
  other: readonly [number, number, number],
): number => ciede2000(rgb(...one), rgb(...other));

/**
 * The straight distance in CIELAB from one colour to any other; of a fixed colour and many others. Throws a RangeError
 * for what is no colour.
 */
export function distanceFrom(css: string): (red: number, green: number, blue: number) => number {
  const from = parseColor(css);
  if (!from) throw new RangeError(`No colour: ${css}`);
  const origin = toLab(from);
  return (red, green, blue) => inLab(toLab(rgb(red, green, blue)), origin);
}
