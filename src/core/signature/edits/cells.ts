/** Measures of cells: padding and borders per side, in px. */
import type { Node } from "prosemirror-model";
import type { Transform } from "prosemirror-transform";
import { cellAttributes } from "../kinds/cell";
import { tableMap } from "../table-map";
import type { Border, SideName, Sides } from "../values";
import { setAttributes } from "./set-attributes";

function cellNode(document: Node, position: number): Node {
  const cell = document.nodeAt(position);
  if (cell?.type.name !== "cell") throw new RangeError(`No cell at position ${position}`);
  return cell;
}

/** Sets the padding of some sides of the cell at a position; the other sides keep theirs. */
export function setPadding(transform: Transform, position: number, patch: Partial<Sides<number>>): Transform {
  const { padding } = cellAttributes(cellNode(transform.doc, position));
  return setAttributes(transform, position, { padding: { ...padding, ...patch } });
}

const facing: Record<SideName, SideName> = { top: "bottom", right: "left", bottom: "top", left: "right" };

/** Positions of the cells that share a side with the cell at a position. */
function neighbours(document: Node, position: number, side: SideName): number[] {
  const resolved = document.resolve(position);
  const table = resolved.node(-1);
  const tableStart = resolved.start(-1);
  const { cells } = tableMap(table);
  const own = cells.get(cellNode(document, position))!;
  const overlaps = (a: number, aSpan: number, b: number, bSpan: number): boolean =>
    a < b + bSpan && b < a + aSpan;
  const found: number[] = [];
  table.descendants((node, offset) => {
    const place = cells.get(node);
    if (!place) return true;
    const beside = overlaps(place.row, place.rowspan, own.row, own.rowspan);
    const along = overlaps(place.column, place.colspan, own.column, own.colspan);
    const touches =
      side === "right"
        ? beside && place.column === own.column + own.colspan
        : side === "left"
          ? beside && place.column + place.colspan === own.column
          : side === "bottom"
            ? along && place.row === own.row + own.rowspan
            : along && place.row + place.rowspan === own.row;
    if (touches) found.push(tableStart + offset);
    return false;
  });
  return found;
}

/**
 * Sets the line on one side of a cell. Where cells meet there is one line and not two, so the facing sides of
 * the neighbours are cleared: a client that does not collapse borders would draw both.
 */
export function setBorder(
  transform: Transform,
  position: number,
  side: SideName,
  value: Border | null,
): Transform {
  const { border } = cellAttributes(cellNode(transform.doc, position));
  setAttributes(transform, position, { border: { ...border, [side]: value } });
  for (const neighbour of neighbours(transform.doc, position, side)) {
    const theirs = cellAttributes(cellNode(transform.doc, neighbour)).border;
    setAttributes(transform, neighbour, { border: { ...theirs, [facing[side]]: null } });
  }
  return transform;
}

/** The line drawn on one side of a cell: its own, or else that of the neighbour it meets there. */
export function lineBetween(document: Node, position: number, side: SideName): Border | null {
  const cell = cellNode(document, position);
  const own = cellAttributes(cell).border[side];
  if (own) return own;
  for (const neighbour of neighbours(document, position, side)) {
    const theirs = cellAttributes(cellNode(document, neighbour)).border[facing[side]];
    if (theirs) return theirs;
  }
  return null;
}
