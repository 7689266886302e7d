/** What typing does where a part is selected as a whole: nothing that was placed is written over. */
import { NodeSelection, TextSelection, type EditorState, type Transaction } from "prosemirror-state";
import { build, schema } from "@/core/signature";

/**
 * Writes text where a part is selected: over the words of a line or button, after a small picture or a field in its
 * line, and otherwise into a line of its own under the part. Null where something else is selected.
 */
export function writeAtPart(state: EditorState, text: string): Transaction | null {
  const { selection, tr } = state;
  if (!(selection instanceof NodeSelection)) return null;
  const { node, from, to } = selection;
  if (node.isTextblock) {
    tr.insertText(text, from + 1, to - 1);
    // Left selected as a whole, it would be written over by the next letter.
    return tr.setSelection(TextSelection.create(tr.doc, from + 1 + text.length)).scrollIntoView();
  }
  if (node.isInline) {
    tr.insert(to, schema.text(text));
    return tr.setSelection(TextSelection.create(tr.doc, to + text.length)).scrollIntoView();
  }
  if (
    !selection.$from.parent.canReplaceWith(
      selection.$from.indexAfter(),
      selection.$from.indexAfter(),
      schema.nodes.line,
    )
  )
    return null;
  tr.insert(to, build.line(schema.text(text)));
  return tr.setSelection(TextSelection.create(tr.doc, to + 1 + text.length)).scrollIntoView();
}
