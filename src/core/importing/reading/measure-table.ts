/**
 * How wide the columns of a foreign table are: what its cells say, in the room that there is, and where they say nothing
 * what their content needs (CSS Tables 3, section 4). Whole px.
 */
import { largest } from "../../values";
import { wordWidth } from "../../layout";
import { widest } from "../../signature";
import type { Length } from "../style/look";
import type { GridCell, Part, TablePart } from "./parts";

type Around = (cell: GridCell) => number;

/**
 * What padding and borders take off the columns of a cell. Borders collapse: one between two cells takes half of itself off
 * each of them, whichever of them declares it, and one at the table's edge stands in the column with its whole width.
 */
export function aroundIn({ cells, columns }: TablePart): Around {
  const edges: number[] = Array.from({ length: columns + 1 }, () => 0);
  for (const { column, colspan, border } of cells) {
    edges[column] = Math.max(edges[column] ?? 0, border.left?.width ?? 0);
    edges[column + colspan] = Math.max(edges[column + colspan] ?? 0, border.right?.width ?? 0);
  }
  const share = (edge: number): number => (edges[edge] ?? 0) / (edge === 0 || edge === columns ? 1 : 2);
  return ({ column, colspan, padding }) =>
    padding.left + padding.right + share(column) + share(column + colspan);
}

/** Padding and borders are within a width that is the whole one. */
const wholeOf = (cell: GridCell, length: number, around: number): number =>
  cell.wholeWidth ? Math.max(length, around) : length + around;

/** Words are measured letter by letter, without kerning: a column that they alone make wide is this much wider. */
const slack = 1;

const natural = new WeakMap<TablePart, number>();

/** How wide a part is drawn where it has all the room it wants. */
export function naturalWidth(part: Part): number {
  switch (part.kind) {
    case "line": {
      let width = 0;
      let longest = 0;
      for (const inline of part.inlines) {
        if (inline.kind === "break") width = 0;
        else if (inline.kind === "picture") width += inline.picture.width + inline.beside;
        else width += wordWidth(inline.look.upperCase ? inline.text.toUpperCase() : inline.text, inline.look);
        longest = Math.max(longest, width);
      }
      return longest;
    }
    case "picture":
      return part.picture.width;
    case "icons": {
      const widths = part.icons.map(({ picture }) => (picture.width * part.size) / picture.height);
      if (part.stacked) return largest(widths);
      const across = part.columns || widths.length;
      return widths.slice(0, across).reduce((sum, width) => sum + width, 0) + part.gap * (across - 1);
    }
    case "button":
      return part.width || labelWidth(part) + 2 * part.paddingHorizontal;
    case "divider":
      return part.width && "px" in part.width ? part.width.px : 0;
    case "gap":
      return 0;
    case "table": {
      const known = natural.get(part);
      if (known !== undefined) return known;
      const width =
        part.width && "px" in part.width
          ? part.width.px
          : columnWidths(part, null).reduce((sum, column) => sum + column, 0);
      natural.set(part, width);
      return width;
    }
  }
}

const labelWidth = (part: Part & { kind: "button" }): number =>
  part.label.reduce(
    (sum, inline) => sum + (inline.kind === "text" ? wordWidth(inline.text, inline.look) : 0),
    0,
  );

/** How wide a button is that says nothing of it; px. */
export const buttonWidth = (part: Part & { kind: "button" }): number =>
  // A label that is a hair wider than its room would break.
  part.width || Math.ceil(naturalWidth(part)) + 1;

const contentWidth = (cell: GridCell, around: Around): number => {
  const wide = largest(cell.parts.map(naturalWidth), 0);
  const words = cell.parts.some((part) => part.kind === "line" && naturalWidth(part) === wide);
  return (words && wide > 0 ? Math.ceil(wide) + slack : wide) + around(cell);
};

const resolved = (length: Length | null, room: number | null): number | null =>
  length === null ? null : "px" in length ? length.px : room === null ? null : (room * length.percent) / 100;

const sum = (numbers: readonly number[]): number => numbers.reduce((total, number) => total + number, 0);

/** Shares what is left over among some columns, by what each has already. */
function share(widths: number[], columns: readonly number[], amount: number): void {
  if (columns.length === 0 || amount === 0) return;
  const total = sum(columns.map((column) => widths[column] ?? 0));
  for (const column of columns) {
    const own = widths[column] ?? 0;
    widths[column] = Math.max(0, own + (total > 0 ? (amount * own) / total : amount / columns.length));
  }
}

