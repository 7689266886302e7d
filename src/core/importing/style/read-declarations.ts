/**
 * What one declaration says of a look and a box, property by property (CSS 2.2 and its modules). Values are read by
 * css-tree, never with patterns. A property that a signature cannot hold has a reason in `unheld`; those that say nothing
 * about how a signature looks are in `silent`.
 */
import { wordTable } from "../../values";
import { readValue, type ValuePart } from "../../html";
import { bySide, noSides, type SideName } from "../../signature";
import { length, partsOf, sideOf, withSide, type Draft, type Read } from "./draft";
import type { Display, Length, Look } from "./look";
import { borderPart, borderSide, readBorderPart } from "./read-borders";
import { background, color } from "./read-colors";
import { fontFamily, fontShorthand, fontSize, lineHeight, weights } from "./read-type";

function padding(draft: Draft, part: ValuePart | undefined): number | null {
  const px = length(part, draft.look.size);
  return px === null || px < 0 ? null : px;
}

function paddingSides(draft: Draft, value: string): boolean {
  const lengths = partsOf(value).map((part) => padding(draft, part) ?? 0);
  const sides = bySide(lengths);
  if (sides) draft.box.padding = sides;
  return sides !== null;
}

function margin(draft: Draft, part: ValuePart | undefined): number | "auto" {
  if (part?.kind === "word" && part.name === "auto") return "auto";
  return length(part, draft.look.size) ?? 0;
}

function marginSides(draft: Draft, value: string): boolean {
  const sides = bySide(partsOf(value).map((part) => margin(draft, part)));
  if (!sides) return false;
  draft.box.centred = sides.left === "auto" && sides.right === "auto";
  const px = (side: SideName): number => (sides[side] === "auto" ? 0 : Number(sides[side]));
  draft.box.margin = { top: px("top"), right: px("right"), bottom: px("bottom"), left: px("left") };
  return true;
}

function sized(draft: Draft, value: string): Length | null {
  const [part] = partsOf(value);
  if (part?.kind === "number" && part.name === "%") return { percent: part.number };
  const px = length(part, draft.look.size);
  return px === null ? null : { px };
}

const displays = wordTable<Display>({
  inline: "inline",
  block: "block",
  "flow-root": "block",
  "inline-block": "inline-block",
  flex: "flex",
  "inline-flex": "flex",
  grid: "flex",
  "inline-grid": "flex",
  "list-item": "list-item",
  table: "table",
  "inline-table": "table",
  "table-row-group": "row-group",
  "table-header-group": "row-group",
  "table-footer-group": "row-group",
  "table-row": "row",
  "table-cell": "cell",
  none: "none",
});

const alignments = wordTable<Look["align"]>({
  left: "left",
  center: "center",
  right: "right",
  "-webkit-center": "center",
  middle: "center",
});

const verticals = wordTable<NonNullable<Look["verticalAlign"]>>({
  top: "top",
  "text-top": "top",
  baseline: "top",
  middle: "middle",
  center: "middle",
  bottom: "bottom",
  "text-bottom": "bottom",
});

function decoration(draft: Draft, value: string): boolean {
  const { words } = readValue(value);
  const { look, parent } = draft;
  // A line that is drawn around an element is drawn through what is in it, whatever that says.
  look.underline = words.has("underline") || (parent.underline && parent.link === look.link);
  look.strikethrough = words.has("line-through") || parent.strikethrough;
  if (words.has("overline")) return false;
  return true;
}

function listStyle(draft: Draft, value: string): boolean {
  draft.look.listMarks = !readValue(value).words.has("none");
  return true;
}

