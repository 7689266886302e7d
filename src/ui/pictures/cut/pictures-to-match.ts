/** The pictures of a signature that another can be made as high as. */
import type { Node } from "prosemirror-model";
import { picturesOf, placeOf } from "@/core/signature";

export interface SizeToMatch {
  readonly name: string;
  readonly width: number;
  readonly height: number;
}

/** All but empty places and the picture with a source itself. */
export function picturesToMatch(document: Node, source: string | null): readonly SizeToMatch[] {
  return picturesOf(document)
    .filter(({ node }) => node.attrs.source !== "" && node.attrs.source !== source)
    .map(({ node, position }) => ({
      name: String(node.attrs.alt) || placeOf(document, position),
      width: Number(node.attrs.width),
      height: Number(node.attrs.height),
    }));
}
