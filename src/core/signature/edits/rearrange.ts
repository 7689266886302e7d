/**
 * Rearranging a table: each edit takes a table and answers with another, every position of which is covered
 * once, or with the very same one when nothing changes. Rows and columns count from 0. A place that the table
 * does not have throws a RangeError that names it.
 */
import { largest, smallest } from "../../values";
import type { Node } from "prosemirror-model";
import type { Transform } from "prosemirror-transform";
import { cellWith } from "../builder";
import { isEmptyCell } from "../kinds/cell";
import { cell as cellKind } from "../kinds/cell-attributes";
import {
  emptyCellLike,
  end,
  meets,
  otherAxis,
  readLayout,
  start,
  stretched,
  writeLayout,
  type Axis,
  type LaidCell,
  type Rectangle,
  type TableLayout,
} from "../table-layout";
import { defaultColumnWidth } from "../table-map";
import { sideNames, type Border, type SideName, type Sides } from "../values";

function within(layout: TableLayout, axis: Axis, band: number, last: number): void {
  if (!Number.isInteger(band) || band < 0 || band > last)
    throw new RangeError(`No ${axis} ${band + 1} (table is ${layout.row.length} × ${layout.column.length})`);
}

/** Borders that a new cell shares with the cells that continue it along its band. */
const bordersAlong: Readonly<Record<Axis, readonly SideName[]>> = {
  row: ["left", "right"],
  column: ["top", "bottom"],
};

/**
 * Inserts an empty row or column before a band; the number of bands appends one. Its cells are in the manner of
 * the band before it, or of the first. Cells that span the place grow. A new column is `width` px wide, or as
 * wide as the column that it follows.
 */
export function insertBand(table: Node, axis: Axis, before: number, width?: number): Node {
  const layout = readLayout(table);
  within(layout, axis, before, layout[axis].length);
  const model = Math.max(0, before - 1);
  const across = otherAxis[axis];
  const cells: LaidCell[] = [];
  for (const cell of layout.cells) {
    const [from, to] = [start(cell, axis), end(cell, axis)];
    cells.push(stretched(cell, axis, from >= before ? from + 1 : from, to > before ? to + 1 : to));
    if ((from < before && to > before) || from > model || to <= model) continue;
    for (let position = start(cell, across); position < end(cell, across); position++) {
      const fresh = { ...cell, node: emptyCellLike(cell.node, bordersAlong[axis]) };
      cells.push(stretched(stretched(fresh, axis, before, before + 1), across, position, position + 1));
    }
  }
  const bands =
    axis === "row"
      ? { row: layout.row.toSpliced(before, 0, { height: null, inShortForm: true, shownFor: null }) }
      : { column: layout.column.toSpliced(before, 0, width ?? layout.column[model] ?? defaultColumnWidth) };
  return writeLayout({ ...layout, ...bands, cells }, table);
}

/** Deletes the bands from one up to and without another. A table keeps at least one row and one column. */
export function deleteBands(table: Node, axis: Axis, from: number, to: number): Node {
  const layout = readLayout(table);
  within(layout, axis, from, layout[axis].length - 1);
  within(layout, axis, to - 1, layout[axis].length - 1);
  if (to - from >= layout[axis].length) throw new RangeError(`A table keeps at least one ${axis}`);
  return writeLayout(withoutBands(layout, axis, from, to), table);
}

/** A layout without the bands from one up to and without another; cells that reach beyond them shrink. */
export function withoutBands(layout: TableLayout, axis: Axis, from: number, to: number): TableLayout {
  const moved = (at: number): number => (at <= from ? at : Math.max(from, at - (to - from)));
  const cells = layout.cells
    .map((cell) => stretched(cell, axis, moved(start(cell, axis)), moved(end(cell, axis))))
    .filter((cell) => end(cell, axis) > start(cell, axis));
  return { ...layout, [axis]: layout[axis].toSpliced(from, to - from), cells };
}

/** The bands that hang together with one through cells that span several: from the first up to the last. */
function bandsWith(layout: TableLayout, axis: Axis, band: number): readonly [number, number] {
  let [from, to] = [band, band + 1];
  for (let grown = true; grown;) {
    grown = false;
    for (const cell of layout.cells) {
      const touches = start(cell, axis) < to && end(cell, axis) > from;
      if (!touches || (start(cell, axis) >= from && end(cell, axis) <= to)) continue;
      from = Math.min(from, start(cell, axis));
      to = Math.max(to, end(cell, axis));
      grown = true;
    }
  }
  return [from, to];
}

/**
 * Moves a row or column, with those that cells tie it to, so that it comes to lie next to the band `beside`, on
 * its far side. Bands tied to each other there are not parted either.
 */
export function moveBand(table: Node, axis: Axis, band: number, beside: number): Node {
  const layout = readLayout(table);
  within(layout, axis, band, layout[axis].length - 1);
  within(layout, axis, beside, layout[axis].length - 1);
  const [from, to] = bandsWith(layout, axis, band);
  if (beside >= from && beside < to) return table;
  const [besideFrom, besideTo] = bandsWith(layout, axis, beside);
  const order = layout[axis].map((_band, index) => index);
  const taken = order.splice(from, to - from);
  const place = beside < from ? order.indexOf(besideFrom) : order.indexOf(besideTo - 1) + 1;
  order.splice(place, 0, ...taken);
  const newPlace = new Map(order.map((old, index) => [old, index]));
  const cells = layout.cells.map((cell) => {
    const first = newPlace.get(start(cell, axis)) ?? start(cell, axis);
    return stretched(cell, axis, first, first + end(cell, axis) - start(cell, axis));
  });
  const inOrder = <T>(bands: readonly T[]): readonly T[] => order.flatMap((old) => bands.slice(old, old + 1));
  const bands = axis === "row" ? { row: inOrder(layout.row) } : { column: inOrder(layout.column) };
  return writeLayout({ ...layout, ...bands, cells }, table);
}

