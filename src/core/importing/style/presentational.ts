/** Attributes that say how an element looks, as the declarations that they stand for (WHATWG HTML 15.3). */
import { wordTable } from "../../values";
import { attributeOf, type Declaration, type Element } from "../../html";

/** A dimension as HTML reads it (WHATWG HTML 2.3.4.4): digits, and a sign of percent behind them. */
function dimension(value: string): string | null {
  const found = /^\s*\+?(\d+(?:\.\d+)?)\s*(%?)/.exec(value);
  if (!found) return null;
  return found[2] === "%" ? `${found[1]}%` : `${found[1]}px`;
}

/** The font sizes that `size` stands for; one that begins with a sign counts from 3. */
const fontSizes = ["x-small", "x-small", "small", "medium", "large", "x-large", "xx-large", "xxx-large"];

function fontSize(value: string): string | null {
  const found = /^\s*([+-]?)(\d+)/.exec(value);
  if (!found) return null;
  const number = Number(found[2]);
  const size = found[1] === "+" ? 3 + number : found[1] === "-" ? 3 - number : number;
  return fontSizes[Math.min(7, Math.max(1, size))] ?? null;
}

/** A colour as old attributes have it: the hash may be left out (WHATWG HTML 2.3.6). */
const legacyColor = (value: string): string =>
  /^[0-9a-f]{6}$|^[0-9a-f]{3}$/i.test(value.trim()) ? `#${value.trim()}` : value.trim();

type Reading = (value: string, element: Element) => readonly (readonly [string, string | null])[];

const sized = new Set(["table", "td", "th", "tr", "img", "hr", "col", "video", "iframe"]);
const tables = new Set(["table", "thead", "tbody", "tfoot", "tr", "td", "th"]);

const alignText: Reading = (value, { tagName }) => {
  const side = value.trim().toLowerCase();
  if (tagName === "table" || tagName === "hr")
    return side === "center"
      ? [
          ["margin-left", "auto"],
          ["margin-right", "auto"],
        ]
      : [];
  if (tagName === "img")
    return side === "left" || side === "right" ? [["float", side]] : [["vertical-align", side]];
  return [["text-align", side === "justify" ? "left" : side]];
};

const attributes = wordTable<Reading>({
  width: (value, { tagName }) => (sized.has(tagName) ? [["width", dimension(value)]] : []),
  height: (value, { tagName }) => (sized.has(tagName) ? [["height", dimension(value)]] : []),
  align: alignText,
  valign: (value, { tagName }) => (tables.has(tagName) ? [["vertical-align", value.trim()]] : []),
  bgcolor: (value, { tagName }) =>
    tables.has(tagName) || tagName === "body" ? [["background-color", legacyColor(value)]] : [],
  text: (value, { tagName }) => (tagName === "body" ? [["color", legacyColor(value)]] : []),
  color: (value, { tagName }) =>
    tagName === "font" || tagName === "hr" ? [["color", legacyColor(value)]] : [],
  face: (value, { tagName }) => (tagName === "font" ? [["font-family", value]] : []),
  size: (value, { tagName }) => {
    if (tagName === "hr") return [["height", dimension(value)]];
    return tagName === "font" ? [["font-size", fontSize(value)]] : [];
  },
  dir: (value) => (/^(ltr|rtl)$/i.test(value.trim()) ? [["direction", value.trim()]] : []),
  hspace: (value, { tagName }) =>
    tagName === "img"
      ? [
          ["margin-left", dimension(value)],
          ["margin-right", dimension(value)],
        ]
      : [],
  vspace: (value, { tagName }) =>
    tagName === "img"
      ? [
          ["margin-top", dimension(value)],
          ["margin-bottom", dimension(value)],
        ]
      : [],
  hidden: () => [["display", "none"]],
  clear: (value, { tagName }) => (tagName === "br" ? [["clear", value.trim() || "none"]] : []),
});

/** The declarations of an element's own attributes, in their order. */
export function declaredByAttributes(element: Element): readonly Declaration[] {
  const found: Declaration[] = [];
  for (const { name, value } of element.attrs) {
    const reading = Object.hasOwn(attributes, name) ? attributes[name] : undefined;
    if (!reading) continue;
    for (const [property, said] of reading(value, element))
      if (said !== null && said !== "") found.push({ property, value: said, mark: "" });
  }
  return found;
}

/** What a table says of its cells: their padding, the space between them, and whether each has a border; px. */
export function tableAttributes(table: Element): {
  readonly padding: number | null;
  readonly spacing: number | null;
  readonly border: number;
} {
  const number = (name: string): number | null => {
    const value = attributeOf(table, name);
    if (value === null) return null;
    const found = /^\s*(\d+)/.exec(value);
    // A border without a number is one of 1 px.
    return found ? Number(found[1]) : name === "border" ? 1 : null;
  };
  return { padding: number("cellpadding"), spacing: number("cellspacing"), border: number("border") ?? 0 };
}
