/** Pictures that are found at other addresses from now on. */
import type { Node } from "prosemirror-model";
import { Transform } from "prosemirror-transform";
import { image } from "../kinds/picture";
import { picturesOf } from "../queries";
import { setAttributes } from "./set-attributes";

/** The document with each source replaced that the map names; the very same document when none is in it. */
export function replaceSources(document: Node, sources: ReadonlyMap<string, string>): Node {
  const transform = new Transform(document);
  for (const { node, position } of picturesOf(document)) {
    const source = sources.get(image.of(node).source);
    if (source !== undefined) setAttributes(transform, position, image, { source });
  }
  return transform.doc;
}
