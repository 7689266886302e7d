/**
 * A mark between two things on a line, which goes when either of them is empty. The gaps are measured, in px:
 * one space each side, widened or narrowed by letter spacing, the only inline gap that every client draws.
 */
import { spaceWidth } from "../fonts";
import { element } from "../html";
import { styledText, type ReadPieces, type TextStyle } from "../inline";
import { marked, type InlineKind } from "../kind";
import { number, optional, text } from "../values";

export interface SeparatorAttributes {
  readonly glyph: string;
  readonly gap: number;
  readonly gapBefore: number | null;
}

const gap = (width: number, style: TextStyle, space: string): string => {
  if (width === 0) return "";
  const spacing = Number((width - spaceWidth(style.font, style.size)).toFixed(2));
  return spacing === 0 ? space : element("span", {}, { "letter-spacing": spacing }, space);
};

export const readSeparator: ReadPieces = (node) => {
  const { glyph, gap: after, gapBefore } = node.attrs as SeparatorAttributes;
  const before = gapBefore ?? after;
  return [
    {
      role: "separator",
      link: null,
      plain: `${before === 0 ? "" : " "}${glyph}${after === 0 ? "" : " "}`,
      // The space before holds the separator to what it follows, so that no line begins with one.
      html: (style, writing) =>
        gap(before, style, "&nbsp;") + styledText(glyph, style, writing) + gap(after, style, " "),
    },
  ];
};

export const separatorKind: InlineKind = {
  name: "separator",
  word: "separator",
  structure: { inline: true, group: "inline", atom: true, selectable: true },
  attributes: {
    glyph: { default: "|", check: text(8) },
    gap: { default: 6, check: number(0, 40, 0.5) },
    /** Null is as wide as the gap after it; a comma has none. */
    gapBefore: { default: null, check: optional(number(0, 40, 0.5)) },
  },
  draw: (node) => [
    "span",
    {
      ...marked(node),
      style: `padding-inline:${node.attrs.gapBefore ?? node.attrs.gap}px ${node.attrs.gap}px`,
    },
    node.attrs.glyph as string,
  ],
  read: readSeparator,
};
