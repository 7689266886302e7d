/** Measures of cells: padding and borders per side, in px. */
import type { Node } from "prosemirror-model";
import type { Transform } from "prosemirror-transform";
import { cellAttributes } from "../kinds/cell";
import { facingSide, lineOn, neighbourPlaces } from "../lines";
import { placeAtOffset, tableMap, type CellPlace, type TableMap } from "../table-map";
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

/** The cell at a position, with the map of its table and the position where that table's content starts. */
function placed(document: Node, position: number) {
  cellNode(document, position);
  const resolved = document.resolve(position);
  const map = tableMap(resolved.node(-1));
  const start = resolved.start(-1);
  return { map, start, place: placeAtOffset(map, position - start) };
}

/** The one cell that shares a whole side with another, declaring their line before it; null where there is none. */
function declaringNeighbour(map: TableMap, place: CellPlace, side: SideName): CellPlace | null {
  const [neighbour, ...others] = side === "left" || side === "top" ? neighbourPlaces(map, place, side) : [];
  if (!neighbour || others.length > 0) return null;
  const level =
    side === "left"
      ? neighbour.row === place.row && neighbour.rowspan === place.rowspan
      : neighbour.column === place.column && neighbour.colspan === place.colspan;
  return level ? neighbour : null;
}

/**
 * Sets the line on one side of a cell. Where cells meet there is one line and not two, so the facing sides of
 * the neighbours are cleared: a client that does not collapse borders would draw both. Of two cells that share a
 * whole side the one before declares the line, so that the same lines give the same document however they are set.
 */
export function setBorder(
  transform: Transform,
  position: number,
  side: SideName,
  value: Border | null,
): Transform {
  const { map, start, place } = placed(transform.doc, position);
  const neighbour = declaringNeighbour(map, place, side);
  if (neighbour) return setBorder(transform, start + neighbour.offset, facingSide[side], value);
  const declare = (at: number, name: SideName, line: Border | null): void => {
    const { border } = cellAttributes(cellNode(transform.doc, at));
    setAttributes(transform, at, { border: { ...border, [name]: line } });
  };
  declare(position, side, value);
  for (const facing of neighbourPlaces(map, place, side))
    declare(start + facing.offset, facingSide[side], null);
  return transform;
}

/** The line drawn on one side of the cell at a position, whichever cell declares it. */
export function lineBetween(document: Node, position: number, side: SideName): Border | null {
  const { map, place } = placed(document, position);
  return lineOn(map, place, side);
}
