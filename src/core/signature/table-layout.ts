/**
 * A table as a list of placed cells: the form in which rows and columns are inserted, deleted, moved, merged and
 * split. A band is one row or one column; bands count from 0 at the top left. Widths and heights are px.
 */
import type { Attrs, Node } from "prosemirror-model";
import { schema } from "./schema";
import { tableMap } from "./table-map";
import { noSides, sideNames, widestColumn, type Border, type SideName, type Sides } from "./values";

export type Axis = "row" | "column";

/** A cell with its place; what it holds and its own measures are in the node. */
export interface LaidCell {
  readonly node: Node;
  readonly row: number;
  readonly column: number;
  readonly rowspan: number;
  readonly colspan: number;
}

export interface TableLayout {
  /** The attributes of each row. */
  readonly row: readonly Attrs[];
  /** The width of each column. */
  readonly column: readonly number[];
  readonly cells: readonly LaidCell[];
}

/** A block of positions: from the first row and column up to and without the last. */
export interface Rectangle {
  readonly top: number;
  readonly left: number;
  readonly bottom: number;
  readonly right: number;
}

const spanOf = { row: "rowspan", column: "colspan" } as const;
export const otherAxis = { row: "column", column: "row" } as const;

export const start = (cell: LaidCell, axis: Axis): number => cell[axis];
export const end = (cell: LaidCell, axis: Axis): number => cell[axis] + cell[spanOf[axis]];

/** A cell at another stretch of an axis. */
export const stretched = (cell: LaidCell, axis: Axis, from: number, to: number): LaidCell => ({
  ...cell,
  [axis]: from,
  [spanOf[axis]]: to - from,
});

/** The layout of a valid table. Throws a RangeError for one whose positions are not each covered once. */
export function readLayout(table: Node): TableLayout {
  const { problems, places, columnWidths, rows, columns } = tableMap(table);
  const [problem] = problems;
  if (problem)
    throw new RangeError(
      `Row ${problem.row + 1}, column ${problem.column + 1} is not covered once (table is ${rows} × ${columns})`,
    );
  return {
    row: table.content.content.map((row) => row.attrs),
    column: columnWidths,
    cells: places.map(({ node, row, column, rowspan, colspan }) => ({ node, row, column, rowspan, colspan })),
  };
}

/** Whether an axis has a band that no cell begins in, so that it draws nothing of its own. */
function idleBand(layout: TableLayout, axis: Axis): number | null {
  const begun = new Set(layout.cells.map((cell) => start(cell, axis)));
  for (let band = 1; band < layout[axis].length; band++) if (!begun.has(band)) return band;
  return null;
}

function joinedRows(upper: Attrs, lower: Attrs): Attrs {
  const heights = [upper.height, lower.height] as (number | null)[];
  return { ...upper, height: heights.every((height) => height !== null) ? heights[0]! + heights[1]! : null };
}

/** No column is wider than a document may say. */
const joinedWidths = (left: number, right: number): number => Math.min(widestColumn, left + right);

/** The same table without bands that no cell begins in: clients draw such rows and columns in their own ways. */
function withoutIdle(layout: TableLayout, axis: Axis): TableLayout {
  const band = idleBand(layout, axis);
  if (band === null) return layout;
  const shorter = (at: number): number => (at > band - 1 ? at - 1 : at);
  const cells = layout.cells.map((cell) =>
    stretched(
      cell,
      axis,
      shorter(start(cell, axis)),
      end(cell, axis) > band ? end(cell, axis) - 1 : end(cell, axis),
    ),
  );
  const joined =
    axis === "row"
      ? {
          ...layout,
          row: layout.row.toSpliced(band - 1, 2, joinedRows(layout.row[band - 1]!, layout.row[band]!)),
        }
      : {
          ...layout,
          column: layout.column.toSpliced(
            band - 1,
            2,
            joinedWidths(layout.column[band - 1]!, layout.column[band]!),
          ),
        };
  return withoutIdle({ ...joined, cells }, axis);
}

const same = (one: unknown, other: unknown): boolean => JSON.stringify(one) === JSON.stringify(other);

/** The table of a layout; cells and rows that are as before stay the very same nodes. */
export function writeLayout(given: TableLayout, table: Node): Node {
  const layout = withoutIdle(withoutIdle(given, "row"), "column");
  const rows = layout.row.map((attributes, index) => {
    const cells = layout.cells
      .filter(({ row }) => row === index)
      .sort((one, other) => one.column - other.column)
      .map(({ node, column, colspan, rowspan }) => {
        const spans = { colspan, rowspan, colwidth: layout.column.slice(column, column + colspan) };
        return Object.entries(spans).every(([name, value]) => same(node.attrs[name], value))
          ? node
          : node.type.create({ ...node.attrs, ...spans }, node.content);
      });
    const before = table.maybeChild(index);
    const kept =
      before?.attrs === attributes &&
      before.childCount === cells.length &&
      cells.every((cell, at) => before.child(at) === cell);
    return kept ? before : schema.nodes.row!.create(attributes, cells);
  });
  const unchanged =
    rows.length === table.childCount && rows.every((row, index) => row === table.child(index));
  return unchanged ? table : table.type.create(table.attrs, rows);
}

/** An empty cell in the manner of another: its padding, background and alignment, and the lines of some sides. */
export function emptyCellLike(node: Node, keptLines: readonly SideName[]): Node {
  const border = node.attrs.border as Sides<Border | null>;
  const lines = Object.fromEntries(
    sideNames.map((side) => [side, keptLines.includes(side) ? border[side] : null]),
  );
  return node.type.create(
    { ...node.attrs, border: { ...noSides(null), ...lines } },
    schema.nodes.line!.create(),
  );
}

/** Whether a cell lies at least partly in a rectangle. */
export const meets = (cell: LaidCell, { top, left, bottom, right }: Rectangle): boolean =>
  cell.row < bottom &&
  cell.row + cell.rowspan > top &&
  cell.column < right &&
  cell.column + cell.colspan > left;
