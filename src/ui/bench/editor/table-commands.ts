/**
 * Commands on the table that the selection is in. Each answers whether it can be done, as every editor command
 * does, so that menus and the palette show what is possible.
 */
import type { Node } from "prosemirror-model";
import { NodeSelection, type Command, type EditorState, type Transaction } from "prosemirror-state";
import {
  type Axis,
  deleteBands,
  evenColumns,
  insertBand,
  mergeCells,
  moveBand,
  nodeAt,
  rearrangeTable,
  type Settings,
  settingsOf,
  splitCell,
  tableMap,
} from "@/core/signature";
import { type Selected, enterCell, selectBand, selectBlock, selectedBlock } from "./table-selection";

const ends = { row: ["top", "bottom"], column: ["left", "right"] } as const;

const firstBand = (block: Selected, axis: Axis): number => block[ends[axis][0]];

const pastLastBand = (block: Selected, axis: Axis): number => block[ends[axis][1]];

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
