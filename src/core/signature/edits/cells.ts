/** Measures of cells: padding and borders per side, in px. */
import type { Node } from "prosemirror-model";
import type { Transform } from "prosemirror-transform";
import { cellAttributes } from "../kinds/cell";
import { facingSide, lineOn, neighbourPlaces } from "../lines";
import { placeAtOffset, tableMap } from "../table-map";
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
  const { map, start, place } = placed(transform.doc, position);
  for (const neighbour of neighbourPlaces(map, place, side)) {
    const theirs = cellAttributes(neighbour.node).border;
    setAttributes(transform, start + neighbour.offset, { border: { ...theirs, [facingSide[side]]: null } });
  }
  return transform;
}

/** The line drawn on one side of the cell at a position, whichever cell declares it. */
export function lineBetween(document: Node, position: number, side: SideName): Border | null {
  const { map, place } = placed(document, position);
  return lineOn(map, place, side);
}
