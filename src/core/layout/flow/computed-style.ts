/**
 * What an element's text and boxes are drawn by, from what it says, what it is of itself (WHATWG HTML 15.3) and what it stands in;
 * px. Nothing of how it looks is here but what moves something.
 */
import { attributeOf, type Element } from "../../html";
import type { MeasuredStyle } from "../../measure";
import type { Size } from "../../pictures";
import type { DrawnFace } from "../../signature";
import { wordTable } from "../../values";
import { readOwnStyle, type LineHeight, type OwnStyle } from "./own-style";

export type Direction = "ltr" | "rtl";

export interface Alignment {
  readonly at: "start" | "end" | "left" | "right" | "center";
  /** Whether tables and pictures that stand as blocks go there as well, as the `align` attribute has them do. */
  readonly blocks: boolean;
}

/** What an element hands down. */
export interface TextStyle extends MeasuredStyle {
  readonly lineHeight: LineHeight;
  readonly align: Alignment;
  readonly direction: Direction;
  /** Whether a word that has no room is broken anywhere. */
  readonly breakWords: boolean;
}

/** Which face a family is drawn with; null where it is not there, and the next of its stack is. */
export type FaceOf = (family: string) => DrawnFace | null;

/** Where none of a stack is there (CSS Fonts 4, 2.1.1). */
const generics = wordTable<DrawnFace>({
  "sans-serif": "arimo",
  "system-ui": "arimo",
  serif: "tinos",
  monospace: "cousine",
});

export function drawnFace(families: readonly string[], faceOf: FaceOf): DrawnFace {
  for (const family of families) {
    const face = faceOf(family) ?? generics[family];
    if (face) return face;
  }
  return "tinos";
}

const isBoldTag = (name: string): boolean => name === "b" || name === "strong" || name === "th";
const isItalicTag = (name: string): boolean => name === "i" || name === "em";

/** "smaller", of which sub and sup are. */
const smaller = 1 / 1.2;

function sizeOf({ size }: OwnStyle, name: string, around: number): number {
  if (!size) return name === "sub" || name === "sup" ? around * smaller : around;
  return "px" in size ? size.px : size.times * around;
}

const alignments = wordTable<Alignment["at"]>({
  left: "left",
  right: "right",
  center: "center",
  start: "start",
  end: "end",
});

function alignOf(element: Element, { align }: OwnStyle, around: Alignment): Alignment {
  const { tagName } = element;
  const styled = align === undefined ? undefined : alignments[align];
  if (styled) return { at: styled, blocks: false };
  // On a table the attribute says where the table stands, and nothing of what is in it.
  const said = tagName === "table" || tagName === "img" ? null : attributeOf(element, "align");
  const at = said === null ? undefined : alignments[said.toLowerCase()];
  if (at) return { at, blocks: true };
  // Where the attribute put a table, what is in it begins anew, as browsers have it.
  if (tagName === "table" && around.blocks) return { at: "start", blocks: false };
  return tagName === "th" ? { at: "center", blocks: false } : around;
}

/** The first letter that has a direction (UAX 9, rule P2). */
function firstDirection(text: string): Direction | null {
  for (const letter of text) {
    if (
      /^[\p{Script=Hebrew}\p{Script=Arabic}\p{Script=Syriac}\p{Script=Thaana}\p{Script=Nko}]$/u.test(letter)
    )
      return "rtl";
    if (/^\p{L}$/u.test(letter)) return "ltr";
  }
  return null;
}

function directionOf(element: Element, around: Direction, text: () => string): Direction {
  const said = attributeOf(element, "dir")?.toLowerCase();
  if (said === "ltr" || said === "rtl") return said;
  return said === "auto" ? (firstDirection(text()) ?? "ltr") : around;
}

/** What an element hands down to what is in it. `text` is all that it says. */
export function textStyleOf(
  element: Element,
  own: OwnStyle,
  around: TextStyle,
  faceOf: FaceOf,
  text: () => string,
): TextStyle {
  const { tagName } = element;
  return {
    face: own.families ? drawnFace(own.families, faceOf) : around.face,
    bold: own.bold ?? (isBoldTag(tagName) || around.bold),
    italic: own.italic ?? (isItalicTag(tagName) || around.italic),
    size: sizeOf(own, tagName, around.size),
    letterSpacing: own.letterSpacing ?? around.letterSpacing,
    lineHeight: own.lineHeight ?? around.lineHeight,
    align: alignOf(element, own, around.align),
    direction: directionOf(element, around.direction, text),
    breakWords: own.breakWords ?? around.breakWords,
  };
}

export const ownStyleOf = (element: Element): OwnStyle => readOwnStyle(attributeOf(element, "style") ?? "");

/** A length that an attribute gives; nothing where it is none or zero (WHATWG HTML 2.4.4.5). */
function lengthAttribute(element: Element, name: "width" | "height"): number | undefined {
  const said = attributeOf(element, name)?.trim() ?? "";
  return /^\d+(\.\d+)?(px)?$/.test(said) && Number.parseFloat(said) > 0 ? Number.parseFloat(said) : undefined;
}

/** A length that an element says of itself: its style before its attribute. */
export const lengthSaid = (element: Element, own: OwnStyle, name: "width" | "height"): number | undefined =>
  own[name] ?? lengthAttribute(element, name);

/** The size that a picture says; 0 where it says none, since what its file has is not known here. */
export const sizeSaid = (picture: Element, own: OwnStyle): Size => ({
  width: lengthSaid(picture, own, "width") ?? 0,
  height: lengthSaid(picture, own, "height") ?? 0,
});
