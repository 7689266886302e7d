/** Which colours the text of a document has, and on which backgrounds it stands. */
import type { Node } from "prosemirror-model";
import type { Person } from "../../people";
import { button } from "../kinds/button";
import { cell } from "../kinds/cell-attributes";
import { hasWords, textRunsOf } from "./text-runs";

/** A run of text that has letters or digits. Colours are six hex digits. */
export interface TextColor {
  readonly position: number;
  readonly text: string;
  readonly color: string;
  /** What the message sets behind it; null where that is the canvas. */
  readonly background: string | null;
  /** Whether it is what a button says. */
  readonly ofButton: boolean;
}

/** The background of the innermost of the nodes that sets one. */
function backgroundAmong(ancestors: readonly Node[]): string | null {
  const sets = ancestors.findLast(
    (node) => button.is(node) || (cell.is(node) && cell.of(node).background !== null),
  );
  if (!sets) return null;
  return button.is(sets) ? button.of(sets).background : cell.of(sets).background;
}

/** What the message sets behind the node at a position; null where that is the canvas. */
export function backgroundAt(document: Node, position: number): string | null {
  const at = document.resolve(position);
  return backgroundAmong(Array.from({ length: at.depth + 1 }, (_value, depth) => at.node(depth)));
}

/** Every run of text that has letters or digits as it is drawn for a person, in document order. */
export const textColorsOf = (document: Node, person: Person | null = null): readonly TextColor[] =>
  textRunsOf(document, person)
    .filter(({ text }) => hasWords(text))
    .map(({ position, text, look, block }) => ({
      position,
      text,
      color: look.color,
      background: look.highlight ?? backgroundAt(document, position),
      ofButton: button.is(block),
    }));
