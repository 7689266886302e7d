/**
 * What a style attribute says about where things lie; lengths in px. What is said otherwise than in px, and what is not known
 * here, is told in `unread`, so that nobody takes a drawing for true that passes over something.
 */
import { parseDeclarations, pxLength, readValue } from "../../html";
import { remember } from "../../memory";
import { bySide, sideNames, type SideName, type Sides } from "../../signature";

/** A line's height in px, or as a part of the size of its text. */
export type LineHeight = { readonly px: number } | { readonly times: number } | "normal";

export interface OwnStyle {
  readonly families?: readonly string[];
  /** px, or as a part of what it is in. */
  readonly size?: { readonly px: number } | { readonly times: number };
  readonly bold?: boolean;
  readonly italic?: boolean;
  readonly lineHeight?: LineHeight;
  readonly letterSpacing?: number;
  readonly align?: string;
  readonly breakWords?: boolean;
  readonly display?: string;
  readonly width?: number;
  readonly height?: number;
  readonly leastHeight?: number;
  readonly borderBox?: boolean;
  readonly verticalAlign?: string;
  readonly collapse?: boolean;
  readonly fixed?: boolean;
  readonly padding: Partial<Sides<number>>;
  readonly border: Partial<Sides<number>>;
  /** Declarations that say something about places and are not read. */
  readonly unread: readonly string[];
}

type Writable = { -readonly [K in keyof OwnStyle]: OwnStyle[K] };

/** What is drawn without moving anything. */
const moveless =
  /^(color|background(-.*)?|text-decoration(-.*)?|border-radius|border(-(top|right|bottom|left))?-(color|style)|mso-.*|outline(-.*)?|cursor|opacity|-webkit-.*|box-shadow|text-shadow)$/;

/** Borders are drawn whole px wide, and never thinner than one (CSS Backgrounds 3, section 3.3, and CSSOM snapping). */
const drawnBorder = (width: number): number => (width > 0 && width < 1 ? 1 : Math.floor(width));

/** The width in a border's shorthand; 0 where it has no style. */
function borderWidth(value: string): number {
  const { parts } = readValue(value);
  const drawn = parts.some(({ name }) =>
    /^(solid|dotted|dashed|double|groove|ridge|inset|outset)$/.test(name),
  );
  if (!drawn) return 0;
  const width = parts.find(({ kind }) => kind === "number");
  // "medium" is what a border without a width has.
  return width ? drawnBorder(width.number) : 3;
}

function readLineHeight(value: string): LineHeight | null {
  if (value === "normal") return "normal";
  if (/^\d*\.?\d+$/.test(value) && value !== "0") return { times: Number(value) };
  const px = pxLength(value);
  return px === null ? null : { px };
}

const times = (value: string): number | null => {
  const found = /^(\d*\.?\d+)(em|%)$/.exec(value);
  return found ? Number(found[1]) / (found[2] === "%" ? 100 : 1) : null;
};

function readSize(value: string): OwnStyle["size"] | null {
  const px = pxLength(value);
  if (px !== null) return { px };
  const part = times(value);
  return part === null ? null : { times: part };
}

/** A font stack's families, without their quotes. */
export const familiesIn = (value: string): readonly string[] =>
  value.split(",").map((family) =>
    family
      .trim()
      .replace(/^(['"])(.*)\1$/, "$2")
      .replace(/\\(.)/g, "$1"),
  );

/** Reads one declaration into a style; whether it could. */
function take(style: Writable, property: string, value: string): boolean {
  const length = pxLength(value);
  const side = sideNames.find((name) => property === `padding-${name}` || property === `border-${name}`);
  switch (property) {
    case "font-family":
      style.families = familiesIn(value);
      return true;
    case "font-size":
      return (style.size = readSize(value) ?? style.size) !== undefined;
    case "font-weight":
      style.bold = value === "bold" || value === "bolder" || Number(value) >= 600;
      return true;
    case "font-style":
      style.italic = value === "italic" || value === "oblique";
      return true;
    case "line-height":
      return (style.lineHeight = readLineHeight(value) ?? style.lineHeight) !== undefined;
    case "letter-spacing":
      style.letterSpacing = value === "normal" ? 0 : (length ?? 0);
      return value === "normal" || length !== null;
    case "text-align":
      style.align = value;
      return true;
    case "overflow-wrap":
    case "word-wrap":
      style.breakWords = value === "break-word" || value === "anywhere";
      return value !== "anywhere";
    case "display":
      style.display = value;
      return /^(block|inline|none)$/.test(value);
    case "width":
    case "height":
      if (length !== null) style[property] = length;
      return length !== null || value === "auto";
    case "min-height":
      if (length !== null) style.leastHeight = length;
      return length !== null;
    case "box-sizing":
      style.borderBox = value === "border-box";
      return true;
    case "vertical-align":
      style.verticalAlign = value;
      return /^(top|middle|bottom|baseline|sub|super)$/.test(value);
    case "border-collapse":
      style.collapse = value === "collapse";
      return true;
    case "table-layout":
      style.fixed = value === "fixed";
      return true;
    case "padding": {
      const lengths = value.split(/\s+/).map(pxLength);
      const sides = lengths.includes(null) ? null : bySide(lengths as number[]);
      if (sides) style.padding = sides;
      return sides !== null;
    }
    case "border": {
      const width = borderWidth(value);
      style.border = { top: width, right: width, bottom: width, left: width };
      return true;
    }
    case "margin":
      return /^0(px)?( 0(px)?)*$/.test(value);
    default:
      return takeSide(style, property, value, side ?? null) || moveless.test(property);
  }
}

function takeSide(style: Writable, property: string, value: string, side: SideName | null): boolean {
  if (!side) return false;
  if (property.startsWith("border")) {
    style.border = { ...style.border, [side]: borderWidth(value) };
    return true;
  }
  const length = pxLength(value);
  if (length !== null) style.padding = { ...style.padding, [side]: length };
  return length !== null;
}

/** What a style attribute says; the same text gives the same value. */
export const readOwnStyle = remember((style: string): OwnStyle => {
  const read: Writable = { padding: {}, border: {}, unread: [] };
  const unread: string[] = [];
  for (const { property, value } of parseDeclarations(style))
    if (!take(read, property, lowered(property, value))) unread.push(`${property}:${value}`);
  read.unread = unread;
  return read;
});

/** Keywords are read in small letters; names of families as they are. */
const lowered = (property: string, value: string): string =>
  property === "font-family" ? value : value.toLowerCase();
