/** The short form of a signature: what a reply holds, once the rows and parts that it leaves out are gone. */
import { Fragment, type Node } from "prosemirror-model";
import { build } from "./builder";
import { isEmptyCell } from "./kinds/cell";
import { isLeftOut } from "./kind";
import { outerTable } from "./outer-table";
import { end, readLayout, start, writeLayout, type LaidCell } from "./table-layout";
import { withoutBands } from "./edits/rearrange";

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

/** Columns that stand empty only because a reply leaves out all that was in them. */
function emptied(cells: readonly LaidCell[], before: readonly Node[], column: number): boolean {
  const own = cells.map((cell, index) => ({ cell, before: before[index] ?? cell.node }));
  const single = own.filter(
    ({ cell }) => start(cell, "column") === column && end(cell, "column") === column + 1,
  );
  return (
    single.length > 0 &&
    single.every(({ cell }) => isEmptyCell(cell.node)) &&
    single.some(({ before: whole }) => !isEmptyCell(whole))
  );
}

/** The short form of a table, or null when a reply holds none of its rows. */
function shortTable(table: Node): Node | null {
  let layout = readLayout(table);
  if (!layout.row.some(({ inShortForm }) => inShortForm)) return null;
  for (const [row, { inShortForm }] of [...layout.row.entries()].reverse())
    if (!inShortForm) layout = withoutBands(layout, "row", row, row + 1);
  const before = layout.cells.map(({ node }) => node);
  const cells = layout.cells.map((cell) => ({ ...cell, node: shortCell(cell.node) }));
  const gone = layout.column.map((_width, column) => emptied(cells, before, column));
  layout = { ...layout, cells };
  for (let column = gone.length - 1; column >= 0; column--)
    if (gone[column] && layout.column.length > 1) layout = withoutBands(layout, "column", column, column + 1);
  return writeLayout(layout, table);
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
 * The document that a reply holds: without the rows and parts that are marked, and without columns that this
 * leaves empty. The very same document when nothing is marked.
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
