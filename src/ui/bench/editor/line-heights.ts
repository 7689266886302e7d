/** Gives every line on the sheet the height in px that it compiles to, so that the sheet is true. */
import { Plugin } from "prosemirror-state";
import { Decoration, DecorationSet } from "prosemirror-view";
import type { Node } from "prosemirror-model";
import { attributesIn, line, lineHeightPx, settingsOf, size, type Settings } from "@/core/signature";

const cache = new WeakMap<Node, DecorationSet>();

function largestSize(holder: Node, settings: Settings): number {
  let largest = holder.childCount === 0 ? settings.size : 0;
  holder.forEach((child) => {
    largest = Math.max(largest, attributesIn(size, child.marks)?.size ?? settings.size);
  });
  return largest;
}

function decorate(document: Node): DecorationSet {
  const settings = settingsOf(document);
  const found: Decoration[] = [];
  document.descendants((node, position) => {
    if (node.type.name !== "line" && node.type.name !== "button") return true;
    const ratio = (line.is(node) ? line.of(node).lineHeight : null) ?? settings.lineHeight;
    const height = lineHeightPx(ratio, largestSize(node, settings));
    found.push(Decoration.node(position, position + node.nodeSize, { style: `line-height:${height}px` }));
    return false;
  });
  return DecorationSet.create(document, found);
}

export const lineHeights = new Plugin({
  props: {
    decorations({ doc }) {
      const known = cache.get(doc) ?? decorate(doc);
      cache.set(doc, known);
      return known;
    },
  },
});
