/**
 * A signature as rich text (RTF 1.9), for messages that are written so: its tables as rows and cells, its lines with their
 * type, colours and links, and the pictures that are given. It is written from compiled HTML, which holds all of that
 * on its elements. Lengths are twips, of which a CSS px has 15; type is in half points. ASCII only.
 */
import { append } from "../values";
import { channelsOf, toHex } from "../color";
import {
  attributeOf,
  isElement,
  isText,
  lastValue,
  parseDeclarations,
  parseMessage,
  pxLength,
  type Declaration,
  type Element,
} from "../html";
import type { KitPicture } from "./place-pictures";

const twips = (px: number): number => Math.round(px * 15);
const halfPoints = (px: number): number => Math.round(px * 1.5);

/** A letter as RTF has it: ASCII as it is, all else by the number of its UTF-16 units. */
function escaped(text: string): string {
  let written = "";
  for (let at = 0; at < text.length; at++) {
    const letter = text.charAt(at);
    const code = text.charCodeAt(at);
    if (letter === "\\" || letter === "{" || letter === "}") written += `\\${letter}`;
    else if (letter === "\t") written += "\\tab ";
    else if (code >= 32 && code < 127) written += letter;
    else if (code === 0xa0) written += "\\~";
    else if (code >= 127) written += `\\u${code > 32767 ? code - 65536 : code}?`;
  }
  return written;
}

/** How words are set: what elements hand down to what is in them. */
interface Type {
  readonly font: string;
  /** px. */
  readonly size: number;
  readonly color: string;
  readonly bold: boolean;
  readonly italic: boolean;
  readonly underlined: boolean;
  readonly align: "left" | "center" | "right";
  /** px; null for that of the font. */
  readonly lineHeight: number | null;
}

/** Of a table that does not say how wide it is; px. */
const usualWidth = 600;

const usual: Type = {
  font: "Arial",
  size: 13,
  color: "#333333",
  bold: false,
  italic: false,
  underlined: false,
  align: "left",
  lineHeight: null,
};

const styleOf = (element: Element): readonly Declaration[] =>
  parseDeclarations(attributeOf(element, "style") ?? "");

const px = (declarations: readonly Declaration[], property: string): number | null => {
  const value = lastValue(declarations, property);
  return value === null ? null : pxLength(value);
};

