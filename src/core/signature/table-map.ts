/**
 * Where each cell of a table lies. A position is a (row, column) pair, counted from 0 at the top left; a cell
 * with spans covers several. Widths are px. Maps are cached by table node, which never changes.
 */
import { largest } from "../values";
import type { Node } from "prosemirror-model";
import { outerHalves, sidesOf } from "./borders";
import { leastWidth } from "./kind";
import { cell } from "./kinds/cell-attributes";

export interface CellPlace {
  readonly node: Node;
  /** Position of the cell from the start of the table's content: the cell begins at table position + 1 + offset. */
  readonly offset: number;
  readonly row: number;
  readonly column: number;
  readonly rowspan: number;
  readonly colspan: number;
}

/** What keeps a table from covering each of its positions exactly once. */
export interface TableProblem {
  readonly code: "overlap" | "hole" | "past-last-row" | "empty-table";
  readonly row: number;
  readonly column: number;
}

export interface TableMap {
  readonly rows: number;
  readonly columns: number;
  readonly columnWidths: readonly number[];
  /** The sum of the column widths: how wide the table is drawn, its outer borders included. */
  readonly width: number;
  /** How far the table's outer borders reach out of the cells at its left and right. */
  readonly outer: { readonly left: number; readonly right: number };
  /** Every cell, in reading order. Two cells may be the same node, so a place is told by its offset. */
  readonly places: readonly CellPlace[];
  /** The cell covering each position, row by row; null where a position is not covered. */
  readonly grid: readonly (CellPlace | null)[];
  readonly problems: readonly TableProblem[];
}

/** A column that no cell gives a width gets this many px. */
export const defaultColumnWidth = 120;

const cache = new WeakMap<Node, TableMap>();

/** The map of a table node. Never throws: what is wrong with the table is listed in `problems`. */
export function tableMap(table: Node): TableMap {
  const known = cache.get(table);
  if (known) return known;
  const map = computeMap(table);
  cache.set(table, map);
  return map;
}

function countColumns(table: Node): number {
  const widths = Array.from({ length: table.childCount }, () => 0);
  table.forEach((row, _offset, rowIndex) => {
    row.forEach((node) => {
      const { colspan, rowspan } = cell.of(node);
      for (let r = rowIndex; r < Math.min(rowIndex + rowspan, table.childCount); r++)
        widths[r] = (widths[r] ?? 0) + colspan;
    });
  });
  return largest(widths, 0);
}

function computeMap(table: Node): TableMap {
  const rows = table.childCount;
  const columns = countColumns(table);
  const grid: (CellPlace | null)[] = Array.from({ length: rows * columns }, () => null);
  const places: CellPlace[] = [];
  const problems: TableProblem[] = [];
  const columnWidths: (number | null)[] = Array.from({ length: columns }, () => null);
  if (columns === 0) problems.push({ code: "empty-table", row: 0, column: 0 });

  table.forEach((row, rowOffset, rowIndex) => {
    let column = 0;
    row.forEach((node, cellOffset) => {
      while (column < columns && grid[rowIndex * columns + column]) column++;
      const { colspan, rowspan, colwidth } = cell.of(node);
      const place: CellPlace = {
        node,
        offset: rowOffset + 1 + cellOffset,
        row: rowIndex,
        column,
        rowspan,
        colspan,
      };
      places.push(place);
      if (rowIndex + rowspan > rows) problems.push({ code: "past-last-row", row: rowIndex, column });
      for (let r = rowIndex; r < Math.min(rows, rowIndex + rowspan); r++)
        for (let c = column; c < column + colspan; c++) {
          const index = r * columns + c;
          if (c >= columns || grid[index]) problems.push({ code: "overlap", row: r, column: c });
          else grid[index] = place;
        }
      colwidth?.forEach((width, index) => {
        if (column + index < columns) columnWidths[column + index] ??= width;
      });
      column += colspan;
    });
  });
  grid.forEach((covering, index) => {
    if (!covering) problems.push({ code: "hole", row: Math.floor(index / columns), column: index % columns });
  });
  const outer = outerHalves({ places, columns });
  const known = widened(
    columnWidths.map((width) => width ?? defaultColumnWidth),
    { places, columns, outer },
  );
  const width = known.reduce((sum, column) => sum + column, 0);
  return { rows, columns, columnWidths: known, width, outer, places, grid, problems };
}

/**
 * The widths that columns are drawn at: those that they are given, or what the pictures, buttons and tables in them
 * take. A cell that covers several makes the last of them wider. Whole px.
 */
function widened(
  given: readonly number[],
  map: Pick<TableMap, "places" | "columns" | "outer">,
): readonly number[] {
  const widths = [...given];
  const byColumns = [...map.places].sort((one, other) => one.colspan - other.colspan);
  for (const place of byColumns) {
    const least = largest(place.node.children.map(leastWidth), 0);
    if (least === 0) continue;
    const last = Math.min(map.columns, place.column + place.colspan) - 1;
    const covered = widths.slice(place.column, last + 1).reduce((sum, width) => sum + width, 0);
    const missing = Math.ceil(least + sidesOf(map, place) + outside(map, place) - covered);
    if (missing > 0) widths[last] = (widths[last] ?? 0) + missing;
  }
  return widths;
}

/** How much of the width of the columns that a cell covers lies outside it, in the table's outer borders. */
const outside = (
  { outer, columns }: Pick<TableMap, "outer" | "columns">,
  { column, colspan }: CellPlace,
): number => (column === 0 ? outer.left : 0) + (column + colspan >= columns ? outer.right : 0);

/** The cell covering a position. Throws a RangeError that names the place when the table has none there. */
export function cellAt(table: Node, row: number, column: number): Node {
  const map = tableMap(table);
  const inside = row >= 0 && row < map.rows && column >= 0 && column < map.columns;
  const place = inside ? map.grid[row * map.columns + column] : null;
  if (!place)
    throw new RangeError(
      `No cell at row ${row + 1}, column ${column + 1} (table is ${map.rows} × ${map.columns})`,
    );
  return place.node;
}

/** The place of the cell at an offset. Throws a RangeError when none begins there. */
export function placeAtOffset(map: TableMap, offset: number): CellPlace {
  const place = map.places.find((candidate) => candidate.offset === offset);
  if (!place) throw new RangeError(`No cell at offset ${offset} (table is ${map.rows} × ${map.columns})`);
  return place;
}

/** The whole width of a cell: that of the columns it covers; px. */
export const placeWidth = (map: TableMap, { column, colspan }: CellPlace): number =>
  map.columnWidths.slice(column, column + colspan).reduce((sum, width) => sum + width, 0);

/** The width of a cell's own box, which ends in the middle of its borders; px. */
export const boxWidth = (map: TableMap, place: CellPlace): number =>
  Math.max(1, placeWidth(map, place) - outside(map, place));

/** The room that a cell's content has, once padding and its half of each border are taken off; at least 1 px. */
export const innerWidth = (map: TableMap, place: CellPlace): number =>
  Math.max(1, Math.floor(boxWidth(map, place) - sidesOf(map, place)));

/** Whether a cell is the first that says how wide one of its columns is: those above it only span that column. */
export const setsWidth = (map: TableMap, { row, column, colspan }: CellPlace): boolean =>
  Array.from({ length: colspan }, (_unused, index) => column + index).some(
    (covered) =>
      !map.places.some((place) => place.row < row && place.column === covered && place.colspan === 1),
  );
