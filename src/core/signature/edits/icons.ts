/** Changing the order and the number of a row's icons. Places count from 0. */
import type { Node } from "prosemirror-model";
import type { Transform } from "prosemirror-transform";

function rowAt(transform: Transform, position: number, ...places: readonly number[]): Node {
  const row = transform.doc.nodeAt(position);
  if (row?.type.name !== "iconRow") throw new RangeError(`No icon row at position ${position}`);
  for (const place of places)
    if (!(Number.isInteger(place) && place >= 0 && place < row.childCount))
      throw new RangeError(`The row has ${row.childCount} icons, and none at place ${place}`);
  return row;
}

/** Where the icon at a place begins. */
const beginOf = (row: Node, position: number, place: number): number =>
  row.content.content.slice(0, place).reduce((sum, icon) => sum + icon.nodeSize, position + 1);

/** Takes the icon at one place to another. Throws a RangeError when there is no such row or place, as all of these. */
export function moveIcon(transform: Transform, position: number, from: number, to: number): Transform {
  const row = rowAt(transform, position, from, to);
  if (from === to) return transform;
  const icon = row.child(from);
  const begin = beginOf(row, position, from);
  transform.delete(begin, begin + icon.nodeSize);
  return transform.insert(beginOf(rowAt(transform, position), position, to), icon);
}

/** Puts the same icon again after the one at a place, to be changed there. */
export function duplicateIcon(transform: Transform, position: number, place: number): Transform {
  const row = rowAt(transform, position, place);
  return transform.insert(beginOf(row, position, place) + row.child(place).nodeSize, row.child(place));
}

/** Takes the icon at a place out; the row stays, also without any. */
export function removeIcon(transform: Transform, position: number, place: number): Transform {
  const row = rowAt(transform, position, place);
  const begin = beginOf(row, position, place);
  return transform.delete(begin, begin + row.child(place).nodeSize);
}
