/** Putting whole rows across a signature and tables into cells. */
import type { Node } from "prosemirror-model";
import { NodeSelection, Selection, TextSelection, type Command, type EditorState } from "prosemirror-state";
import {
  build,
  innerWidth,
  insertRowAcross,
  narrowestColumn,
  nodeAt,
  outerTable,
  tableMap,
} from "@/core/signature";
import { insertBlock } from "./commands";
import { describeSelection } from "./selection";

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
