/** Parts of cells: put in, moved, copied and taken out. Positions are those of the document. */
import { Fragment, type Node, type ResolvedPos } from "prosemirror-model";
import type { Transform } from "prosemirror-transform";
import { build } from "../builder";
import { isEmptyCell } from "../kinds/cell";
import { tableMap } from "../table-map";
import { rearrangeTable } from "./rearrange";

/** Throws a RangeError when no part of a cell begins at the position. */
function partAt(document: Node, position: number): { part: Node; cell: Node } {
  const at = document.resolve(position);
  const part = at.nodeAfter;
  if (at.parent.type.name !== "cell" || !part)
    throw new RangeError(`No part of a cell at position ${position}`);
  return { part, cell: at.parent };
}

/** A nested table's cells hold no table. */
const deepestCell = 3;

/** Whether a part may stand in a cell that begins at a depth of the document. */
export const mayHold = (depth: number, part: Node): boolean =>
  part.type.name !== "table" || depth <= deepestCell;

function cellAround(document: Node, position: number, parts: readonly Node[]): ResolvedPos {
  const at = document.resolve(position);
  if (at.parent.type.name !== "cell") throw new RangeError(`No cell around position ${position}`);
  if (!parts.every((part) => mayHold(at.depth, part)))
    throw new RangeError("A table that lies in a cell holds no other table");
  return at;
}

/** Puts parts into the cell at a place between its own; in an empty cell they stand instead of the empty line. */
export function insertParts<T extends Transform>(transform: T, position: number, parts: readonly Node[]): T {
  const at = cellAround(transform.doc, position, parts);
  if (isEmptyCell(at.parent)) transform.replaceWith(at.start(), at.end(), parts);
  else transform.insert(position, Fragment.from(parts));
  return transform;
}

/** Takes out a part; a cell that this empties keeps an empty line. */
export function removePart<T extends Transform>(transform: T, position: number): T {
  const { part, cell } = partAt(transform.doc, position);
  if (cell.childCount === 1) transform.replaceWith(position, position + part.nodeSize, build.line());
  else transform.delete(position, position + part.nodeSize);
  return transform;
}

/**
 * Moves a part to a place between the parts of a cell, and answers where it is then. Nothing changes when it is
 * there already, or when the place lies inside it.
 */
export function movePart(transform: Transform, from: number, to: number): number {
  const { part } = partAt(transform.doc, from);
  if (to >= from && to <= from + part.nodeSize) return from;
  const target = cellAround(transform.doc, to, [part]);
  const fills = isEmptyCell(target.parent);
  const before = transform.steps.length;
  removePart(transform, from);
  const place = transform.mapping.slice(before).map(fills ? target.start() : to, to > from ? -1 : 1);
  if (fills) insertParts(transform, place, [part]);
  else transform.insert(place, part);
  return place;
}

/** Puts a copy of a part under it. */
export function duplicatePart(transform: Transform, position: number): Transform {
  const { part } = partAt(transform.doc, position);
  return transform.insert(position + part.nodeSize, part);
}

/** Inserts a row of one cell across all columns before a row of the table at a position. */
export function insertRowAcross(
  transform: Transform,
  tablePosition: number,
  before: number,
  parts: readonly Node[],
): Transform {
  return rearrangeTable(transform, tablePosition, (table) => {
    const { columnWidths, columns, rows } = tableMap(table);
    if (before < 0 || before > rows)
      throw new RangeError(`No row ${before + 1} (table is ${rows} × ${columns})`);
    // A row across all columns would part the cells that span its place.
    const crossed = tableMap(table).places.some(
      (place) => place.row < before && place.row + place.rowspan > before,
    );
    if (crossed) throw new RangeError(`A cell spans the place before row ${before + 1}`);
    const padding = { top: before === 0 ? 0 : 8, bottom: before === 0 ? 8 : 0 };
    const cell = build.cell({ width: columnWidths, padding }, ...parts);
    const row = build.row(cell);
    return table.copy(Fragment.from(table.content.content.toSpliced(before, 0, row)));
  });
}
