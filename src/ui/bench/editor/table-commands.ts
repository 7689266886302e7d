/**
 * Commands on the table that the selection is in. Each answers whether it can be done, as every editor command
 * does, so that menus and the palette show what is possible.
 */
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
import {
  type Axis,
  build,
  deleteBands,
  evenColumns,
  innerWidth,
  insertBand,
  insertRowAcross,
  mergeCells,
  moveBand,
  narrowestColumn,
  nodeAt,
  outerTable,
  rearrangeTable,
  type Rectangle,
  rectangleOf,
  type Settings,
  settingsOf,
  splitCell,
  tableMap,
} from "@/core/signature";
import { insertBlock } from "./commands";
import { describeSelection } from "./selection";

/** The table of the selection, and the block of it that is selected. */
interface Selected extends Rectangle {
  readonly table: Node;
  readonly position: number;
}

export function selectedBlock(state: EditorState): Selected | null {
  const { table, cells } = describeSelection(state);
  if (!table || cells.length === 0) return null;
  return { table: table.node, position: table.position, ...rectangleOf(cells.map(({ place }) => place)) };
}

const ends = { row: ["top", "bottom"], column: ["left", "right"] } as const;
const firstBand = (block: Selected, axis: Axis): number => block[ends[axis][0]];
const pastLastBand = (block: Selected, axis: Axis): number => block[ends[axis][1]];

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
function enterCell(tr: Transaction, tablePosition: number, row: number, column: number): Transaction {
  const map = tableMap(nodeAt(tr.doc, tablePosition));
  const place = map.grid[Math.min(row, map.rows - 1) * map.columns + Math.min(column, map.columns - 1)]!;
  return tr.setSelection(Selection.near(tr.doc.resolve(tablePosition + 1 + place.offset + 1)));
}

/** An edit of the selected table that puts the selection somewhere afterwards. */
const rearranging =
  (
    edit: (block: Selected) => Node | null,
    select: (tr: Transaction, block: Selected) => Transaction,
  ): Command =>
  (state, dispatch) => {
    const block = selectedBlock(state);
    const edited = block && edit(block);
    if (!block || !edited || edited === block.table) return false;
    if (dispatch) {
      const tr = state.tr;
      rearrangeTable(tr, block.position, () => edited);
      dispatch(select(tr, block).scrollIntoView());
    }
    return true;
  };

/** The least px that a new column gets of a table that may not grow. */
const leastNewColumn = 60;

/** How wide a column put beside another is: as wide, or what the widest the signature may be leaves. */
function newColumnWidth(block: Selected, beside: number, { maxWidth }: Settings): number {
  const { columnWidths, width } = tableMap(block.table);
  return Math.max(leastNewColumn, Math.min(columnWidths[beside]!, maxWidth - width));
}

/** Inserts an empty row or column on one side of what is selected, and goes into it. */
export const insertBeside =
  (axis: Axis, where: "before" | "after"): Command =>
  (state, dispatch) =>
    rearranging(
      (block) => {
        const place = where === "before" ? firstBand(block, axis) : pastLastBand(block, axis);
        const beside = where === "before" ? place : place - 1;
        const width = axis === "column" ? newColumnWidth(block, beside, settingsOf(state.doc)) : undefined;
        return insertBand(block.table, axis, place, width);
      },
      (tr, block) => {
        const place = where === "before" ? firstBand(block, axis) : pastLastBand(block, axis);
        const [row, column] = axis === "row" ? [place, block.left] : [block.top, place];
        return enterCell(tr, block.position, row, column);
      },
    )(state, dispatch);

/** Deletes the selected rows or columns; a nested table goes as a whole with its last one. */
export const deleteSelected =
  (axis: Axis): Command =>
  (state, dispatch) => {
    const block = selectedBlock(state);
    if (!block) return false;
    const [from, to] = [firstBand(block, axis), pastLastBand(block, axis)];
    const map = tableMap(block.table);
    const all = to - from >= (axis === "row" ? map.rows : map.columns);
    if (all && block.position === 0) return false;
    if (all) {
      dispatch?.(state.tr.setSelection(NodeSelection.create(state.doc, block.position)).deleteSelection());
      return true;
    }
    return rearranging(
      () => deleteBands(block.table, axis, from, to),
      (tr) =>
        enterCell(tr, block.position, axis === "row" ? from : block.top, axis === "row" ? block.left : from),
    )(state, dispatch);
  };

/** Where a table's cell at a place is once the table has been rearranged; it is known by what it holds. */
function placeAfter(before: Node, after: Node, row: number, column: number): { row: number; column: number } {
  const map = tableMap(before);
  const { content } = map.grid[row * map.columns + column]!.node;
  return tableMap(after).places.find(({ node }) => node.content === content) ?? { row, column };
}

