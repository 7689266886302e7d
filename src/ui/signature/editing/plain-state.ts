import { history } from "prosemirror-history";
import type { Node } from "prosemirror-model";
import { EditorState } from "prosemirror-state";

/** The state of a document that is changed in single steps, without a sheet. */
export const plainState = (document: Node): EditorState =>
  EditorState.create({ doc: document, plugins: [history({ depth: 400 })] });
