/** Pasting from anywhere: what a signature can hold is kept, tables are nested, and the rest is reported. */
import { Fragment, Slice, type Node } from "prosemirror-model";
import type { Selection } from "prosemirror-state";
import type { EditorView } from "prosemirror-view";
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

/** The same content with no table deeper than allowed: a table too deep gives its parts instead. */
function fitted(content: Fragment, tables: number): Fragment {
  return Fragment.from(
    content.content.flatMap((node) => {
      if (node.isTextblock || node.isLeaf) return [node];
      if (node.type.name !== "table") return [node.copy(fitted(node.content, tables))];
      return tables === 0 ? flattened(node) : [node.copy(fitted(node.content, tables - 1))];
    }),
  );
}

/** The most tables that may lie around a line: the outer one, and one in a cell of it. */
const deepest = 2;

/** What is pasted at a selection, with no table deeper than a document holds. */
export function fitToPlace(slice: Slice, { $from }: Selection): Slice {
  let around = 0;
  for (let depth = $from.depth; depth > 0; depth--) if ($from.node(depth).type.name === "table") around++;
  return new Slice(fitted(slice.content, deepest - around), slice.openStart, slice.openEnd);
}

const hasTable = (content: Fragment): boolean => content.content.some(({ type }) => type.name === "table");

/** In words, what could not be kept of a paste. What reads it is loaded when something is pasted. */
async function sayDropped(html: string, onDropped: (dropped: readonly string[]) => void): Promise<void> {
  const { droppedInWords, whatIsDropped } = await import("@/core/importing");
  const dropped = droppedInWords(whatIsDropped(html));
  if (dropped.length > 0) onDropped(dropped);
}

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
  void sayDropped(html, onDropped);
  if (!hasTable(slice.content)) return false;
  const tr = insertBlocks(view.state, slice.content.content);
  if (!tr) return false;
  view.dispatch(tr.setMeta("uiEvent", "paste"));
  return true;
}
