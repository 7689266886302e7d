/** What the pictures of a signature weigh together. */
import type { Node } from "prosemirror-model";
import { pictureSourcesOf } from "../signature";
import type { PictureFactsBySource } from "./check-picture";

/** Bytes of a signature's pictures whose files are known, each counted once. */
export function weightOf(document: Node, pictures: PictureFactsBySource): number {
  return pictureSourcesOf(document).reduce((sum, source) => sum + (pictures[source]?.bytes ?? 0), 0);
}
