/** The part on the sheet that the caret stands in elsewhere, in its source: outlined until the sheet is worked on again. */
import { Plugin, PluginKey, type Transaction } from "prosemirror-state";
import { Decoration, DecorationSet } from "prosemirror-view";

const key = new PluginKey<number | null>("marked-part");

/** Marks the part at a position; null marks none. */
export const markPart = (tr: Transaction, position: number | null): Transaction => tr.setMeta(key, position);

export const markedPart = new Plugin<number | null>({
  key,
  state: {
    init: () => null,
    apply(tr, marked) {
      const asked = tr.getMeta(key) as number | null | undefined;
      if (asked !== undefined) return asked;
      if (tr.selectionSet && !tr.docChanged) return null;
      return marked === null ? null : tr.mapping.map(marked);
    },
  },
  props: {
    decorations(state) {
      const position = key.getState(state) ?? null;
      const node = position === null ? null : state.doc.nodeAt(position);
      if (position === null || !node) return null;
      return DecorationSet.create(state.doc, [
        Decoration.node(position, position + node.nodeSize, { class: "marked-part" }),
      ]);
    },
  },
});
