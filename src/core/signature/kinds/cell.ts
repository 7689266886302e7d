/**
 * A cell: its spans, padding and border per side, background and alignment. Lengths in px. A column's width is
 * the whole of it, padding and borders included; the widths stand on the cells, one for each column covered.
 */
import type { Node } from "prosemirror-model";
import { element, sidesShorthand, type Declarations } from "../../html";
import { fontStack } from "../fonts";
import { blockKind, marked } from "../kind";
import { sideNames, type Border, type Sides } from "../values";
import { cell, type CellAttributes } from "./cell-attributes";
import { heightOf } from "./line";
import { boxWidth, innerWidth, setsWidth } from "../table-map";
import { writeChildren, writePlainChildren, type Writing } from "../writing";
import { writeGap } from "./spacer";

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
export const cellDeclarations = (own: CellAttributes, padding: Sides<number>): Declarations => ({
  padding: sideNames.some((side) => padding[side] !== 0) ? sidesShorthand(padding) : null,
  ...borderDeclarations(own.border),
  "background-color": own.background,
  "vertical-align": own.verticalAlign,
});

const styleForDrawing = (own: CellAttributes): string =>
  Object.entries(cellDeclarations(own, own.padding))
    .filter(([, value]) => value !== null)
    .map(([name, value]) => `${name}:${value}`)
    .join(";");

/** A cell whose only content is an empty line is an empty cell, not a line of nothing. */
export const isEmptyCell = (node: Node): boolean =>
  node.childCount === 1 && node.firstChild?.type.name === "line" && node.firstChild.childCount === 0;

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

/** Nothing in an empty cell is high by itself. */
const emptyDeclarations = (height: number | null, { documentEngine }: Writing): Declarations => ({
  "font-size": 1,
  "line-height": height ?? 1,
  "mso-line-height-rule": height !== null && documentEngine ? "exactly" : null,
});

/** Where the cell being written lies. Throws a TypeError outside a row. */
function placeOfCell({ cell: here }: Writing): NonNullable<Writing["cell"]> {
  if (!here) throw new TypeError("A cell is written by its row, not by itself");
  return here;
}

export const cellKind = blockKind({
  name: "cell",
  word: "cell",
  structure: { content: "block+", tableRole: "cell", isolating: true },
  attributes: cell.attributes,
  draw(node) {
    const own = cell.of(node);
    return [
      "td",
      {
        ...marked(node),
        ...(own.colspan > 1 ? { colspan: String(own.colspan) } : {}),
        ...(own.rowspan > 1 ? { rowspan: String(own.rowspan) } : {}),
        ...(own.align ? { align: own.align } : {}),
        style: styleForDrawing(own),
      },
      0,
    ];
  },
  write(node, writing) {
    const own = cell.of(node);
    const { map, place, rows } = placeOfCell(writing);
    const width = boxWidth(map, place);
    const shared = writing.sharedPadding;
    const room = innerWidth(map, place);
    const padding = { ...own.padding, ...shared };
    const empty = isEmptyCell(node);
    const { rowHeight } = writing;
    // Without a height of its own a row of empty cells is as high as their lines: a single space holds it open.
    const held =
      empty && rowHeight === null && node.firstChild ? heightOf(node.firstChild, writing.settings) : null;
    const inside = { ...writing, availableWidth: room };
    const content =
      writeGap(own.padding.top - shared.top, room, writing) +
      (empty ? (held === null ? "" : "&nbsp;") : writeChildren(node, inside)) +
      writeGap(own.padding.bottom - shared.bottom, room, writing);
    // Without border-box a browser adds padding and borders to the width that a document engine counts as whole.
    const widened = width !== room;
    const raised = sideNames.some((side) => padding[side] > 0 || own.border[side] !== null);
    const sized = place.row === 0 || setsWidth(map, place);
    return element(
      "td",
      {
        colspan: own.colspan > 1 ? own.colspan : null,
        rowspan: rows > 1 ? rows : null,
        width: sized ? Math.round(width) : null,
        height: rowHeight,
        // The attribute and not text-align, since only it moves a picture or table that stands as a block.
        align: own.align,
        valign: own.verticalAlign,
        bgcolor: own.background,
      },
      {
        width: sized ? width : null,
        "box-sizing": (sized && widened) || (rowHeight !== null && raised) ? "border-box" : null,
        height: rowHeight,
        ...cellDeclarations(own, padding),
        // Pictures need the type as well: it is what their alt text is set in while they are blocked.
        ...(empty ? emptyDeclarations(held, writing) : typeDeclarations(writing)),
      },
      content,
    );
  },
  writePlain: writePlainChildren,
});