/** The smallest rectangle around another that cuts no cell apart. */
export function wholeCells(layout: TableLayout, given: Rectangle): Rectangle {
  let rectangle = given;
  for (;;) {
    const met = layout.cells.filter((cell) => meets(cell, rectangle));
    const grown = {
      top: smallest(met.map((cell) => cell.row)),
      left: smallest(met.map((cell) => cell.column)),
      bottom: largest(met.map((cell) => end(cell, "row"))),
      right: largest(met.map((cell) => end(cell, "column"))),
    };
    if (JSON.stringify(grown) === JSON.stringify(rectangle)) return grown;
    rectangle = grown;
  }
}

const borders = ({ node }: LaidCell): Sides<Border | null> => cellKind.of(node).border;

/**
 * Makes one cell of all in a rectangle, widened to whole cells. It holds what they held in reading order, in the
 * manner of the first, and keeps the borders around them.
 */
export function mergeCells(table: Node, given: Rectangle): Node {
  const layout = readLayout(table);
  within(layout, "row", given.bottom - 1, layout.row.length - 1);
  within(layout, "column", given.right - 1, layout.column.length - 1);
  const rectangle = wholeCells(layout, given);
  const merged = layout.cells.filter((cell) => meets(cell, rectangle));
  const [first] = merged;
  if (!first || merged.length === 1) return table;
  const filled = merged.filter(({ node }) => !isEmptyCell(node));
  const content = (filled.length > 0 ? filled : [first]).flatMap(({ node }) => node.content.content);
  const { top, left } = borders(first);
  const rightmost = merged.find((cell) => end(cell, "column") === rectangle.right) ?? first;
  const lowest = merged.find((cell) => end(cell, "row") === rectangle.bottom) ?? first;
  const border = { top, left, right: borders(rightmost).right, bottom: borders(lowest).bottom };
  const node = cellWith({ ...cellKind.of(first.node), border }, content);
  const cells = layout.cells.flatMap((cell) => {
    if (!merged.includes(cell)) return [cell];
    if (cell !== first) return [];
    const rows = stretched({ ...first, node }, "row", rectangle.top, rectangle.bottom);
    return [stretched(rows, "column", rectangle.left, rectangle.right)];
  });
  return writeLayout({ ...layout, cells }, table);
}

/** Splits the cell that covers a position into one for each row and column; the first keeps what it holds. */
export function splitCell(table: Node, row: number, column: number): Node {
  const layout = readLayout(table);
  within(layout, "row", row, layout.row.length - 1);
  within(layout, "column", column, layout.column.length - 1);
  const whole = layout.cells.find((cell) =>
    meets(cell, { top: row, left: column, bottom: row + 1, right: column + 1 }),
  );
  if (!whole) throw new RangeError(`No cell at row ${row + 1}, column ${column + 1}`);
  if (whole.rowspan === 1 && whole.colspan === 1) return table;
  const edges: Readonly<Record<SideName, (r: number, c: number) => boolean>> = {
    top: (r) => r === whole.row,
    left: (_r, c) => c === whole.column,
    bottom: (r) => r === end(whole, "row") - 1,
    right: (_r, c) => c === end(whole, "column") - 1,
  };
  const parts: LaidCell[] = [];
  for (let r = whole.row; r < end(whole, "row"); r++)
    for (let c = whole.column; c < end(whole, "column"); c++) {
      const kept = sideNames.filter((side) => edges[side](r, c));
      const empty = emptyCellLike(whole.node, kept);
      const first = r === whole.row && c === whole.column;
      const node = first ? empty.copy(whole.node.content) : empty;
      parts.push({ node, row: r, column: c, rowspan: 1, colspan: 1 });
    }
  const cells = layout.cells.flatMap((cell) => (cell === whole ? parts : [cell]));
  return writeLayout({ ...layout, cells }, table);
}

/**
 * Puts what an edit makes of the table at a position in its place, in one step that spares the rows at its start
 * and end which stay as they are. Throws a RangeError when no table is there.
 */
export function rearrangeTable<T extends Transform>(
  transform: T,
  tablePosition: number,
  edit: (table: Node) => Node,
): T {
  const table = transform.doc.nodeAt(tablePosition);
  if (table?.type.name !== "table") throw new RangeError(`No table at position ${tablePosition}`);
  const edited = edit(table);
  if (edited === table) return transform;
  const before = table.content.content;
  const after = edited.content.content;
  const least = Math.min(before.length, after.length);
  let first = 0;
  while (first < least && before[first] === after[first]) first++;
  let last = 0;
  while (last < least - first && before.at(-1 - last) === after.at(-1 - last)) last++;
  const size = (rows: readonly Node[]): number => rows.reduce((sum, row) => sum + row.nodeSize, 0);
  const from = tablePosition + 1 + size(before.slice(0, first));
  const to = from + size(before.slice(first, before.length - last));
  transform.replaceWith(from, to, after.slice(first, after.length - last));
  return transform;
}
