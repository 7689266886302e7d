/** Marks the rows and parts that the short form leaves out, so that the sheet can show them so. */
import { Plugin } from "prosemirror-state";
import { Decoration, DecorationSet } from "prosemirror-view";
import type { Node } from "prosemirror-model";
import { hasShortForm } from "@/core/signature";

const cache = new WeakMap<Node, DecorationSet>();

function decorate(document: Node): DecorationSet {
  if (!hasShortForm(document)) return DecorationSet.empty;
  const found: Decoration[] = [];
  document.descendants((node, position) => {
    if (node.attrs.inShortForm === false)
      found.push(Decoration.node(position, position + node.nodeSize, { class: "left-out" }));
  });
  return DecorationSet.create(document, found);
}

export const leftOut = new Plugin({
  props: {
    decorations({ doc }) {
      const known = cache.get(doc) ?? decorate(doc);
      cache.set(doc, known);
      return known;
    },
  },
});