/** Moves the selected rows or columns past their neighbour, and keeps them selected. */
export const moveSelected =
  (axis: Axis, by: -1 | 1): Command =>
  (state, dispatch) => {
    const block = selectedBlock(state);
    if (!block) return false;
    const map = tableMap(block.table);
    const [first, last] = [firstBand(block, axis), pastLastBand(block, axis) - 1];
    const neighbour = by < 0 ? first - 1 : last + 1;
    if (neighbour < 0 || neighbour >= (axis === "row" ? map.rows : map.columns)) return false;
    return rearranging(
      () => moveBand(block.table, axis, neighbour, by < 0 ? last : first),
      (tr) => {
        const moved = placeAfter(block.table, nodeAt(tr.doc, block.position), block.top, block.left);
        const [rows, columns] = [block.bottom - block.top, block.right - block.left];
        return selectBlock(tr, block.position, {
          top: moved.row,
          left: moved.column,
          bottom: moved.row + rows,
          right: moved.column + columns,
        });
      },
    )(state, dispatch);
  };

/** Moves one row or column of a table next to another, on its far side, and selects it. */
export function moveTo(
  state: EditorState,
  tablePosition: number,
  axis: Axis,
  band: number,
  beside: number,
): Transaction | null {
  const table = nodeAt(state.doc, tablePosition);
  const moved = moveBand(table, axis, band, beside);
  if (moved === table) return null;
  const { tr } = state;
  rearrangeTable(tr, tablePosition, () => moved);
  const place = axis === "row" ? placeAfter(table, moved, band, 0) : placeAfter(table, moved, 0, band);
  return selectBand(tr, tablePosition, axis, place[axis]);
}

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

export const merge: Command = rearranging(
  (block) => mergeCells(block.table, block),
  (tr, block) => selectBlock(tr, block.position, { ...block, bottom: block.top + 1, right: block.left + 1 }),
);

export const split: Command = rearranging(
  (block) => {
    let table = block.table;
    const { places } = tableMap(table);
    const inside = places.filter(
      (place) =>
        place.row >= block.top &&
        place.row < block.bottom &&
        place.column >= block.left &&
        place.column < block.right,
    );
    for (const { row, column } of inside) table = splitCell(table, row, column);
    return table;
  },
  (tr, block) => selectBlock(tr, block.position, block),
);

/** Makes the selected columns the same width; with one cell selected, all columns. */
export const evenOut: Command = (state, dispatch) => {
  const block = selectedBlock(state);
  if (!block) return false;
  const { columns } = tableMap(block.table);
  const several = block.right - block.left > 1;
  const { tr } = state;
  evenColumns(tr, block.position, several ? block.left : 0, several ? block.right : columns);
  if (!tr.docChanged) return false;
  dispatch?.(tr);
  return true;
};

/** Puts parts into a row of their own across all columns, under the row that the selection is in. */
export const insertAcross =
  (parts: (width: number) => readonly Node[], at?: number): Command =>
  (state, dispatch) => {
    const outer = outerTable(state.doc);
    const map = tableMap(outer);
    const row = at ?? outerRow(state) + 1;
    const before = nearestFree(map, Math.min(row, map.rows));
    if (!dispatch) return true;
    const tr = state.tr;
    insertRowAcross(tr, 0, before, parts(map.width));
    const placed =
      1 + outer.content.content.slice(0, before).reduce((sum, each) => sum + each.nodeSize, 0) + 2;
    const part = nodeAt(tr.doc, placed);
    tr.setSelection(
      part.isTextblock
        ? TextSelection.create(tr.doc, placed + 1, placed + 1 + part.content.size)
        : NodeSelection.create(tr.doc, placed),
    );
    dispatch(tr.scrollIntoView());
    return true;
  };

/** The last row of the outer table that the selection reaches. */
function outerRow({ selection, doc }: EditorState): number {
  const at = doc.resolve(Math.min(selection.to, doc.content.size));
  return at.depth >= 1
    ? Math.min(at.index(1), outerTable(doc).childCount - 1)
    : outerTable(doc).childCount - 1;
}

/** The first place between rows, from one on, that no cell spans. */
function nearestFree(map: ReturnType<typeof tableMap>, row: number): number {
  for (let before = row; before < map.rows; before++)
    if (!map.places.some((place) => place.row < before && place.row + place.rowspan > before)) return before;
  return map.rows;
}

/** A table of two empty columns that share a width; px. */
export function nestedTable(width: number): Node {
  const first = Math.max(narrowestColumn, Math.floor(width / 2));
  const cellOf = (each: number): Node => build.cell({ width: [each] }, build.line());
  return build.table(build.row(cellOf(first), cellOf(Math.max(narrowestColumn, width - first))));
}

/** Puts a nested table of two columns after the part at the cursor; its cells hold no further table. */
export const insertNested: Command = (state, dispatch) => {
  const { cells, table } = describeSelection(state);
  const [cell] = cells;
  if (!cell || table?.position !== 0) return false;
  const tr = insertBlock(state, nestedTable(innerWidth(cell.map, cell.place)));
  if (!tr) return false;
  dispatch?.(tr.setSelection(Selection.near(tr.doc.resolve(tr.selection.from + 1))).scrollIntoView());
  return true;
};

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
