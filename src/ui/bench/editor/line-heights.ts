/** Gives every line on the sheet the height in px that it compiles to, so that the sheet is true. */
import { Plugin } from "prosemirror-state";
import { Decoration, DecorationSet } from "prosemirror-view";
import type { Node } from "prosemirror-model";
import { lineHeightPx, type Settings } from "@/core/signature";

const cache = new WeakMap<Node, DecorationSet>();

function largestSize(line: Node, settings: Settings): number {
  let largest = line.childCount === 0 ? settings.size : 0;
  line.forEach((child) => {
    const mark = child.marks.find(({ type }) => type.name === "size");
    largest = Math.max(largest, (mark?.attrs.size as number | undefined) ?? settings.size);
  });
  return largest;
}

function decorate(document: Node): DecorationSet {
  const settings = document.attrs as Settings;
  const found: Decoration[] = [];
  document.descendants((node, position) => {
    if (node.type.name !== "line" && node.type.name !== "button") return true;
    const ratio = (node.attrs.lineHeight as number | null | undefined) ?? settings.lineHeight;
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
