/** The Bench's editor state: the document's own schema, undo, keys and table selection. */
import { baseKeymap, chainCommands, createParagraphNear, splitBlockKeepMarks } from "prosemirror-commands";
import { history, redo } from "prosemirror-history";
import { keymap } from "prosemirror-keymap";
import type { Node } from "prosemirror-model";
import { EditorState, Selection, TextSelection, type Command } from "prosemirror-state";
import { tableEditing } from "prosemirror-tables";
import { schema } from "@/core/signature";
import { actions } from "./actions";
import { hints } from "./hints";
import { leftOut } from "./left-out";
import { markedPart } from "./marked-part";
import { removeWhole } from "./part-commands";
import { drawnAsSent } from "./drawn-as-sent";
import { selectIn, selectMore, stayAtEdge, stepCell } from "./table-selection";
import { spacesThatStay } from "./spaces-that-stay";
import { wholeTable } from "./whole-table";

const insertBreak: Command = (state, dispatch) => {
  if (!state.selection.$from.parent.inlineContent) return false;
  dispatch?.(state.tr.replaceSelectionWith(schema.nodes.break.create(), true).scrollIntoView());
  return true;
};

const actionKeys = Object.fromEntries(
  actions.flatMap(({ keys, command }) => (keys && keys !== "Enter" ? [[keys, command] as const] : [])),
);

const keys: Record<string, Command> = {
  // The editor's own would select the table with its cells, and typing would replace them.
  "Mod-a": selectMore,
  "Mod-Shift-z": redo,
  Enter: chainCommands(selectIn, createParagraphNear, splitBlockKeepMarks),
  "Shift-Enter": insertBreak,
  ArrowDown: stayAtEdge(1),
  ArrowRight: stayAtEdge(1),
  ArrowUp: stayAtEdge(-1),
  ArrowLeft: stayAtEdge(-1),
  Backspace: removeWhole,
  Delete: removeWhole,
  Tab: stepCell(1),
  "Shift-Tab": stepCell(-1),
};

/** At least this many steps can be taken back. */
const undoDepth = 400;

/** The cursor in the first line of text, so that typing can begin at once. */
function firstText(document: Node): Selection {
  let found: number | null = null;
  document.descendants((node, position) => {
    if (found === null && node.type.name === "line") found = position + 1;
    return found === null;
  });
  return found === null ? Selection.atStart(document) : TextSelection.create(document, found);
}

export function createState(document: Node): EditorState {
  return EditorState.create({
    doc: document,
    selection: firstText(document),
    plugins: [
      history({ depth: undoDepth }),
      keymap(keys),
      keymap(actionKeys),
      keymap(baseKeymap),
      tableEditing({ allowTableNodeSelection: true }),
      spacesThatStay,
      drawnAsSent,
      leftOut,
      hints,
      markedPart,
      wholeTable,
    ],
  });
}
