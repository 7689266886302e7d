/** Pasting from anywhere: what a signature can hold is kept, tables are nested, and the rest is reported. */
import { Fragment, type Node, type Slice } from "prosemirror-model";
import type { EditorView } from "prosemirror-view";
import { droppedInWords, whatIsDropped } from "@/core/importing";
import { insertBlocks } from "./commands";

/** Whether HTML was copied on a Bench, and so holds nothing that a document could not. */
const isOwn = (html: string): boolean => html.includes("data-pm-slice");

/** A table's parts one after the other, for where no table may stand. */
function flattened(table: Node): Node[] {
  const found: Node[] = [];
  table.forEach((row) =>
    row.forEach((cell) =>
      cell.forEach((part) => found.push(...(part.type.name === "table" ? flattened(part) : [part]))),
    ),
  );
  return found;
}

/** Blocks of which tables nest no deeper than allowed. */
function fitted(content: Fragment, tables: number): Node[] {
  return content.content.flatMap((block) => {
    if (block.type.name !== "table") return [block];
    if (tables === 0) return flattened(block);
    const cellOf = (cell: Node): Node => cell.copy(Fragment.from(fitted(cell.content, tables - 1)));
    const rowOf = (row: Node): Node => row.copy(Fragment.from(row.content.content.map(cellOf)));
    return [block.copy(Fragment.from(block.content.content.map(rowOf)))];
  });
}

const hasTable = (content: Fragment): boolean => content.content.some(({ type }) => type.name === "table");

/**
 * Takes a paste that holds a foreign table, which would otherwise be poured over the cells around the cursor.
 * Answers whether it did; `onDropped` is told in words what could not be kept of any foreign paste.
 */
export function pasteForeign(
  view: EditorView,
  html: string,
  slice: Slice,
  onDropped: (dropped: readonly string[]) => void,
): boolean {
  if (html === "" || isOwn(html)) return false;
  const dropped = droppedInWords(whatIsDropped(html));
  if (dropped.length > 0) onDropped(dropped);
  if (!hasTable(slice.content)) return false;
  const { $from } = view.state.selection;
  let around = 0;
  for (let depth = $from.depth; depth > 0; depth--) if ($from.node(depth).type.name === "table") around++;
  const tr = insertBlocks(view.state, fitted(slice.content, 2 - around));
  if (!tr) return false;
  view.dispatch(tr.setMeta("uiEvent", "paste"));
  return true;
}
