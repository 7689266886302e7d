/** Commands on the part that the selection is in: a line, a picture, a divider and so on. */
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
  duplicatePart,
  isLeftOut,
  movePart,
  nodeAt,
  part,
  removePart,
  setAttributes,
} from "@/core/signature";
import type { Condition } from "@/core/people";
import { describeSelection, type Placed } from "./selection";

/** The part of a cell that the selection is in or on: the outermost block of its innermost cell. */
export function selectedPart({ selection, doc }: EditorState): Placed | null {
  if (selection instanceof CellSelection) return null;
  if (selection instanceof NodeSelection && selection.$from.parent.type.name === "cell")
    return { position: selection.from, node: selection.node };
  const { $from } = selection;
  for (let depth = $from.depth; depth > 1; depth--)
    if ($from.node(depth - 1).type.name === "cell")
      return { position: $from.before(depth), node: nodeAt(doc, $from.before(depth)) };
  return null;
}

/** Where a part goes when it moves by one: past its neighbour, or into the next cell of the table. */
function nextPlace(state: EditorState, { position, node }: Placed, by: -1 | 1): number | null {
  const at = state.doc.resolve(position);
  const index = at.index();
  const cell = at.parent;
  if (by < 0 && index > 0) return position - cell.child(index - 1).nodeSize;
  if (by > 0 && index < cell.childCount - 1) return position + node.nodeSize + cell.child(index + 1).nodeSize;
  const cells: { start: number; end: number }[] = [];
  const table = at.node(-2);
  const tableStart = at.start(-2);
  table.forEach((row, rowOffset) =>
    row.forEach((each, cellOffset) => {
      const start = tableStart + rowOffset + 1 + cellOffset + 1;
      cells.push({ start, end: start + each.content.size });
    }),
  );
  const own = cells.findIndex(({ start }) => start === at.start());
  const next = cells[own + by];
  return next ? (by < 0 ? next.end : next.start) : null;
}

/** Selects a part as it was selected before it moved: as a whole, or with the cursor in it. */
function selectMoved(tr: Transaction, before: EditorState, from: number, to: number): Transaction {
  const { selection } = before;
  return tr.setSelection(
    selection instanceof NodeSelection && selection.from === from
      ? NodeSelection.create(tr.doc, to)
      : TextSelection.create(tr.doc, to + selection.anchor - from, to + selection.head - from),
  );
}

/** Moves the part up or down, on into the cell before or after. */
export const moveSelectedPart =
  (by: -1 | 1): Command =>
  (state, dispatch) => {
    const part = selectedPart(state);
    const place = part && nextPlace(state, part, by);
    if (!part || place === null) return false;
    if (!dispatch) return true;
    const { tr } = state;
    const moved = movePart(tr, part.position, place);
    dispatch(selectMoved(tr, state, part.position, moved).scrollIntoView());
    return true;
  };

/** Puts a copy of the part under it, and goes there. */
export const duplicateSelected: Command = (state, dispatch) => {
  const part = selectedPart(state);
  if (!part) return false;
  if (!dispatch) return true;
  const { tr } = state;
  duplicatePart(tr, part.position);
  const copy = part.position + part.node.nodeSize;
  dispatch(selectMoved(tr, state, part.position, copy).scrollIntoView());
  return true;
};

/** What is selected goes on in the same cell: in the line that is left, in the part above, or in the one below. */
export const removeSelected: Command = (state, dispatch) => {
  const selected = selectedPart(state);
  if (!selected) return false;
  if (!dispatch) return true;
  const tr = removePart(state.tr, selected.position);
  const at = tr.doc.resolve(selected.position);
  const fromAbove = at.nodeBefore !== null && at.parent.childCount > 1;
  dispatch(tr.setSelection(Selection.near(at, fromAbove || !at.nodeAfter ? -1 : 1)).scrollIntoView());
  return true;
};

/** Backspace and Delete on a part that is selected as a whole. */
export const removeWhole: Command = (state, dispatch) =>
  state.selection instanceof NodeSelection && state.selection.node.isBlock && removeSelected(state, dispatch);

/** The rows or the part that are selected: whether a reply holds them, and whom they are for, is set of them. */
export function selectedParts(state: EditorState): readonly Placed[] {
  const part = selectedPart(state);
  if (part) return [part];
  const { cells } = describeSelection(state);
  const rows = new Map<number, Placed>();
  for (const { position } of cells) {
    const at = state.doc.resolve(position);
    rows.set(at.before(), { position: at.before(), node: at.parent });
  }
  return [...rows.values()];
}

/** Whether all that is selected is left out of the short form. */
export const areLeftOut = (targets: readonly Placed[]): boolean =>
  targets.length > 0 && targets.every(({ node }) => isLeftOut(node));

/** Says whom the selected part or rows are for. */
export const showFor =
  (shownFor: Condition | null): Command =>
  (state, dispatch) => {
    const targets = selectedParts(state);
    if (targets.length === 0) return false;
    if (!dispatch) return true;
    const { tr } = state;
    for (const { position } of targets) setAttributes(tr, position, part, { shownFor });
    dispatch(tr);
    return true;
  };

/** Leaves the selected part or rows out of the short form, or takes them back into it when all are out. */
export const toggleShortForm: Command = (state, dispatch) => {
  const targets = selectedParts(state);
  if (targets.length === 0) return false;
  if (!dispatch) return true;
  const { tr } = state;
  for (const { position } of targets) setAttributes(tr, position, part, { inShortForm: areLeftOut(targets) });
  dispatch(tr);
  return true;
};
