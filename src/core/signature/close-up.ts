/**
 * Places that close up: where somebody has no picture and nothing is to stand for it, the column or the row that held only that is not
 * there. Its width goes to the column beside it, so that the table is as wide as it was and all that spans it stays as it is.
 */
import { Fragment, type Node } from "prosemirror-model";
import { withoutBands } from "./edits/rearrange";
import { isEmptyCell } from "./kinds/cell";
import { picture } from "./kinds/picture";
import { hasOwnPictures } from "./pictures-of-person";
import { end, otherAxis, readLayout, start, writeLayout, type Axis, type TableLayout } from "./table-layout";
import { tableMap } from "./table-map";

function isClosed(node: Node): boolean {
  if (!picture.is(node)) return false;
  const { field, without, source } = picture.of(node);
  return field !== null && without === "nothing" && source === "";
}

const isRoom = (node: Node): boolean =>
  node.type.name === "spacer" || (node.type.name === "line" && node.childCount === 0);

/** Whether a cell holds a place that is closed, and nothing beside it. */
const isClosedCell = (cell: Node): boolean =>
  cell.children.some(isClosed) && cell.children.every((node) => isClosed(node) || isRoom(node));

/** The first band that holds only what is closed; null where there is none. */
function closedBand(layout: TableLayout, axis: Axis): number | null {
  if (layout[axis].length === 1) return null;
  for (let band = 0; band < layout[axis].length; band++) {
    const own = layout.cells.filter((laid) => start(laid, axis) === band && end(laid, axis) === band + 1);
    if (
      own.some(({ node }) => isClosedCell(node)) &&
      own.every(({ node }) => isClosedCell(node) || isEmptyCell(node))
    )
      return band;
  }
  return null;
}

function withoutClosed(layout: TableLayout, axis: Axis): TableLayout {
  const band = closedBand(layout, axis);
  if (band === null) return layout;
  const beside = band + 1 < layout[axis].length ? band + 1 : band - 1;
  const column =
    axis === "column"
      ? layout.column.with(beside, (layout.column[beside] ?? 0) + (layout.column[band] ?? 0))
      : layout.column;
  return withoutClosed(withoutBands({ ...layout, column }, axis, band, band + 1), axis);
}

/** A column is looked for first: a photo beside lines of text is in one, and alone in its row as well where there is one row. */
function closedTable(table: Node): Node {
  if (tableMap(table).problems.length > 0) return table;
  const layout = readLayout(table);
  const axes = ["column", otherAxis.column] as const;
  const closed = axes.reduce(withoutClosed, layout);
  return closed === layout ? table : writeLayout(closed, table);
}

/** The document without what is closed in it; the very same one where nothing is. */
export function closedUp(node: Node): Node {
  if (!hasOwnPictures(node) || picture.is(node)) return node;
  const children = node.children.map(closedUp);
  const inside = children.every((child, index) => child === node.child(index))
    ? node
    : node.copy(Fragment.fromArray(children));
  return inside.type.name === "table" ? closedTable(inside) : inside;
}