/** The least that a part needs however narrow its cell is: its widest word or picture. */
function leastOf(part: Part): number {
  switch (part.kind) {
    case "line":
      return part.inlines.reduce((most, inline) => {
        if (inline.kind === "picture") return Math.max(most, inline.picture.width);
        if (inline.kind === "break") return most;
        const words = (inline.look.upperCase ? inline.text.toUpperCase() : inline.text).split(/[ -]/);
        return largest(
          words.map((word) => wordWidth(word, inline.look)),
          most,
        );
      }, 0);
    default:
      return naturalWidth(part);
  }
}

/** Takes what is too much from columns that can do with less, by how much less. */
function shrink(widths: number[], { cells }: TablePart, amount: number, around: Around): void {
  const least: number[] = widths.map(() => 0);
  for (const cell of cells)
    if (cell.colspan === 1)
      least[cell.column] = largest(
        cell.parts.map((part) => leastOf(part) + around(cell)),
        Math.max(least[cell.column] ?? 0, around(cell)),
      );
  const spare = widths.map((width, column) => Math.max(0, width - (least[column] ?? 0)));
  const total = sum(spare);
  if (total <= 0) return;
  const share = Math.min(1, amount / total);
  spare.forEach((own, column) => {
    widths[column] = (widths[column] ?? 0) - own * share;
  });
}

/** The widths as whole numbers of the same sum, each at least 1. */
function whole(widths: readonly number[]): readonly number[] {
  let carried = 0;
  return widths.map((width) => {
    const exact = width + carried;
    const rounded = Math.max(1, Math.round(exact));
    carried = exact - rounded;
    return rounded;
  });
}

/** The widths of a table's columns in so much room; null where that is not known. */
export function columnWidths(table: TablePart, room: number | null): readonly number[] {
  const around = aroundIn(table);
  const asked = resolved(table.width, room);
  const most = asked ?? room;
  const widths: number[] = Array.from({ length: table.columns }, () => 0);
  const given: boolean[] = Array.from({ length: table.columns }, () => false);
  const single = table.cells.filter(({ colspan }) => colspan === 1);
  for (const cell of single) {
    const length = resolved(cell.width, most);
    if (length === null) continue;
    const least = cell.width && "percent" in cell.width ? length : wholeOf(cell, length, around(cell));
    widths[cell.column] = Math.max(widths[cell.column] ?? 0, least);
    given[cell.column] = true;
  }
  for (const cell of single) {
    if (given[cell.column]) continue;
    widths[cell.column] = Math.max(widths[cell.column] ?? 0, contentWidth(cell, around));
  }
  const spanning = table.cells
    .filter(({ colspan }) => colspan > 1)
    .sort((one, other) => one.colspan - other.colspan);
  for (const cell of spanning) {
    const covered = Array.from({ length: cell.colspan }, (_unused, index) => cell.column + index);
    const length = resolved(cell.width, most);
    const wanted = length === null ? contentWidth(cell, around) : wholeOf(cell, length, around(cell));
    const limited = most === null ? wanted : Math.min(wanted, most);
    const missing = limited - sum(covered.map((column) => widths[column] ?? 0));
    const free = covered.filter((column) => !given[column]);
    if (missing > 0) share(widths, free.length > 0 ? free : covered.slice(-1), missing);
  }
  const total = sum(widths);
  const all = widths.map((_width, column) => column);
  const loose = all.filter((column) => !given[column]);
  if (asked !== null && total < asked) share(widths, loose.length > 0 ? loose : all, asked - total);
  else if (most !== null && total > most && loose.length > 0) {
    const kept = sum(all.filter((column) => given[column]).map((column) => widths[column] ?? 0));
    const looseTotal = sum(loose.map((column) => widths[column] ?? 0));
    if (looseTotal > 0) share(widths, loose, Math.max(loose.length, most - kept) - looseTotal);
    const rest = sum(widths) - most;
    if (rest > 0.5) shrink(widths, table, rest, around);
  } else if (asked !== null && total > asked) shrink(widths, table, total - asked, around);
  else if (most === null && total > widest && loose.length > 0) share(widths, loose, widest - total);
  return whole(widths);
}

/** The room that a cell's content has in its columns; px. */
export const roomIn = (cell: GridCell, widths: readonly number[], around: Around): number =>
  Math.max(1, sum(widths.slice(cell.column, cell.column + cell.colspan)) - around(cell));
