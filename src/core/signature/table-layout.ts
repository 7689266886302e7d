/**
 * A table as a list of placed cells: the form in which rows and columns are inserted, deleted, moved, merged and
 * split. A band is one row or one column; bands count from 0 at the top left. Widths and heights are px.
 */
import type { Node } from "prosemirror-model";
import { build, cellWith } from "./builder";
import type { AttributesOf } from "./description";
import { cell } from "./kinds/cell-attributes";
import { row as rowKind } from "./kinds/row";
import { schema } from "./schema";
import { tableMap } from "./table-map";
import { tallestRow, widestColumn, type Border, type SideName } from "./values";

export type Axis = "row" | "column";

export type RowAttributes = AttributesOf<typeof rowKind.attributes>;

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
  readonly row: readonly RowAttributes[];
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

export const start = (laid: LaidCell, axis: Axis): number => laid[axis];
export const end = (laid: LaidCell, axis: Axis): number => laid[axis] + laid[spanOf[axis]];

/** A cell at another stretch of an axis. */
export const stretched = (laid: LaidCell, axis: Axis, from: number, to: number): LaidCell => ({
  ...laid,
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
    row: table.content.content.map(rowKind.of),
    column: columnWidths,
    cells: places.map(({ node, row, column, rowspan, colspan }) => ({ node, row, column, rowspan, colspan })),
  };
}

/** Whether an axis has a band that no cell begins in, so that it draws nothing of its own. */
function idleBand(layout: TableLayout, axis: Axis): number | null {
  const begun = new Set(layout.cells.map((laid) => start(laid, axis)));
  for (let band = 1; band < layout[axis].length; band++) if (!begun.has(band)) return band;
  return null;
}

/** Two rows that become one: none is higher than a document may say. */
const joinedRows = (upper: RowAttributes, lower: RowAttributes): RowAttributes => ({
  ...upper,
  height:
    upper.height !== null && lower.height !== null ? Math.min(tallestRow, upper.height + lower.height) : null,
});

/** The width of two columns that become one: none is wider than a document may say. */
export const joinedWidths = (left: number, right: number): number => Math.min(widestColumn, left + right);

/** The same table without bands that no cell begins in: clients draw such rows and columns in their own ways. */
function withoutIdle(layout: TableLayout, axis: Axis): TableLayout {
  const band = idleBand(layout, axis);
  if (band === null) return layout;
  const shorter = (at: number): number => (at > band - 1 ? at - 1 : at);
  const cells = layout.cells.map((laid) => {
    const last = end(laid, axis);
    return stretched(laid, axis, shorter(start(laid, axis)), last > band ? last - 1 : last);
  });
  /** The bands, with the idle one and the one before it made one. */
  const joined = <T>(bands: readonly T[], join: (one: T, other: T) => T): readonly T[] => {
    const [before, idle] = bands.slice(band - 1, band + 1);
    return before === undefined || idle === undefined
      ? bands
      : bands.toSpliced(band - 1, 2, join(before, idle));
  };
  const bands =
    axis === "row"
      ? { row: joined(layout.row, joinedRows) }
      : { column: joined(layout.column, joinedWidths) };
  return withoutIdle({ ...layout, ...bands, cells }, axis);
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
        // What stands in a column may be wider than a document may say that it is.
        const colwidth = layout.column
          .slice(column, column + colspan)
          .map((width) => Math.min(width, widestColumn));
        const spans = { colspan, rowspan, colwidth };
        return Object.entries(spans).every(([name, value]) => same(node.attrs[name], value))
          ? node
          : node.type.create({ ...node.attrs, ...spans }, node.content);
      });
    const before = table.maybeChild(index);
    const kept =
      before?.attrs === attributes &&
      before.childCount === cells.length &&
      cells.every((each, at) => before.child(at) === each);
    return kept ? before : schema.nodes.row.create(attributes, cells);
  });
  const unchanged =
    rows.length === table.childCount && rows.every((row, index) => row === table.child(index));
  return unchanged ? table : table.type.create(table.attrs, rows);
}

/** An empty cell in the manner of another: its padding, background and alignment, and the borders of some sides. */
export function emptyCellLike(node: Node, keptBorders: readonly SideName[]): Node {
  const own = cell.of(node);
  const kept = (side: SideName): Border | null => (keptBorders.includes(side) ? own.border[side] : null);
  const border = { top: kept("top"), right: kept("right"), bottom: kept("bottom"), left: kept("left") };
  return cellWith({ ...own, border }, build.line());
}

/** Whether a cell lies at least partly in a rectangle. */
export const meets = (laid: LaidCell, { top, left, bottom, right }: Rectangle): boolean =>
  laid.row < bottom &&
  laid.row + laid.rowspan > top &&
  laid.column < right &&
  laid.column + laid.colspan > left;