const properties = wordTable<Read>({
  font: fontShorthand,
  "font-family": fontFamily,
  "font-size": (draft, value) => fontSize(draft, partsOf(value)[0]),
  "font-weight": weights,
  "font-style": (draft, value) => {
    draft.look.italic = /^(italic|oblique)/i.test(value);
    return true;
  },
  "line-height": (draft, value) => lineHeight(draft, partsOf(value)[0]),
  color,
  "letter-spacing": (draft, value) => {
    const [part] = partsOf(value);
    const px = part?.name === "normal" ? 0 : length(part, draft.look.size);
    if (px !== null) draft.look.letterSpacing = px;
    return px !== null;
  },
  "text-transform": (draft, value) => {
    draft.look.upperCase = value.toLowerCase() === "uppercase";
    return /^(uppercase|none)$/i.test(value);
  },
  "text-decoration": decoration,
  "text-decoration-line": decoration,
  "text-align": (draft, value) => {
    const said = value.toLowerCase();
    const { direction } = draft.look;
    const logical = wordTable<Look["align"]>({
      start: direction === "rtl" ? "right" : "left",
      end: direction === "rtl" ? "left" : "right",
    });
    const align = alignments[said] ?? logical[said];
    if (align) {
      draft.look.align = align;
      draft.box.saysAlign = true;
    }
    return align !== undefined || said === "inherit";
  },
  direction: (draft, value) => {
    draft.look.direction = value.toLowerCase() === "rtl" ? "rtl" : "ltr";
    return true;
  },
  "white-space": (draft, value) => {
    draft.look.preserves = /^(pre|pre-wrap|pre-line|break-spaces)$/i.test(value);
    return /^(normal|pre|pre-wrap)$/i.test(value);
  },
  visibility: (draft, value) => {
    draft.look.hidden = /^(hidden|collapse)$/i.test(value);
    return true;
  },
  "vertical-align": (draft, value) => {
    const said = value.toLowerCase();
    if (draft.inline && (said === "super" || said === "sub")) {
      draft.look.script = said;
      return true;
    }
    const vertical = verticals[said];
    if (vertical && !draft.inline) draft.look.verticalAlign = vertical;
    return draft.inline || vertical !== undefined;
  },
  display: (draft, value) => {
    const display = displays[value.toLowerCase()];
    if (!display) return false;
    draft.box.display = display;
    draft.inline = display === "inline";
    return true;
  },
  "flex-direction": (draft, value) => {
    if (value.startsWith("column") && draft.box.display === "flex") draft.box.display = "flex-column";
    return !value.endsWith("reverse");
  },
  "flex-flow": (draft, value) => {
    if (readValue(value).words.has("column") && draft.box.display === "flex")
      draft.box.display = "flex-column";
    return true;
  },
  gap: (draft, value) => {
    const parts = partsOf(value);
    draft.box.gap = length(parts[1] ?? parts[0], draft.look.size) ?? 0;
    return true;
  },
  "column-gap": (draft, value) => {
    draft.box.gap = length(partsOf(value)[0], draft.look.size) ?? 0;
    return true;
  },
  "align-items": (draft, value) => {
    const vertical =
      verticals[
        value
          .toLowerCase()
          .replace(/^flex-start$|^start$|^stretch$/, "top")
          .replace(/^flex-end$|^end$/, "bottom")
      ];
    if (vertical) draft.look.verticalAlign = vertical;
    return vertical !== undefined;
  },
  "list-style": listStyle,
  "list-style-type": listStyle,
  "mso-list": (draft, value) => {
    draft.box.listMark = readValue(value).words.has("ignore");
    return true;
  },
  "text-indent": (draft, value) => {
    draft.box.indent = length(partsOf(value)[0], draft.look.size) ?? 0;
    // A mark that hangs before its paragraph stands in the paragraph's own room.
    return draft.box.indent <= 0;
  },
  float: (draft, value) => {
    const side = value.toLowerCase();
    draft.box.float = side === "left" || side === "right" ? side : null;
    return true;
  },
  clear: (draft, value) => {
    draft.box.clear = value.toLowerCase() !== "none";
    return true;
  },
  width: (draft, value) => {
    const width = sized(draft, value);
    draft.box.width = width && "px" in width && width.px < 0 ? null : width;
    return width !== null || /^(auto|100%|fit-content|max-content)$/i.test(value);
  },
  "max-width": (draft, value) => {
    const most = sized(draft, value);
    const { width } = draft.box;
    if (most && "px" in most && (width === null || ("percent" in width && width.percent === 100)))
      draft.box.width = most;
    return true;
  },
  height: (draft, value) => {
    const height = sized(draft, value);
    draft.box.height = height && "px" in height ? height.px : null;
    return true;
  },
  // Some kinds of webmail make one of the other.
  "min-height": (draft, value) => {
    const height = sized(draft, value);
    if (height && "px" in height) draft.box.height ??= height.px;
    return true;
  },
  "box-sizing": (draft, value) => {
    draft.box.wholeWidth = value.toLowerCase() === "border-box";
    return true;
  },
  padding: paddingSides,
  margin: marginSides,
  "margin-block": (draft, value) => {
    const [start, end = start] = partsOf(value);
    const px = (part: ValuePart | undefined): number => {
      const read = margin(draft, part);
      return read === "auto" ? 0 : read;
    };
    draft.box.margin = { ...draft.box.margin, top: px(start), bottom: px(end) };
    return true;
  },
  "padding-block": (draft, value) => {
    const [start, end = start] = partsOf(value);
    const px = (part: ValuePart | undefined): number => padding(draft, part) ?? 0;
    draft.box.padding = { ...draft.box.padding, top: px(start), bottom: px(end) };
    return true;
  },
  "padding-inline": (draft, value) => {
    const [start, end = start] = partsOf(value);
    const px = (part: ValuePart | undefined): number => padding(draft, part) ?? 0;
    const [left, right] = draft.look.direction === "rtl" ? [end, start] : [start, end];
    draft.box.padding = { ...draft.box.padding, left: px(left), right: px(right) };
    return true;
  },
  border: (draft, value) => {
    const side = borderSide(draft, value);
    draft.box.border = noSides(side);
    return true;
  },
  "border-radius": (draft, value) => {
    draft.box.radius = length(partsOf(value)[0], draft.look.size) ?? 0;
    // Only a button has one; where no button comes of it, that is told there.
    return true;
  },
  "border-spacing": (draft, value) => {
    draft.box.spacing = length(partsOf(value)[0], draft.look.size) ?? 0;
    return true;
  },
  "border-collapse": (draft, value) => {
    if (value.toLowerCase() === "collapse") draft.box.spacing = 0;
    return true;
  },
  background,
  "background-color": background,
  "background-image": (draft, value) => {
    if (!/^(none|initial)$/i.test(value))
      draft.changed("a background picture", "desktop mail draws none: only its colour is kept");
    return true;
  },
});

