/**
 * A cell: its spans, padding and border per side, background and alignment. Lengths in px. A column's width is
 * the whole of it, padding and borders included; the widths stand on the cells, one for each column covered.
 */
import type { Node } from "prosemirror-model";
import { element, sidesShorthand, type Declarations } from "../html";
import { fontStack } from "../fonts";
import { marked, type BlockKind } from "../kind";
import {
  border,
  columnWidths,
  hexColor,
  noSides,
  number,
  oneOf,
  optional,
  sideNames,
  sides,
  widestColumn,
  type Border,
  type Sides,
} from "../values";
import { innerWidth } from "../lines";
import { lengthToPx } from "../marks/size";
import { toHex } from "../marks/to-hex";
import { placeWidth, setsWidth } from "../table-map";
import { writeChildren, writePlainChildren, type Writing } from "../writing";
import { writeGap } from "./spacer";

export type HorizontalAlignment = "left" | "center" | "right";
export type VerticalAlignment = "top" | "middle" | "bottom";

export interface CellAttributes {
  /** Columns and rows covered; the names are those of HTML, which the table editing package also reads. */
  readonly colspan: number;
  readonly rowspan: number;
  readonly colwidth: readonly number[] | null;
  readonly padding: Sides<number>;
  readonly border: Sides<Border | null>;
  readonly background: string | null;
  readonly align: HorizontalAlignment | null;
  readonly verticalAlign: VerticalAlignment;
}

export const cellAttributes = (cell: Node): CellAttributes => cell.attrs as CellAttributes;

/** One side's border as CSS reads it, or null. */
export const borderText = (value: Border | null): string | null =>
  value && `${value.width}px ${value.style} ${value.color}`;

/** The four sides' borders, as one shorthand where all are the same. */
export function borderDeclarations(borders: Sides<Border | null>): Declarations {
  const texts = sideNames.map((side) => borderText(borders[side]));
  if (texts[0] && texts.every((value) => value === texts[0])) return { border: texts[0] };
  return Object.fromEntries(sideNames.map((side, index) => [`border-${side}`, texts[index]]));
}

/** What the Bench and the compiler both draw a cell with, so that the sheet is true. */
export const cellDeclarations = (cell: CellAttributes, padding: Sides<number>): Declarations => ({
  padding: sideNames.some((side) => padding[side] !== 0) ? sidesShorthand(padding) : null,
  ...borderDeclarations(cell.border),
  "background-color": cell.background,
  "vertical-align": cell.verticalAlign,
});

const styleForDrawing = (cell: CellAttributes): string =>
  Object.entries(cellDeclarations(cell, cell.padding))
    .filter(([, value]) => value !== null)
    .map(([name, value]) => `${name}:${value}`)
    .join(";");

/** A cell whose only content is an empty line is an empty cell, not a line of nothing. */
export const isEmptyCell = (cell: Node): boolean =>
  cell.childCount === 1 && cell.firstChild!.type.name === "line" && cell.firstChild!.childCount === 0;

/** Line heights are at least these here; exact ones stand on the lines, since they would crop a picture. */
function typeDeclarations(writing: Writing): Declarations {
  const { settings } = writing;
  return {
    "font-family": fontStack(settings.font),
    "font-size": settings.size,
    "line-height": Math.round(settings.size * settings.lineHeight),
    color: settings.textColor,
  };
}

/** The whole px that a table cell of some HTML gives for a length, or null. */
const wholePx = (given: string | null | undefined, most: number): number | null => {
  const px = lengthToPx(/^\d+$/.test(given ?? "") ? `${given}px` : (given ?? ""));
  return px !== null && px >= 0 ? Math.min(most, Math.round(px)) : null;
};

