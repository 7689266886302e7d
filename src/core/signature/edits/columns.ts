/** Column widths: whole px, padding and borders included. Columns count from 0, left to right. */
import type { Node } from "prosemirror-model";
import type { Transform } from "prosemirror-transform";
import { cell } from "../kinds/cell-attributes";
import { tableMap } from "../table-map";
import { widest } from "../values";
import { setAttributes } from "./set-attributes";

/** A column narrower than this cannot be taken hold of any more. */
export const narrowestColumn = 8;

function tableAt(transform: Transform, position: number): Node {
  const table = transform.doc.nodeAt(position);
  if (table?.type.name !== "table") throw new RangeError(`No table at position ${position}`);
  return table;
}

function setWidths(transform: Transform, tablePosition: number, widths: readonly number[]): Transform {
  const table = tableAt(transform, tablePosition);
  for (const { offset, column, colspan } of tableMap(table).places)
    setAttributes(transform, tablePosition + 1 + offset, cell, {
      colwidth: widths.slice(column, column + colspan),
    });
  return transform;
}

const known = (table: Node, column: number): readonly number[] => {
  const { columnWidths, rows, columns } = tableMap(table);
  if (!Number.isInteger(column) || column < 0 || column >= columns)
    throw new RangeError(`No column ${column + 1} (table is ${rows} × ${columns})`);
  return columnWidths;
};

const replaced = (widths: readonly number[], column: number, width: number): number[] =>
  widths.map((old, index) => (index === column ? width : old));

/**
 * Sets one column's width; the others keep theirs, so the table grows or shrinks with it. Throws a RangeError
 * for a column that the table lacks. Widths under the narrowest are raised to it.
 */
export function setColumnWidth(
  transform: Transform,
  tablePosition: number,
  column: number,
  width: number,
): Transform {
  const widths = known(tableAt(transform, tablePosition), column);
  const whole = Math.max(narrowestColumn, Math.min(widest, Math.round(width)));
  return setWidths(transform, tablePosition, replaced(widths, column, whole));
}

/**
 * Moves the border at the right of a column by so many px. Between two columns the one gains what the other
 * loses and the table keeps its width; at the right edge the last column alone changes.
 */
export function moveColumnBorder(
  transform: Transform,
  tablePosition: number,
  column: number,
  by: number,
): Transform {
  const widths = known(tableAt(transform, tablePosition), column);
  const [own = narrowestColumn, right] = widths.slice(column, column + 2);
  const least = narrowestColumn - own;
  const most = right === undefined ? widest - own : right - narrowestColumn;
  const moved = Math.round(Math.max(least, Math.min(most, by)));
  return setWidths(
    transform,
    tablePosition,
    widths.map((width, index) =>
      index === column ? width + moved : index === column + 1 ? width - moved : width,
    ),
  );
}

/**
 * Makes columns of a table the same width, from one up to and without another: they keep their sum, and the
 * first ones take the px that do not divide.
 */
export function evenColumns(
  transform: Transform,
  tablePosition: number,
  from: number,
  to: number,
): Transform {
  const widths = known(tableAt(transform, tablePosition), from);
  known(tableAt(transform, tablePosition), to - 1);
  const sum = widths.slice(from, to).reduce((total, width) => total + width, 0);
  const each = Math.floor(sum / (to - from));
  const rest = sum % (to - from);
  return setWidths(
    transform,
    tablePosition,
    widths.map((width, column) =>
      column < from || column >= to ? width : each + (column - from < rest ? 1 : 0),
    ),
  );
}
