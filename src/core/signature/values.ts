/** Values that only a signature has: addresses, sides, borders, widths of columns. Lengths are CSS px. */
import {
  choice,
  color,
  complain,
  describeValue,
  object,
  px,
  ratio,
  type ObjectValue,
  type TypeOf,
  type Value,
} from "../values";

/** A line's height as a ratio of its largest text. */
export const lineHeight = ratio(1, 2, 0.05);

/** The widest that a part, or the signature, may be; px. */
export const widest = 1200;

/** Addresses that would run when followed. Everything else may stand in a document and be judged as a finding. */
const running = /^(javascript|vbscript|data):/i;

/** Where a link leads. White space and control characters are refused, since clients strip them differently. */
export const linkTarget = describeValue<string, "address">("address", (value) => {
  if (typeof value !== "string" || value.length === 0 || value.length > 2000)
    return complain("an address of at most 2000 characters", value);
  if (/[\s\u0000-\u001f\u007f]/.test(value)) return complain("an address without spaces", value);
  return running.test(value) ? complain("an address that runs nothing", value) : null;
});

const isLanguageTag = (tag: string): boolean => {
  try {
    return Intl.getCanonicalLocales(tag).length === 1;
  } catch {
    return false;
  }
};

/** A language as a well-formed tag (BCP 47, which is RFC 5646), or empty where none is said. */
export const languageTag = describeValue<string, "language">("language", (value) =>
  typeof value === "string" && value.length <= 35 && (value === "" || isLanguageTag(value))
    ? null
    : `“${typeof value === "string" ? value : JSON.stringify(value)}” names no language: write it like en, en-GB or ar.`,
);

/** Where a picture's bytes are: a hosted path `/h/…`, or an address from elsewhere; empty while none is chosen. */
export const pictureSource = describeValue<string, "picture">("picture", (value) => {
  if (typeof value !== "string" || value.length > 2000)
    return complain("a picture's address of at most 2000 characters", value);
  if (/[\u0000-\u001f\u007f"<>]/.test(value)) return complain("an address without quotes or brackets", value);
  return /^(javascript|vbscript):/i.test(value) ? complain("an address that runs nothing", value) : null;
});

export const sideNames = ["top", "right", "bottom", "left"] as const;
export type SideName = (typeof sideNames)[number];
export type Sides<T> = Readonly<Record<SideName, T>>;

export const noSides = <T>(value: T): Sides<T> => ({ top: value, right: value, bottom: value, left: value });

/** The same value for each of the four sides. */
export const sides = <V extends Value<unknown>>(value: V): ObjectValue<Sides<V>> =>
  object(noSides(value), "an object", "side");

/** The values of a shorthand of four sides, by side (CSS Box 4, section 3.1). */
export function bySide<T>(values: readonly T[]): Sides<T> | null {
  const [top, right = top, bottom = top, left = right] = values;
  if (top === undefined || right === undefined || bottom === undefined || left === undefined) return null;
  return values.length > 4 ? null : { top, right, bottom, left };
}

export const borderStyle = choice("solid", "dashed", "dotted");

/** One side's border. */
export const border = object({ width: px(0.5, 8, 0.5), style: borderStyle, color }, "a border");
export type Border = TypeOf<typeof border>;

/** The most px that a column may have. */
export const widestColumn = 2000;
const columnWidth = px(1, widestColumn);

/** The most px that a row may be given. */
export const tallestRow = 2000;

/** Widths of the columns that a cell covers, one each, in px. */
export const columnWidths = describeValue<readonly number[], "widths">("widths", (value) =>
  Array.isArray(value) && value.length > 0 && value.every((width) => columnWidth.check(width) === null)
    ? null
    : complain("a list of widths in whole px", value),
);

export const horizontalAlignment = choice("left", "center", "right");
export const verticalAlignment = choice("top", "middle", "bottom");
export type HorizontalAlignment = TypeOf<typeof horizontalAlignment>;
export type VerticalAlignment = TypeOf<typeof verticalAlignment>;