/** The measures of a table cell from anywhere: spans, width, padding, alignment and background. */
function readCell(element: HTMLElement): Partial<CellAttributes> {
  const { style } = element;
  const span = (name: string): number => Math.min(20, Number(element.getAttribute(name)) || 1);
  const colspan = Math.max(1, Math.floor(span("colspan")));
  const width = wholePx(style.width || element.getAttribute("width"), widestColumn);
  const each = width && Math.max(1, Math.round(width / colspan));
  const padding = Object.fromEntries(
    sideNames.map((side) => [side, wholePx(style.getPropertyValue(`padding-${side}`), 200) ?? 0]),
  ) as unknown as Sides<number>;
  const one = <const T extends string>(choices: readonly T[], ...given: (string | null)[]): T | null =>
    choices.find((choice) => given.includes(choice)) ?? null;
  return {
    colspan,
    rowspan: Math.max(1, Math.floor(span("rowspan"))),
    colwidth: each ? Array.from({ length: colspan }, () => each) : null,
    padding,
    background: toHex(style.backgroundColor || (element.getAttribute("bgcolor") ?? "")),
    align: one(["left", "center", "right"], style.textAlign, element.getAttribute("align")),
    verticalAlign:
      one(["top", "middle", "bottom"], style.verticalAlign, element.getAttribute("valign")) ?? "middle",
  };
}

export const cellKind: BlockKind = {
  name: "cell",
  word: "cell",
  structure: { content: "block+", tableRole: "cell", isolating: true },
  attributes: {
    colspan: { default: 1, check: number(1, 100, 1) },
    rowspan: { default: 1, check: number(1, 100, 1) },
    colwidth: { default: null, check: optional(columnWidths) },
    padding: { default: noSides(0), check: sides(number(0, 200, 1)) },
    border: { default: noSides(null), check: sides(optional(border)) },
    background: { default: null, check: optional(hexColor) },
    align: { default: null, check: optional(oneOf("left", "center", "right")) },
    verticalAlign: { default: "top", check: oneOf("top", "middle", "bottom") },
  },
  parse: ["td", "th"].map((tag) => ({ tag, getAttrs: readCell })),
  draw(node) {
    const cell = cellAttributes(node);
    return [
      "td",
      {
        ...marked(node),
        ...(cell.colspan > 1 ? { colspan: String(cell.colspan) } : {}),
        ...(cell.rowspan > 1 ? { rowspan: String(cell.rowspan) } : {}),
        ...(cell.align ? { align: cell.align } : {}),
        style: styleForDrawing(cell),
      },
      0,
    ];
  },
  write(node, writing) {
    const cell = cellAttributes(node);
    const { map, place } = writing.cell!;
    const width = placeWidth(map, place);
    const shared = writing.sharedPadding;
    const room = innerWidth(map, place);
    const padding = { ...cell.padding, ...shared };
    const empty = isEmptyCell(node);
    const inside = { ...writing, availableWidth: room };
    const content =
      writeGap(cell.padding.top - shared.top, room, writing) +
      (empty ? "" : writeChildren(node, inside)) +
      writeGap(cell.padding.bottom - shared.bottom, room, writing);
    // Without border-box a browser adds padding and borders to the width that a document engine counts as whole.
    const widened = width !== room;
    const sized = place.row === 0 || setsWidth(map, place);
    return element(
      "td",
      {
        colspan: cell.colspan > 1 ? cell.colspan : null,
        rowspan: cell.rowspan > 1 ? cell.rowspan : null,
        width: sized ? width : null,
        height: (writing.row?.attrs.height as number | null) ?? null,
        // The attribute and not text-align, since only it moves a picture or table that stands as a block.
        align: cell.align,
        valign: cell.verticalAlign,
        bgcolor: cell.background,
      },
      {
        width: sized ? width : null,
        "box-sizing": sized && widened ? "border-box" : null,
        height: (writing.row?.attrs.height as number | null) ?? null,
        ...cellDeclarations(cell, padding),
        // Pictures need the type as well: it is what their alt text is set in while they are blocked.
        ...(empty ? { "font-size": 1, "line-height": 1 } : typeDeclarations(writing)),
      },
      content,
    );
  },
  writePlain: writePlainChildren,
};
