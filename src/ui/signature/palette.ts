/** The colours that a document uses, most used first. */
import type { Node } from "prosemirror-model";
import { picturesOf, settingsOf } from "@/core/signature";
import type { Palette } from "../parts/fields/color-choices";
import type { PalettePicture } from "../parts/fields/picture-colors";

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
  const { textColor, linkColor } = settingsOf(document);
  count([textColor, linkColor]);
  document.descendants((node) => {
    count(node.attrs);
    node.marks.forEach((mark) => count(mark.attrs));
  });
  const palette = [...counts]
    .sort(([, one], [, other]) => other - one)
    .map(([color]) => color)
    .slice(0, 14);
  cache.set(document, palette);
  return palette;
}

const pictureCache = new WeakMap<Node, readonly PalettePicture[]>();

/** The pictures of a document that colours can be taken from, each once. */
function pictureSources(document: Node): readonly PalettePicture[] {
  const known = pictureCache.get(document);
  if (known) return known;
  const bySource = new Map(
    picturesOf(document).map(({ node }) => [String(node.attrs.source), String(node.attrs.alt)]),
  );
  bySource.delete("");
  const sources = [...bySource].map(([source, alt]) => ({ source, alt }));
  pictureCache.set(document, sources);
  return sources;
}

/** Where colours for a document can be taken from: the brand, what it uses already, and its pictures. */
export const paletteFor = (document: Node, brand: readonly string[]): Palette => ({
  brand,
  signature: paletteOf(document),
  pictures: pictureSources(document),
});
