/**
 * Tables with the widths of their columns worked out from outside in, and none of them deeper than a document holds: what
 * lies deeper becomes rows and columns of the table around it, at the same places. Whole px.
 */
import { largest } from "../../values";
import type { Element } from "../../html";
import type { Sides } from "../../signature";
import type { Reporter } from "../report";
import type { Look } from "../style/look";
import { aroundIn, columnWidths, roomIn } from "./measure-table";
import { isDrawn, noBorder, noPadding, type GridCell, type Part, type TablePart } from "./parts";

export interface SizedTable {
  readonly kind: "sized";
  readonly widths: readonly number[];
  readonly rows: number;
  readonly cells: readonly SizedCell[];
  readonly place: TablePart["place"];
  readonly look: Look;
  readonly element: Element;
}

export type SizedPart = Exclude<Part, TablePart> | SizedTable;

export interface SizedCell extends Omit<GridCell, "parts"> {
  readonly parts: readonly SizedPart[];
}

const isTable = (part: SizedPart): part is SizedTable => part.kind === "sized";

const sum = (numbers: readonly number[]): number => numbers.reduce((total, number) => total + number, 0);

/** A table in so much room; null where nothing says how much there is. */
export function sizeTable(table: TablePart, room: number | null): SizedTable {
  const widths = columnWidths(table, room);
  const around = aroundIn(table);
  return {
    kind: "sized",
    widths,
    rows: table.rows,
    place: table.place,
    look: table.look,
    element: table.element,
    cells: table.cells.map((cell) => ({
      ...cell,
      parts: cell.parts.map((part) =>
        part.kind === "table" ? sizeTable(part, roomIn(cell, widths, around)) : part,
      ),
    })),
  };
}

const widthOf = ({ widths }: SizedTable): number => sum(widths);

/** Where the columns of a table begin and where the last ends, from `at` on. */
function edgesFrom(widths: readonly number[], at: number): readonly number[] {
  const edges = [at];
  for (const width of widths) edges.push((edges.at(-1) ?? at) + width);
  return edges;
}

/** Edges of several tables as one list; those that nobody could tell apart are one. */
function mergedEdges(all: readonly number[]): readonly number[] {
  const sorted = [...all].sort((one, other) => one - other);
  return sorted.filter((edge, index) => index === 0 || edge - (sorted[index - 1] ?? 0) >= 1);
}

/** Which of some edges is the nearest to a place. */
function nearest(edges: readonly number[], place: number): number {
  let best = 0;
  edges.forEach((edge, index) => {
    if (Math.abs(edge - place) < Math.abs((edges[best] ?? 0) - place)) best = index;
  });
  return best;
}

