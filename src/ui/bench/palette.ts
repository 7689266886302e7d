/** The colours that a document uses, most used first. */
import type { Node } from "prosemirror-model";
import type { Settings } from "@/core/signature";

const hex = /#[0-9a-fA-F]{6}/g;
const cache = new WeakMap<Node, readonly string[]>();

export function paletteOf(document: Node): readonly string[] {
  const known = cache.get(document);
  if (known) return known;
  const counts = new Map<string, number>();
  const count = (value: unknown): void => {
    for (const color of JSON.stringify(value)?.match(hex) ?? [])
      counts.set(color.toUpperCase(), (counts.get(color.toUpperCase()) ?? 0) + 1);
  };
  const { textColor, linkColor } = document.attrs as Settings;
  count([textColor, linkColor]);
  document.descendants((node) => {
    count(node.attrs);
    node.marks.forEach((mark) => count(mark.attrs));
  });
  const palette = [...counts].sort(([, one], [, other]) => other - one).map(([color]) => color);
  const whole = [...new Set([...palette.slice(0, 12), "#333333", "#FFFFFF"])];
  cache.set(document, whole);
  return whole;
}
