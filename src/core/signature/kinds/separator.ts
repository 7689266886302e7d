/**
 * A mark between two things on a line, which goes when either of them is empty. The gaps are measured, in px:
 * one space each side, widened or narrowed by letter spacing, the only inline gap that every client draws.
 */
import { element } from "../../html";
import { spaceWidth } from "../fonts";
import { optional, px, text } from "../../values";
import { attribute, describeAttributes } from "../description";
import { styledText, typeOnStrut } from "../inline";
import { inlineKind, marked } from "../kind";
import type { ReadPieces, TextStyle } from "../piece";
import type { Writing } from "../writing";

const gapWidth = px(0, 40, 0.5);

export const separator = describeAttributes(["separator"], {
  glyph: attribute(text(8), "|"),
  gap: attribute(gapWidth, 6),
  /** Null is as wide as the gap after it; a comma has none. */
  gapBefore: attribute(optional(gapWidth), null),
});

const gap = (width: number, style: TextStyle, space: string, writing: Writing): string => {
  if (width === 0) return "";
  const spacing = Number((width - spaceWidth(style.font, style.size)).toFixed(2));
  const declared = { ...typeOnStrut(style, writing), "letter-spacing": spacing || null };
  const plain = Object.values(declared).every((value) => value === null);
  return plain ? space : element("span", {}, declared, space);
};

export const readSeparator: ReadPieces = (node) => {
  const { glyph, gap: after, gapBefore } = separator.of(node);
  const before = gapBefore ?? after;
  return [
    {
      role: "separator",
      link: null,
      plain: `${before === 0 ? "" : " "}${glyph}${after === 0 ? "" : " "}`,
      // The space before holds the separator to what it follows, so that no line begins with one.
      html: (style, writing) =>
        gap(before, style, "&nbsp;", writing) +
        styledText(glyph, style, writing) +
        gap(after, style, " ", writing),
    },
  ];
};

export const separatorKind = inlineKind({
  name: "separator",
  word: "separator",
  structure: { inline: true, group: "inline", atom: true, selectable: true },
  attributes: separator.attributes,
  draw(node) {
    const { glyph, gap: after, gapBefore } = separator.of(node);
    return ["span", { ...marked(node), style: `padding-inline:${gapBefore ?? after}px ${after}px` }, glyph];
  },
  read: readSeparator,
});
