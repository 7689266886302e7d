/** Pictures that are found at other addresses from now on. */
import type { Node } from "prosemirror-model";
import { Transform } from "prosemirror-transform";
import { image } from "../kinds/picture";
import { picturesOf } from "../queries";
import { setAttributes } from "./set-attributes";

/** Shows pictures from other sources, as the map says of each. */
export function showInstead<T extends Transform>(transform: T, sources: ReadonlyMap<string, string>): T {
  for (const { node, position } of picturesOf(transform.doc)) {
    const source = sources.get(image.of(node).source);
    if (source !== undefined) setAttributes(transform, position, image, { source });
  }
  return transform;
}

/** The document with each source replaced that the map names; the very same document when none is in it. */
export const replaceSources = (document: Node, sources: ReadonlyMap<string, string>): Node =>
  showInstead(new Transform(document), sources).doc;
