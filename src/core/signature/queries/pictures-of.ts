/** Every picture of a document. */
import type { Node } from "prosemirror-model";
import type { Person } from "../../people";
import { image } from "../kinds/picture";
import { isHiddenFrom } from "../shown-for";

export interface PlacedPicture {
  /** The position before the picture in the document. */
  readonly position: number;
  readonly node: Node;
}

/** In reading order, those in lines and icon rows as well; for a person only those that they see. */
export function picturesOf(document: Node, person: Person | null = null): readonly PlacedPicture[] {
  const found: PlacedPicture[] = [];
  document.descendants((node, position) => {
    if (isHiddenFrom(node, person)) return false;
    if (image.is(node)) found.push({ position, node });
    return true;
  });
  return found;
}

/** The sources of a document's pictures, each once; empty places have none. */
export const pictureSourcesOf = (document: Node): readonly string[] => [
  ...new Set(
    picturesOf(document)
      .map(({ node }) => image.of(node).source)
      .filter((source) => source !== ""),
  ),
];
