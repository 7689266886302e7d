/**
 * A table without some of its rows and parts, and without the rows and columns that this leaves empty. What comes to stand at an edge has
 * the frame of what stood there.
 */
import { Fragment, type Node } from "prosemirror-model";
import { build } from "./builder";
import { withoutBands } from "./edits/rearrange";
import { isEmptyCell } from "./kinds/cell";
import { cell as cellAttributes } from "./kinds/cell-attributes";
import {
  end,
  joinedWidths,
  otherAxis,
  readLayout,
  start,
  writeLayout,
  type Axis,
  type LaidCell,
  type TableLayout,
} from "./table-layout";
import { tableMap } from "./table-map";
import type { SideName } from "./values";

export interface LeavingOut {
  /** Whether a row, or a part of a cell, is left out. */
  readonly leaves: (node: Node) => boolean;
  /** Whether the width of a column that goes is given to the one beside it, so that the table stays as wide as it was. */
  readonly keepsWidth: boolean;
}

/** What holds nothing but the place of something. */
const isRoom = (node: Node): boolean =>
  node.type.name === "spacer" || (node.type.name === "line" && node.childCount === 0);

/** A cell without what is left out, tables in it as well; empty where only room would be left. */
function cellWithout(cell: Node, leaving: LeavingOut): Node {
  const parts = cell.children
    .filter((each) => !leaving.leaves(each))
    .flatMap((part) => (part.type.name === "table" ? (tableWithout(part, leaving) ?? []) : [part]));
  if (parts.length === cell.childCount && parts.every((part, index) => part === cell.child(index)))
    return cell;
  return cell.copy(Fragment.from(parts.every(isRoom) ? build.line() : parts));
}

/** Whether a band stands empty only because all that was in it is left out. */
function emptied(cells: readonly LaidCell[], before: readonly Node[], axis: Axis, band: number): boolean {
  const own = cells.map((cell, index) => ({ cell, before: before[index] ?? cell.node }));
  const single = own.filter(({ cell }) => start(cell, axis) === band && end(cell, axis) === band + 1);
  return (
    single.length > 0 &&
    single.every(({ cell }) => isEmptyCell(cell.node)) &&
    single.some(({ before: whole }) => !isEmptyCell(whole))
  );
}

/** Which rows and columns of the whole table each band of what is left once was. */
type Kept = Readonly<Record<Axis, readonly number[]>>;

interface Left {
  readonly layout: TableLayout;
  readonly kept: Kept;
}

function withoutBand({ layout, kept }: Left, axis: Axis, band: number, keepsWidth: boolean): Left {
  const beside = band + 1 < layout[axis].length ? band + 1 : band - 1;
  const widened =
    keepsWidth && axis === "column"
      ? layout.column.with(beside, joinedWidths(layout.column[beside] ?? 0, layout.column[band] ?? 0))
      : layout.column;
  return {
    layout: withoutBands({ ...layout, column: widened }, axis, band, band + 1),
    kept: { ...kept, [axis]: kept[axis].toSpliced(band, 1) },
  };
}

const edges: readonly { side: SideName; axis: Axis; last: boolean }[] = [
  { side: "top", axis: "row", last: false },
  { side: "bottom", axis: "row", last: true },
  { side: "left", axis: "column", last: false },
  { side: "right", axis: "column", last: true },
];

/**
 * A cell that has come to stand at an edge of the table has the border of what stood there in the whole one, and at
 * least its padding, so that a frame stays whole.
 */
function framed(cell: LaidCell, layout: TableLayout, whole: TableLayout, kept: Kept): Node {
  let { padding, border } = cellAttributes.of(cell.node);
  for (const { side, axis, last } of edges) {
    const at = last ? end(cell, axis) === layout[axis].length : start(cell, axis) === 0;
    const edge = last ? whole[axis].length - 1 : 0;
    const was = kept[axis][last ? end(cell, axis) - 1 : start(cell, axis)];
    if (!at || was === edge) continue;
    const across = otherAxis[axis];
    const place = kept[across][start(cell, across)] ?? 0;
    const stood = whole.cells.find(
      (each) =>
        start(each, axis) <= edge &&
        edge < end(each, axis) &&
        start(each, across) <= place &&
        place < end(each, across),
    );
    if (!stood) continue;
    const before = cellAttributes.of(stood.node);
    border = { ...border, [side]: before.border[side] ?? border[side] };
    padding = { ...padding, [side]: Math.max(padding[side], before.padding[side]) };
  }
  const own = cellAttributes.of(cell.node);
  const same = JSON.stringify([own.padding, own.border]) === JSON.stringify([padding, border]);
  return same ? cell.node : cell.node.type.create({ ...cell.node.attrs, padding, border }, cell.node.content);
}

/** Null where none of its rows is left; the very same table where all of it is. */
export function tableWithout(table: Node, leaving: LeavingOut): Node | null {
  // One whose positions are not each covered once is written as it is.
  if (tableMap(table).problems.length > 0) return table;
  const whole = readLayout(table);
  const rows = table.children.map(leaving.leaves);
  if (rows.every(Boolean)) return null;
  const emptier = new Map(whole.cells.map(({ node }) => [node, cellWithout(node, leaving)]));
  // Asked at every key that is pressed, and mostly all of it is there.
  if (!rows.some(Boolean) && [...emptier].every(([cell, less]) => less === cell)) return table;
  let left: Left = {
    layout: whole,
    kept: { row: [...whole.row.keys()], column: [...whole.column.keys()] },
  };
  for (const [row, leaves] of [...rows.entries()].reverse())
    if (leaves) left = withoutBand(left, "row", row, leaving.keepsWidth);
  const before = left.layout.cells.map(({ node }) => node);
  const cells = left.layout.cells.map((cell) => ({ ...cell, node: emptier.get(cell.node) ?? cell.node }));
  const gone = {
    row: left.layout.row.map((_row, row) => emptied(cells, before, "row", row)),
    column: left.layout.column.map((_width, column) => emptied(cells, before, "column", column)),
  };
  left = { ...left, layout: { ...left.layout, cells } };
  for (const axis of ["column", "row"] as const)
    for (let band = gone[axis].length - 1; band >= 0; band--)
      if (gone[axis][band] && left.layout[axis].length > 1)
        left = withoutBand(left, axis, band, leaving.keepsWidth);
  const { layout, kept } = left;
  return writeLayout(
    { ...layout, cells: layout.cells.map((cell) => ({ ...cell, node: framed(cell, layout, whole, kept) })) },
    table,
  );
}

/** One empty cell as wide as the table: what stands for one of which nothing is left. */
export function emptyTable(table: Node): Node {
  const { column } = readLayout(table);
  const width = column.reduce(joinedWidths, 0);
  return table.copy(Fragment.from(build.row(build.cell({ width: [width] }, build.line()))));
}