/** A cell at px of width and rows of its table. */
interface Placed {
  readonly cell: SizedCell;
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

function gridOf(placed: readonly Placed[], table: SizedTable): SizedTable {
  const edges = mergedEdges(placed.flatMap(({ left, right }) => [left, right]));
  const rows = largest(placed.map(({ bottom }) => bottom));
  return {
    ...table,
    rows,
    widths: edges.slice(1).map((edge, index) => Math.max(1, edge - (edges[index] ?? 0))),
    cells: placed
      .map(({ cell, left, right, top, bottom }) => {
        // One that is narrower than anybody sees lies in the last column.
        const column = Math.min(nearest(edges, left), Math.max(0, edges.length - 2));
        return {
          ...cell,
          row: top,
          rowspan: bottom - top,
          column,
          colspan: Math.max(1, nearest(edges, right) - column),
        };
      })
      .sort((one, other) => one.row - other.row || one.column - other.column),
  };
}

/** What a cell holds, as rows as wide as its room: each table's own rows, and one row for what stands between tables. */
function rowsOf(cell: SizedCell, room: number): readonly Placed[] {
  const placed: Placed[] = [];
  let top = 0;
  let loose: SizedPart[] = [];
  const flush = (): void => {
    if (loose.length === 0) return;
    const held: SizedCell = {
      ...cell,
      parts: loose,
      padding: noPadding,
      border: noBorder,
      background: null,
      radius: 0,
      height: null,
    };
    placed.push({ cell: held, left: 0, right: room, top, bottom: top + 1 });
    top += 1;
    loose = [];
  };
  for (const part of cell.parts) {
    if (!isTable(part)) {
      loose.push(part);
      continue;
    }
    flush();
    const left = shift(part, room);
    const edges = edgesFrom(part.widths, left);
    const last = part.widths.length;
    for (const own of part.cells) {
      const begins = own.column === 0;
      const ends = own.column + own.colspan >= last;
      // What is beside a narrower table belongs to the cells at its edges.
      const from = begins ? 0 : (edges[own.column] ?? 0);
      const to = ends ? Math.max(room, edges[last] ?? 0) : (edges[own.column + own.colspan] ?? 0);
      const spare = ends ? to - (edges[last] ?? 0) : 0;
      placed.push({
        cell: {
          ...own,
          padding: {
            ...own.padding,
            left: own.padding.left + (begins ? left : 0),
            right: own.padding.right + spare,
          },
        },
        left: from,
        right: to,
        top: top + own.row,
        bottom: top + own.row + own.rowspan,
      });
    }
    top += part.rows;
  }
  flush();
  return placed;
}

function shift(table: SizedTable, room: number): number {
  const spare = Math.max(0, room - widthOf(table));
  return table.place === "center" ? Math.round(spare / 2) : table.place === "right" ? spare : 0;
}

/** A table in which one cell's tables are rows and columns of its own. */
function expanded(table: SizedTable, cell: SizedCell, reporter: Reporter): SizedTable {
  const edges = edgesFrom(table.widths, 0);
  const left = edges[cell.column] ?? 0;
  const right = edges[cell.column + cell.colspan] ?? left + 1;
  const inner = Math.max(1, right - left - cell.padding.left - cell.padding.right);
  const placed = rowsOf(cell, inner);
  const count = largest(placed.map(({ bottom }) => bottom));
  const added = Math.max(0, count - cell.rowspan);
  const lastRow = cell.row + cell.rowspan - 1;
  /** The row of the outer table in which a row of the inner one begins. */
  const rowAt = (row: number): number => (row >= count ? lastRow + added + 1 : cell.row + row);
  if (isDrawn(cell) && cell.radius > 0)
    reporter.say(cell.element, "lost", "border", "border-radius", "only a button has round corners");
  const widest = largest(
    placed.map((one) => one.right),
    inner,
  );
  const moved = placed.map(({ cell: own, ...at }): Placed => {
    const first = {
      top: at.top === 0,
      bottom: at.bottom === count,
      left: at.left === 0,
      right: at.right >= widest,
    };
    const side = (name: keyof Sides<number>): number =>
      own.padding[name] + (first[name] ? cell.padding[name] : 0);
    const border = (name: keyof Sides<number>) =>
      own.border[name] ?? (first[name] ? cell.border[name] : null);
    return {
      cell: {
        ...own,
        background: own.background ?? cell.background,
        padding: { top: side("top"), right: side("right"), bottom: side("bottom"), left: side("left") },
        border: {
          top: border("top"),
          right: border("right"),
          bottom: border("bottom"),
          left: border("left"),
        },
      },
      left: first.left ? left : left + cell.padding.left + at.left,
      right: first.right ? right : left + cell.padding.left + at.right,
      top: rowAt(at.top),
      bottom: rowAt(at.bottom),
    };
  });
  const others = table.cells
    .filter((other) => other !== cell)
    .map((other): Placed => {
      const bottom = other.row + other.rowspan;
      return {
        cell: other,
        left: edges[other.column] ?? 0,
        right: edges[other.column + other.colspan] ?? 0,
        top: other.row > lastRow ? other.row + added : other.row,
        bottom: bottom > lastRow ? bottom + added : bottom,
      };
    });
  reporter.say(
    cell.element,
    "changed",
    "nesting",
    "a table in a table in a table",
    "its rows and columns are those of the table around it",
  );
  return gridOf([...others, ...moved], table);
}

/** The table without any table in it. */
export function withoutTables(table: SizedTable, reporter: Reporter): SizedTable {
  const settled: SizedTable = {
    ...table,
    cells: table.cells.map((cell) =>
      cell.parts.some(isTable)
        ? { ...cell, parts: cell.parts.map((part) => (isTable(part) ? withoutTables(part, reporter) : part)) }
        : cell,
    ),
  };
  let result = settled;
  for (;;) {
    const deep = result.cells.find(({ parts }) => parts.some(isTable));
    if (!deep) return result;
    result = expanded(result, deep, reporter);
  }
}

/** The outer table of a document: tables in its cells, and none in those. */
export const withinDepth = (table: SizedTable, reporter: Reporter): SizedTable => ({
  ...table,
  cells: table.cells.map((cell) =>
    cell.parts.some(isTable)
      ? { ...cell, parts: cell.parts.map((part) => (isTable(part) ? withoutTables(part, reporter) : part)) }
      : cell,
  ),
});
