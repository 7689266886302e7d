/** Selecting in tables: blocks of cells, bands, and one level further out or in. */
import type { Node } from "prosemirror-model";
import {
  NodeSelection,
  Selection,
  TextSelection,
  type Command,
  type EditorState,
  type Transaction,
} from "prosemirror-state";
import { CellSelection } from "prosemirror-tables";
import { type Axis, nodeAt, type Rectangle, rectangleOf, tableMap } from "@/core/signature";
import { describeSelection } from "./selection";

/** The table of the selection, and the block of it that is selected. */
export interface Selected extends Rectangle {
  readonly table: Node;
  readonly position: number;
}

export function selectedBlock(state: EditorState): Selected | null {
  const { table, cells } = describeSelection(state);
  if (!table || cells.length === 0) return null;
  return { table: table.node, position: table.position, ...rectangleOf(cells.map(({ place }) => place)) };
}

/** Selects a block of a table as cells. */
export function selectBlock(tr: Transaction, tablePosition: number, block: Rectangle): Transaction {
  const map = tableMap(nodeAt(tr.doc, tablePosition));
  const covering = (row: number, column: number): number =>
    tablePosition + 1 + map.grid[row * map.columns + column]!.offset;
  const [top, left] = [Math.min(block.top, map.rows - 1), Math.min(block.left, map.columns - 1)];
  const [bottom, right] = [Math.min(block.bottom, map.rows) - 1, Math.min(block.right, map.columns) - 1];
  return tr.setSelection(CellSelection.create(tr.doc, covering(top, left), covering(bottom, right)));
}

/** Puts the cursor into the cell that covers a place of a table. */
export function enterCell(tr: Transaction, tablePosition: number, row: number, column: number): Transaction {
  const map = tableMap(nodeAt(tr.doc, tablePosition));
  const place = map.grid[Math.min(row, map.rows - 1) * map.columns + Math.min(column, map.columns - 1)]!;
  return tr.setSelection(Selection.near(tr.doc.resolve(tablePosition + 1 + place.offset + 1)));
}

/** What can be written in a cell, in the first of its lines; null in one that holds pictures alone. */
function textIn(cell: Node, position: number): { from: number; to: number } | null {
  let found: { from: number; to: number } | null = null;
  cell.descendants((node, offset) => {
    if (!found && node.type.name === "line") {
      const from = position + 1 + offset + 1;
      found = { from, to: from + node.content.size };
    }
    return !found;
  });
  return found;
}

/** Goes to the next cell that can be written in, or to the one before, and selects its first line. */
export const stepCell =
  (direction: 1 | -1): Command =>
  (state, dispatch) => {
    const { table, cells } = describeSelection(state);
    const at = cells.at(direction === 1 ? -1 : 0);
    if (!table || !at) return false;
    const { places } = tableMap(table.node);
    const own = places.findIndex(({ offset }) => offset === at.place.offset);
    for (let index = own + direction; index >= 0 && index < places.length; index += direction) {
      const place = places[index];
      const text = place && textIn(place.node, table.position + 1 + place.offset);
      if (!text) continue;
      dispatch?.(state.tr.setSelection(TextSelection.create(state.doc, text.from, text.to)).scrollIntoView());
      return true;
    }
    return false;
  };

/**
 * An arrow key on a part with nothing beyond it: what is selected stays so. Browsers would put the caret somewhere on the
 * other side of it.
 */
export const stayAtEdge =
  (direction: 1 | -1): Command =>
  ({ selection }) =>
    selection instanceof NodeSelection &&
    selection.node.isBlock &&
    Selection.findFrom(direction === 1 ? selection.$to : selection.$from, direction) === null;

/** Selects a whole row or column. */
export function selectBand(tr: Transaction, tablePosition: number, axis: Axis, band: number): Transaction {
  const { rows, columns } = tableMap(nodeAt(tr.doc, tablePosition));
  const whole = { top: 0, left: 0, bottom: rows, right: columns };
  return selectBlock(
    tr,
    tablePosition,
    axis === "row" ? { ...whole, top: band, bottom: band + 1 } : { ...whole, left: band, right: band + 1 },
  );
}

/** Selects every cell of a table. */
export function selectAll(tr: Transaction, tablePosition: number): Transaction {
  const { rows, columns } = tableMap(nodeAt(tr.doc, tablePosition));
  return selectBlock(tr, tablePosition, { top: 0, left: 0, bottom: rows, right: columns });
}

/** Selects the next level out: the part around the text, its cell, the row, the table, and the cell around that. */
export const selectOut: Command = (state, dispatch) => {
  const wider = outward(state);
  if (!wider || wider.eq(state.selection)) return false;
  dispatch?.(state.tr.setSelection(wider));
  return true;
};

function outward(state: EditorState): Selection | null {
  const { selection, doc, tr } = state;
  const { table, cells, part } = describeSelection(state);
  const [cell] = cells;
  if (!table || !cell) return null;
  if (!(selection instanceof CellSelection)) {
    if (!part && selection.$from.parent.isTextblock)
      return NodeSelection.create(doc, selection.$from.before());
    if (part?.node.isInline) return NodeSelection.create(doc, selection.$from.before());
    return CellSelection.create(doc, cell.position);
  }
  const map = tableMap(table.node);
  const block = rectangleOf(cells.map(({ place }) => place));
  const whole = { top: 0, left: 0, bottom: map.rows, right: map.columns };
  if (block.right - block.left < map.columns)
    return selectBlock(tr, table.position, { ...whole, top: block.top, bottom: block.bottom }).selection;
  if (block.bottom - block.top < map.rows) return selectBlock(tr, table.position, whole).selection;
  const around = doc.resolve(table.position);
  return around.depth > 0 ? CellSelection.create(doc, around.before()) : null;
}

/** Goes into what is selected as a whole: the text of a line or of the first selected cell. */
export const selectIn: Command = (state, dispatch) => {
  const { selection, doc } = state;
  const inside =
    selection instanceof CellSelection
      ? Selection.near(doc.resolve(Math.min(selection.$anchorCell.pos, selection.$headCell.pos) + 1))
      : selection instanceof NodeSelection && selection.node.isTextblock
        ? TextSelection.create(doc, selection.from + 1)
        : null;
  if (!inside) return false;
  dispatch?.(state.tr.setSelection(inside));
  return true;
};

/** Selects all that the cell holds, and when that is selected, every cell of its table. */
export const selectMore: Command = (state, dispatch) => {
  const { selection, doc, tr } = state;
  const { table, cells } = describeSelection(state);
  const [cell] = cells;
  if (!table || !cell) return true;
  const start = Selection.findFrom(doc.resolve(cell.position + 1), 1, true);
  const end = Selection.findFrom(doc.resolve(cell.position + cell.node.nodeSize - 1), -1, true);
  const within = start && end && TextSelection.create(doc, start.from, end.to);
  const whole = selection instanceof CellSelection || !within || within.empty || within.eq(selection);
  dispatch?.(whole ? selectAll(tr, table.position) : tr.setSelection(within));
  return true;
};