const sidePattern =
  /^(padding|margin|border)-(top|right|bottom|left|block-start|block-end|inline-start|inline-end)$/;

/** Properties that a signature cannot hold, each with the reason; everything else that is not read has `otherwise`. */
const unheld = wordTable<string>({
  "box-shadow": "several kinds of client drop shadows",
  "text-shadow": "several kinds of client drop shadows",
  opacity: "several kinds of client drop it: a lighter colour looks the same everywhere",
  filter: "most kinds of client drop it",
  transform: "most kinds of client drop it",
  position: "parts stand in cells: most kinds of client drop positions",
  "word-spacing": "few kinds of client keep it",
  order: "cells stand in the order in which they are read",
  "justify-content": "cells stand beside each other, from where lines begin",
  animation: "nothing moves in a mail but a loop",
  transition: "nothing moves in a mail but a loop",
  "object-fit": "a picture is cut to its size here",
  "font-variant": "few kinds of client keep it",
  "min-width": "a column is as wide as it says",
});
const otherwise = "no kind of part has it";

/** Properties that change nothing in how a signature looks, or that only one program reads. */
const silent: ReadonlySet<string> = new Set(
  (
    "outline outline-style outline-width outline-color cursor table-layout overflow overflow-x overflow-y word-wrap " +
    "word-break overflow-wrap hyphens text-rendering line-break page-break-before page-break-after break-before " +
    "break-after page orphans widows quotes flex flex-grow flex-shrink flex-basis flex-wrap align-self " +
    "align-content justify-items place-items object-position speak caret-color user-select " +
    "pointer-events text-size-adjust font-variant-ligatures font-variant-caps font-variant-east-asian " +
    "font-variant-numeric font-variant-position font-variant-alternates font-feature-settings font-kerning " +
    "font-size-adjust font-stretch font-optical-sizing font-language-override text-decoration-color " +
    "text-decoration-style text-decoration-thickness text-underline-offset text-wrap white-space-collapse " +
    "text-wrap-mode text-justify text-combine-upright tab-size zoom color-scheme forced-color-adjust " +
    "border-image background-repeat background-position background-size background-attachment background-clip " +
    "background-origin unicode-bidi list-style-position list-style-image content " +
    "caption-side empty-cells"
  ).split(" "),
);

export type DeclarationReading = { readonly held: true } | { readonly held: false; readonly reason: string };

const held: DeclarationReading = { held: true };

/** Values that say what would hold without them. */
const sayNothing: ReadonlySet<string> = new Set(
  "none normal auto 0 1 initial unset static inherit revert visible".split(" "),
);

/** Reads one declaration into a draft. Properties are in small letters. */
export function readDeclaration(draft: Draft, property: string, value: string): DeclarationReading {
  const read = properties[property];
  if (read) return read(draft, value) ? held : { held: false, reason: "no signature holds such a value" };
  const sided = sidePattern.exec(property);
  if (sided) {
    const [, kind, name = ""] = sided;
    const side = sideOf(name, draft.look.direction);
    if (side && kind === "padding")
      draft.box.padding = withSide(draft.box.padding, side, padding(draft, partsOf(value)[0]) ?? 0);
    else if (side && kind === "margin") {
      const px = margin(draft, partsOf(value)[0]);
      draft.box.margin = withSide(draft.box.margin, side, px === "auto" ? 0 : px);
      if (px === "auto" && (side === "left" || side === "right")) draft.box.centred = true;
    } else if (side) draft.box.border = withSide(draft.box.border, side, borderSide(draft, value));
    return held;
  }
  const bordered = borderPart.exec(property);
  if (bordered?.[2] !== undefined)
    return readBorderPart(draft, bordered[1], bordered[2], value) ? held : { held: false, reason: otherwise };
  if (silent.has(property) || /^(-|mso-)/.test(property) || sayNothing.has(value.toLowerCase())) return held;
  return { held: false, reason: unheld[property] ?? otherwise };
}
