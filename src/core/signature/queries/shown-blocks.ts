/** The lines and buttons of a document that somebody sees. */
import type { Node } from "prosemirror-model";
import type { Person } from "../../people";
import { isHiddenFrom } from "../shown-for";

/** Tells each of them in document order, with the position at which it begins; for nobody, all that there are. */
export function eachShownBlock(
  document: Node,
  person: Person | null,
  tell: (block: Node, position: number) => void,
): void {
  document.descendants((block, position) => {
    if (isHiddenFrom(block, person)) return false;
    if (!block.isTextblock) return true;
    tell(block, position);
    return false;
  });
}
