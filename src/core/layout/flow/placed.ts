/** What comes out of a drawing: boxes of elements and words, each placed in what it stands in; px, origin at the top left, y down. */
import type { Element, TextNode } from "../../html";
import type { Box } from "../box";
import type { DrawnWord } from "../words";

export interface PlacedElement extends Box {
  readonly element: Element;
}

export interface PlacedWord extends DrawnWord {
  readonly node: TextNode;
}

export interface Group {
  readonly left: number;
  readonly top: number;
  readonly elements: readonly PlacedElement[];
  readonly words: readonly PlacedWord[];
  readonly inside: readonly Group[];
}

export const groupAt = (left: number, top: number, inside: readonly Group[]): Group => ({
  left,
  top,
  elements: [],
  words: [],
  inside,
});

/** All that is in a group, from the top left of what the group stands in. */
export function flattened(group: Group): {
  readonly elements: readonly PlacedElement[];
  readonly words: readonly PlacedWord[];
} {
  const elements: PlacedElement[] = [];
  const words: PlacedWord[] = [];
  const waiting = [{ group, across: 0, down: 0 }];
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    const across = next.across + next.group.left;
    const down = next.down + next.group.top;
    for (const placed of next.group.elements)
      elements.push({ ...placed, left: placed.left + across, top: placed.top + down });
    for (const placed of next.group.words)
      words.push({ ...placed, left: placed.left + across, top: placed.top + down });
    for (let index = next.group.inside.length - 1; index >= 0; index--) {
      const inside = next.group.inside[index];
      if (inside) waiting.push({ group: inside, across, down });
    }
  }
  return { elements, words };
}
