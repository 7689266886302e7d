/**
 * What one element of foreign HTML looks like once all that is said of it has been read: what it hands down to what is
 * in it (its look) and what is its own (its box). Lengths in px, colours as six hex digits.
 */
import { wordTable } from "../../values";
import { noSides, signatureSettings, type Sides } from "../../signature";

/** `normal` is left to the font; a ratio is of the size of whatever takes it over. */
export type LineHeight = "normal" | { readonly px: number } | { readonly ratio: number };

export interface Look {
  readonly font: string;
  readonly size: number;
  readonly bold: boolean;
  readonly italic: boolean;
  readonly color: string;
  readonly lineHeight: LineHeight;
  readonly letterSpacing: number;
  readonly upperCase: boolean;
  readonly align: "left" | "center" | "right" | null;
  /** How a cell's content stands in its height, as a row or a body of rows hands it down. */
  readonly verticalAlign: "top" | "middle" | "bottom" | null;
  readonly direction: "ltr" | "rtl";
  readonly language: string;
  /** Whether the items of lists have marks. */
  readonly listMarks: boolean;
  /** Whether spaces and line ends show as they are written. */
  readonly preserves: boolean;
  readonly hidden: boolean;
  readonly underline: boolean;
  readonly strikethrough: boolean;
  readonly script: "super" | "sub" | null;
  /** The colour behind a run of text. */
  readonly highlight: string | null;
  /** Where it leads; null outside links. */
  readonly link: string | null;
}

/** What a browser begins with, in the type that a signature begins with. */
export const initialLook: Look = {
  font: signatureSettings.attributes.font.default,
  size: signatureSettings.attributes.size.default,
  bold: false,
  italic: false,
  color: signatureSettings.attributes.textColor.default,
  lineHeight: "normal",
  letterSpacing: 0,
  upperCase: false,
  align: null,
  verticalAlign: null,
  direction: "ltr",
  language: "",
  listMarks: true,
  preserves: false,
  hidden: false,
  underline: false,
  strikethrough: false,
  script: null,
  highlight: null,
  link: null,
};

/** A length, or a share of the room around it. */
export type Length = { readonly px: number } | { readonly percent: number };

export type Display =
  | "inline"
  | "block"
  | "inline-block"
  | "flex"
  | "flex-column"
  | "list-item"
  | "table"
  | "row-group"
  | "row"
  | "cell"
  | "none";

export interface BorderSide {
  readonly width: number;
  readonly style: string;
  readonly color: string;
}

export interface Box {
  readonly display: Display;
  readonly float: "left" | "right" | null;
  readonly clear: boolean;
  readonly width: Length | null;
  readonly height: number | null;
  readonly wholeWidth: boolean;
  readonly padding: Sides<number>;
  readonly margin: Sides<number>;
  /** Whether both side margins take what room is left, which centres it. */
  readonly centred: boolean;
  readonly border: Sides<BorderSide | null>;
  readonly background: string | null;
  readonly radius: number;
  readonly gap: number;
  /** Whether a word processor wrote the mark of a list here, for readers that know no lists of its own. */
  readonly listMark: boolean;
  /** How far the first line begins from the others; px. */
  readonly indent: number;
  /** Whether the cell spacing of a table shows; px. */
  readonly spacing: number;
  /** What a table's attributes say of its cells. */
  readonly cellPadding: number | null;
  readonly cellBorder: boolean;
  /** Whether the text of the element says its own type. */
  readonly saysType: boolean;
  /** Whether it says itself how its text is aligned. */
  readonly saysAlign: boolean;
}

export const plainBox: Box = {
  display: "inline",
  float: null,
  clear: false,
  width: null,
  height: null,
  wholeWidth: false,
  padding: noSides(0),
  margin: noSides(0),
  centred: false,
  border: noSides(null),
  background: null,
  radius: 0,
  gap: 0,
  listMark: false,
  indent: 0,
  spacing: 0,
  cellPadding: null,
  cellBorder: false,
  saysType: false,
  saysAlign: false,
};

/** How high a line of a font's own is, as a share of its size (from the fonts' own ascents and descents). */
const normalHeights = wordTable<number>({
  Arial: 1.149,
  Helvetica: 1.149,
  Verdana: 1.164,
  Tahoma: 1.207,
  "Trebuchet MS": 1.161,
  Georgia: 1.136,
  "Times New Roman": 1.149,
  "Courier New": 1.133,
});

/** The height of one line of a look; px. */
export function lineHeightOf({ lineHeight, font, size }: Pick<Look, "lineHeight" | "font" | "size">): number {
  if (lineHeight === "normal") return size * (normalHeights[font] ?? 1.15);
  return "px" in lineHeight ? lineHeight.px : lineHeight.ratio * size;
}