function typeOf(element: Element, around: Type): Type {
  const said = styleOf(element);
  const value = (property: string): string | null => lastValue(said, property);
  const tag = element.tagName;
  const align = value("text-align") ?? attributeOf(element, "align");
  const weight = value("font-weight");
  const decoration = value("text-decoration");
  return {
    font: value("font-family")?.split(",")[0]?.replace(/["']/g, "").trim() || around.font,
    size: px(said, "font-size") ?? around.size,
    color: toHex(value("color") ?? "") ?? around.color,
    bold: weight === null ? around.bold || tag === "b" || tag === "strong" : /^(?:bold|[6-9]00)/.test(weight),
    italic: around.italic || tag === "i" || tag === "em" || value("font-style") === "italic",
    underlined: decoration === null ? around.underlined || tag === "u" : decoration.includes("underline"),
    align: align === "center" || align === "right" ? align : align === "left" ? "left" : around.align,
    lineHeight: px(said, "line-height") ?? around.lineHeight,
  };
}

interface Sides {
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
  readonly left: number;
}

/** Padding as one to four px lengths. */
function paddingOf(element: Element): Sides {
  const lengths = (lastValue(styleOf(element), "padding") ?? "")
    .split(/\s+/)
    .map((each) => pxLength(each) ?? 0);
  const [top = 0, right = top, bottom = top, left = right] = lengths;
  return { top, right, bottom, left };
}

/** The pictures that can be carried, by the addresses that the HTML names. */
export type RichPictures = ReadonlyMap<string, KitPicture>;

const blips: Readonly<Partial<Record<string, string>>> = {
  "image/png": "\\pngblip",
  "image/jpeg": "\\jpegblip",
};

const hexOf = (bytes: Uint8Array): string => {
  let written = "";
  for (const byte of bytes) written += byte.toString(16).padStart(2, "0");
  return written;
};

const isBlock = ({ tagName, attrs }: Element): boolean =>
  /^(?:div|p|table|tbody|tr|td|ul|ol|li|hr|h[1-6])$/.test(tagName) ||
  (tagName === "img" && attrs.some(({ name, value }) => name === "style" && /display:block/.test(value)));

/** A line of words in a cell, as it is written. */
interface Paragraph {
  readonly runs: string;
  readonly type: Type;
  /** Room above and below; px. */
  readonly above: number;
  readonly below: number;
}

/** What is shown as a link; itself where it leads nowhere. */
const linkTo = (href: string | null, shown: string): string =>
  shown === "" || href === null
    ? shown
    : `{\\field{\\*\\fldinst HYPERLINK "${escaped(href)}"}{\\fldrslt ${shown}}}`;

class RichTextWriter {
  private readonly fonts: string[] = [];
  private readonly colors: string[] = [];

  constructor(private readonly pictures: RichPictures) {}

  private numberOf(list: string[], value: string): number {
    const known = list.indexOf(value);
    return known >= 0 ? known : list.push(value) - 1;
  }

  /** Colour 0 is whatever is usual. */
  private color(hex: string): number {
    return this.numberOf(this.colors, hex.toUpperCase()) + 1;
  }

  private words(text: string, type: Type): string {
    const shown = escaped(text.replace(/[ \n\r\f]+/g, " "));
    const { font, size, color, bold, italic, underlined } = type;
    const set =
      `\\f${this.numberOf(this.fonts, font)}\\fs${halfPoints(size)}\\cf${this.color(color)}` +
      `${bold ? "\\b" : ""}${italic ? "\\i" : ""}${underlined ? "\\ul" : ""}`;
    return shown === "" ? "" : `{${set} ${shown}}`;
  }

  private picture(element: Element, type: Type): string {
    const found = this.pictures.get(attributeOf(element, "src") ?? "");
    const blip = found && blips[found.type];
    const [width, height] = ["width", "height"].map((name) => Number(attributeOf(element, name)) || 0);
    if (!found || !blip || !width || !height) return this.words(attributeOf(element, "alt") ?? "", type);
    return `{\\pict${blip}\\picwgoal${twips(width)}\\pichgoal${twips(height)} ${hexOf(found.bytes)}}`;
  }

  /** What is in an element, as runs of words, with the blocks in it as lines of their own. */
  private paragraphs(element: Element, around: Type): readonly Paragraph[] {
    const found: Paragraph[] = [];
    let runs = "";
    const close = (type: Type): void => {
      if (runs.trim() !== "") found.push({ runs, type, above: 0, below: 0 });
      runs = "";
    };
    const walk = (parent: Element, type: Type, linked: boolean): void => {
      for (const node of parent.childNodes) {
        if (isText(node)) runs += this.words(node.value, type);
        if (!isElement(node)) continue;
        const own = typeOf(node, type);
        // A picture that is a block in a link is a line by its link.
        if (isBlock(node) && !linked) {
          close(type);
          append(found, this.block(node, own));
        } else if (node.tagName === "br") runs += "\\line ";
        else if (node.tagName === "img") runs += this.picture(node, own);
        else if (node.tagName !== "a") walk(node, own, linked);
        else {
          const before = runs;
          runs = "";
          walk(node, own, true);
          runs = before + linkTo(attributeOf(node, "href"), runs);
        }
      }
    };
    walk(element, around, false);
    close(around);
    return found;
  }

  /** The lines of a block; the cells of a row that hold a line each are one line. */
  private block(node: Element, type: Type): readonly Paragraph[] {
    if (node.tagName === "img") return [{ runs: this.picture(node, type), type, above: 0, below: 0 }];
    if (node.tagName === "tr") {
      const cells = node.childNodes.filter(isElement).map((cell) => this.block(cell, typeOf(cell, type)));
      const [first] = cells.flat();
      if (first && cells.every(({ length }) => length <= 1))
        return [{ ...first, runs: cells.flatMap((cell) => cell.map(({ runs }) => runs)).join("\\~") }];
      return cells.flat();
    }
    const room = paddingOf(node);
    const lines = this.paragraphs(node, type);
    return lines.map((line, index) => ({
      ...line,
      above: line.above + (index === 0 ? room.top : 0),
      below: line.below + (index === lines.length - 1 ? room.bottom : 0),
    }));
  }

  private written({ runs, type, above, below }: Paragraph, cell: Sides | null): string {
    const aligned = { left: "\\ql", center: "\\qc", right: "\\qr" }[type.align];
    const pitch =
      type.lineHeight === null || runs.includes("\\pict") ? "" : `\\sl${twips(type.lineHeight)}\\slmult0`;
    const sides = cell ? `\\intbl\\li${twips(cell.left)}\\ri${twips(cell.right)}` : "";
    return `\\pard${sides}\\sb${twips(above)}\\sa${twips(below)}${pitch}${aligned} ${runs}`;
  }

  private cell(element: Element, around: Type): string {
    const type = typeOf(element, around);
    const room = paddingOf(element);
    const lines = this.paragraphs(element, type);
    if (lines.length === 0) return `\\pard\\intbl\\fs2 \\cell`;
    return lines
      .map((line, index) => {
        const above = line.above + (index === 0 ? room.top : 0);
        const below = line.below + (index === lines.length - 1 ? room.bottom : 0);
        return this.written({ ...line, above, below }, room);
      })
      .map((line, index) => `${line}${index === lines.length - 1 ? "\\cell" : "\\par"}`)
      .join("\r\n");
  }

  /** What a cell says of itself before its row: how it is aligned, edged and filled, and where it ends. */
  private cellSays(element: Element, right: number, merged: "" | "\\clvmgf" | "\\clvmrg"): string {
    const said = styleOf(element);
    const vertical =
      { middle: "\\clvertalc", bottom: "\\clvertalb" }[attributeOf(element, "valign") ?? ""] ?? "\\clvertalt";
    const edges = (["top", "left", "bottom", "right"] as const).map((side) => {
      const [width, color] = borderOf(said, side);
      return width === 0
        ? ""
        : `\\clbrdr${side.charAt(0)}\\brdrs\\brdrw${Math.max(1, twips(width))}\\brdrcf${this.color(color)}`;
    });
    const filled = toHex(lastValue(said, "background-color") ?? attributeOf(element, "bgcolor") ?? "");
    return `${merged}${vertical}${edges.join("")}${filled ? `\\clcbpat${this.color(filled)}` : ""}\\cellx${right}`;
  }

  /** Rows of the outer table; a cell over several rows is merged down them. */
  private table(table: Element, around: Type): string {
    const type = typeOf(table, around);
    const rows = rowsOf(table);
    const all = Number(attributeOf(table, "width") ?? 0) || usualWidth;
    /** Cells that reach into rows below, by the column that they begin at. */
    const reaching = new Map<number, { element: Element; left: number; columns: number; width: number }>();
    return rows
      .map((row) => {
        let says = `\\trowd\\trgaph0\\trleft0`;
        let holds = "";
        let column = 0;
        let right = 0;
        const carry = (): void => {
          for (let held = reaching.get(column); held; held = reaching.get(column)) {
            right += held.width;
            says += this.cellSays(held.element, twips(right), "\\clvmrg");
            holds += "\\pard\\intbl\\cell\r\n";
            held.left -= 1;
            if (held.left === 0) reaching.delete(column);
            column += held.columns;
          }
        };
        for (const cell of row) {
          carry();
          const columns = Number(attributeOf(cell, "colspan") ?? 1);
          const deep = Number(attributeOf(cell, "rowspan") ?? 1);
          const width = Number(attributeOf(cell, "width") ?? 0) || Math.max(1, all - right);
          right += width;
          says += this.cellSays(cell, twips(right), deep > 1 ? "\\clvmgf" : "");
          holds += `${this.cell(cell, type)}\r\n`;
          if (deep > 1) reaching.set(column, { element: cell, left: deep - 1, columns, width });
          column += columns;
        }
        carry();
        return `${says}\r\n${holds}\\row\r\n`;
      })
      .join("");
  }

  whole(html: string): string {
    const { body } = parseMessage(html);
    let written = "";
    for (const node of body.childNodes) {
      if (!isElement(node)) continue;
      if (node.tagName === "table") written += this.table(node, usual);
      else
        for (const line of this.paragraphs(node, typeOf(node, usual)))
          written += `${this.written(line, null)}\\par\r\n`;
    }
    const fonts = this.fonts.map((font, index) => `{\\f${index} ${escaped(font)};}`).join("");
    const colors = this.colors.map((hex) => {
      const [red, green, blue] = channelsOf(hex);
      return `\\red${red}\\green${green}\\blue${blue};`;
    });
    return (
      `{\\rtf1\\ansi\\ansicpg1252\\deff0\\uc1{\\fonttbl${fonts || "{\\f0 Arial;}"}}{\\colortbl;${colors.join("")}}\r\n` +
      `${written}\\pard\\par}\r\n`
    );
  }
}

/** The width and colour of one border. */
function borderOf(said: readonly Declaration[], side: keyof Sides): readonly [width: number, color: string] {
  const value = lastValue(said, `border-${side}`) ?? lastValue(said, "border") ?? "";
  const parts = value.split(/\s+/);
  const width = parts.map((part) => pxLength(part)).find((length) => length !== null) ?? 0;
  const color = parts.map((part) => toHex(part)).find((hex) => hex !== null) ?? "#000000";
  return /\b(?:none|hidden)\b/.test(value) ? [0, color] : [width, color];
}

/** The cells of a table's own rows. */
function rowsOf(table: Element): readonly (readonly Element[])[] {
  return table.childNodes.filter(isElement).flatMap((part) => {
    const rows = part.tagName === "tr" ? [part] : part.childNodes.filter(isElement);
    return rows
      .filter(({ tagName }) => tagName === "tr")
      .map((row) => row.childNodes.filter(isElement).filter(({ tagName }) => /^t[dh]$/.test(tagName)));
  });
}

/** From compiled HTML; pictures that are not given, and those that RTF has no form for, stand there by their alternative text. */
export const richText = (html: string, pictures: RichPictures = new Map()): string =>
  new RichTextWriter(pictures).whole(html);
