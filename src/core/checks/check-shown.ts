/** Rows and parts that are for some only, and are seen by nobody. */
import type { Node } from "prosemirror-model";
import { fieldLabel } from "../people";
import { hasPartsForSome, isForSome, part } from "../signature";
import type { Found } from "./finding";

export function checkShown(document: Node): readonly Found[] {
  const found: Found[] = [];
  if (!hasPartsForSome(document)) return found;
  document.descendants((node, position) => {
    if (!isForSome(node)) return;
    const { shownFor } = part.of(node);
    if (shownFor?.is !== "one of" || shownFor.details.length > 0) return;
    found.push({
      code: "part-for-nobody",
      position,
      message: `It is shown for some of ${fieldLabel(shownFor.field)}, and none is chosen: nobody sees it.`,
      mend: { kind: "show-to-all", label: "Show it to everybody", position },
    });
  });
  return found;
}
