/** Asking a document what is in it. */
import type { Node } from "prosemirror-model";

export interface PlacedPicture {
  /** The position before the picture in the document. */
  readonly position: number;
  readonly node: Node;
}

/** Every picture of a document, in reading order. */
export function picturesOf(document: Node): readonly PlacedPicture[] {
  const found: PlacedPicture[] = [];
  document.descendants((node, position) => {
    if (node.type.name === "picture" || node.type.name === "inlinePicture") found.push({ position, node });
  });
  return found;
}
