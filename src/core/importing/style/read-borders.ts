/** Borders, whole or by their parts (CSS Backgrounds and Borders 3). Widths in px. */
import { lightCanvas } from "../../color";
import { lengthOf, readValue } from "../../html";
import { bySide, sideNames, type SideName } from "../../signature";
import { partsOf, withSide, type Draft } from "./draft";
import type { BorderSide } from "./look";
import { opaqueHex, transparent } from "./read-colors";

const borderStyles = new Set("none hidden solid dashed dotted double groove ridge inset outset".split(" "));

/** One side as its shorthand says it; null where nothing is drawn. */
export function borderSide(draft: Draft, value: string): BorderSide | null {
  const { look } = draft;
  const reading = readValue(value);
  let width = 3;
  let style = "none";
  let ink = look.color;
  for (const part of reading.parts) {
    if (part.kind === "word" && borderStyles.has(part.name)) style = part.name;
    else {
      const read = lengthOf(part, look.size);
      if (read !== null) width = read;
    }
  }
  const named = reading.colors
    .filter(({ source }) => !borderStyles.has(source.toLowerCase()))
    .map(({ source }) => (transparent(source) ? null : (opaqueHex(source, lightCanvas)?.hex ?? null)));
  const own = named.find((hex) => hex !== null);
  if (own) ink = own;
  else if (reading.colors.some(({ source }) => transparent(source) && source.toLowerCase() !== "none"))
    return null;
  return style === "none" || style === "hidden" || width <= 0 ? null : { width, style, color: ink };
}

/** Properties that say one part of a border. */
export const borderPart = /^border-(?:(top|right|bottom|left)-)?(width|style|color)$/;

/** What only one part of a border says, upon what is known of it; a side that is not drawn yet is remembered nowhere. */
export function readBorderPart(draft: Draft, side: string | undefined, part: string, value: string): boolean {
  const parts = partsOf(value);
  const values = bySide(parts);
  if (!values && !readValue(value).colors.length) return false;
  const sides = side === undefined ? sideNames : [side as SideName];
  for (const name of sides) {
    const given = side === undefined ? values?.[name] : parts[0];
    const before = draft.box.border[name] ?? pending(draft);
    let after: BorderSide = before;
    if (part === "style" && given) after = { ...before, style: given.name };
    if (part === "width" && given)
      after = { ...before, width: lengthOf(given, draft.look.size) ?? before.width };
    if (part === "color") {
      const color = given ? opaqueHex(given.source, lightCanvas)?.hex : undefined;
      if (color) after = { ...before, color };
    }
    draft.box.border = withSide(draft.box.border, name, after);
  }
  return true;
}

/** A side of which only a part is said so far: without a style it is not drawn. */
const pending = (draft: Draft): BorderSide => ({
  width: 3,
  style: "none",
  color: draft.look.color,
});
