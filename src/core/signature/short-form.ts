/** The short form of a signature: what a reply holds, once the rows and parts that it leaves out are gone. */
import { Fragment, type Node } from "prosemirror-model";
import { build } from "./builder";
import { isEmptyCell } from "./kinds/cell";
import { cell as cellAttributes } from "./kinds/cell-attributes";
import { isLeftOut } from "./kind";
import { outerTable } from "./outer-table";
import {
  end,
  otherAxis,
  readLayout,
  start,
  writeLayout,
  type Axis,
  type LaidCell,
  type TableLayout,
} from "./table-layout";
import { withoutBands } from "./edits/rearrange";
import type { SideName } from "./values";

const cache = new WeakMap<Node, Node>();

/** The parts of a cell that a reply holds, with nested tables in their own short form. */
function shortCell(cell: Node): Node {
  const parts = cell.content.content
    .filter((each) => !isLeftOut(each))
    .flatMap((part) => (part.type.name === "table" ? (shortTable(part) ?? []) : [part]));
  if (parts.length === cell.childCount && parts.every((part, index) => part === cell.child(index)))
    return cell;
  return cell.copy(Fragment.from(parts.length > 0 ? parts : build.line()));
}

/** Whether a row or column stands empty only because a reply leaves out all that was in it. */
function emptied(cells: readonly LaidCell[], before: readonly Node[], axis: Axis, band: number): boolean {
  const own = cells.map((cell, index) => ({ cell, before: before[index] ?? cell.node }));
  const single = own.filter(({ cell }) => start(cell, axis) === band && end(cell, axis) === band + 1);
  return (
    single.length > 0 &&
    single.every(({ cell }) => isEmptyCell(cell.node)) &&
    single.some(({ before: whole }) => !isEmptyCell(whole))
  );
}

/** Which rows and columns of the full table each band of what is left once was. */
type Kept = Readonly<Record<Axis, readonly number[]>>;

interface Left {
  readonly layout: TableLayout;
  readonly kept: Kept;
}

const leaveOut = ({ layout, kept }: Left, axis: Axis, band: number): Left => ({
  layout: withoutBands(layout, axis, band, band + 1),
  kept: { ...kept, [axis]: kept[axis].toSpliced(band, 1) },
});

const edges: readonly { side: SideName; axis: Axis; last: boolean }[] = [
  { side: "top", axis: "row", last: false },
  { side: "bottom", axis: "row", last: true },
  { side: "left", axis: "column", last: false },
  { side: "right", axis: "column", last: true },
];

/**
 * A cell that has come to stand at an edge of the table has the border of what stood there in the full form, and at
 * least its padding, so that a frame stays whole.
 */
function framed(cell: LaidCell, layout: TableLayout, full: TableLayout, kept: Kept): Node {
  let { padding, border } = cellAttributes.of(cell.node);
  for (const { side, axis, last } of edges) {
    const at = last ? end(cell, axis) === layout[axis].length : start(cell, axis) === 0;
    const edge = last ? full[axis].length - 1 : 0;
    const was = kept[axis][last ? end(cell, axis) - 1 : start(cell, axis)];
    if (!at || was === edge) continue;
    const across = otherAxis[axis];
    const place = kept[across][start(cell, across)] ?? 0;
    const stood = full.cells.find(
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

/** The short form of a table, or null when a reply holds none of its rows. */
function shortTable(table: Node): Node | null {
  const full = readLayout(table);
  if (!full.row.some(({ inShortForm }) => inShortForm)) return null;
  let left: Left = { layout: full, kept: { row: [...full.row.keys()], column: [...full.column.keys()] } };
  for (const [row, { inShortForm }] of [...full.row.entries()].reverse())
    if (!inShortForm) left = leaveOut(left, "row", row);
  const before = left.layout.cells.map(({ node }) => node);
  const cells = left.layout.cells.map((cell) => ({ ...cell, node: shortCell(cell.node) }));
  const gone = {
    row: left.layout.row.map((_row, row) => emptied(cells, before, "row", row)),
    column: left.layout.column.map((_width, column) => emptied(cells, before, "column", column)),
  };
  left = { ...left, layout: { ...left.layout, cells } };
  for (const axis of ["column", "row"] as const)
    for (let band = gone[axis].length - 1; band >= 0; band--)
      if (gone[axis][band] && left.layout[axis].length > 1) left = leaveOut(left, axis, band);
  const { layout, kept } = left;
  return writeLayout(
    { ...layout, cells: layout.cells.map((cell) => ({ ...cell, node: framed(cell, layout, full, kept) })) },
    table,
  );
}

/** Whether anything of a signature is left out of replies. */
export function hasShortForm(document: Node): boolean {
  let found = false;
  document.descendants((node) => {
    if (isLeftOut(node)) found = true;
    return !found;
  });
  return found;
}

/**
 * The document that a reply holds: without the rows and parts that are marked, and without rows and columns
 * that this leaves empty. What comes to stand at an edge has the frame of what stood there. The very same document when
 * nothing is marked.
 */
export function shortForm(document: Node): Node {
  const known = cache.get(document);
  if (known) return known;
  const table = outerTable(document);
  const short = hasShortForm(document) ? (shortTable(table) ?? emptyTable(table)) : table;
  const made = short === table ? document : document.copy(Fragment.from(short));
  cache.set(document, made);
  return made;
}

/** One empty cell as wide as the table: what is left when a reply leaves out every row. */
function emptyTable(table: Node): Node {
  const { column } = readLayout(table);
  const width = column.reduce((sum, each) => sum + each, 0);
  return table.copy(Fragment.from(build.row(build.cell({ width: [width] }, build.line()))));
}
