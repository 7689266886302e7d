/** Marks the rows and parts that are for some only, and those that are not for whom the sheet is drawn. */
import type { Node } from "prosemirror-model";
import { Decoration, DecorationSet } from "prosemirror-view";
import type { Person } from "@/core/people";
import { hasPartsForSome, isForSome, isHiddenFrom, part } from "@/core/signature";
import { conditionWords } from "../../parts/people/condition-words";

interface Made {
  readonly person: Person | null;
  readonly decorations: DecorationSet;
}

const made = new WeakMap<Node, Made>();

function decorate(document: Node, person: Person | null): DecorationSet {
  if (!hasPartsForSome(document)) return DecorationSet.empty;
  const found: Decoration[] = [];
  document.descendants((node, position) => {
    if (!isForSome(node)) return;
    const { shownFor } = part.of(node);
    found.push(
      Decoration.node(position, position + node.nodeSize, {
        class: isHiddenFrom(node, person) ? "for-some for-others" : "for-some",
        ...(shownFor && { title: `Shown for ${conditionWords(shownFor)}` }),
      }),
    );
  });
  return DecorationSet.create(document, found);
}

export function partsForSome(document: Node, person: Person | null): DecorationSet {
  const before = made.get(document);
  if (before?.person === person) return before.decorations;
  const decorations = decorate(document, person);
  made.set(document, { person, decorations });
  return decorations;
}
