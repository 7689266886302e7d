/** Measures of cells: padding and borders per side, in px. */
import type { Node } from "prosemirror-model";
import type { Transform } from "prosemirror-transform";
import { borderOn, facingSide, neighbourPlaces } from "../borders";
import { cell } from "../kinds/cell-attributes";
import { placeAtOffset, tableMap, type CellPlace, type TableMap } from "../table-map";
import type { Border, SideName, Sides } from "../values";
import { setAttributes } from "./set-attributes";

function cellNode(document: Node, position: number): Node {
  const found = document.nodeAt(position);
  if (!found || !cell.is(found)) throw new RangeError(`No cell at position ${position}`);
  return found;
}

/** Sets the padding of some sides of the cell at a position; the other sides keep theirs. */
export function setPadding(transform: Transform, position: number, patch: Partial<Sides<number>>): Transform {
  const { padding } = cell.of(cellNode(transform.doc, position));
  return setAttributes(transform, position, cell, { padding: { ...padding, ...patch } });
}

/** The cell at a position, with the map of its table and the position where that table's content starts. */
function placed(document: Node, position: number) {
  cellNode(document, position);
  const resolved = document.resolve(position);
  const map = tableMap(resolved.node(-1));
  const start = resolved.start(-1);
  return { map, start, place: placeAtOffset(map, position - start) };
}

/** The one cell that shares a whole side with another, declaring their border before it; null where there is none. */
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
 * Sets the border on one side of a cell. Where cells meet there is one and not two, so the facing sides of
 * the neighbours are cleared: a client that does not collapse borders would draw both. Of two cells that share a
 * whole side the one before declares it, so that the same borders give the same document however they are set.
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
  const declare = (at: number, name: SideName, drawn: Border | null): void => {
    const { border } = cell.of(cellNode(transform.doc, at));
    setAttributes(transform, at, cell, { border: { ...border, [name]: drawn } });
  };
  declare(position, side, value);
  for (const facing of neighbourPlaces(map, place, side))
    declare(start + facing.offset, facingSide[side], null);
  return transform;
}

/** The border drawn on one side of the cell at a position, whichever cell declares it. */
export function borderBetween(document: Node, position: number, side: SideName): Border | null {
  const { map, place } = placed(document, position);
  return borderOn(map, place, side);
}
