/** Takes out of a style attribute what the tables say a kind of client drops, and puts in what it becomes. */
import { append } from "../../values";
import { declarationText, parseDeclarations, type Declaration } from "../../html";
import { remember } from "../../memory";
import type { Change } from "../changes";
import type { KindFacts } from "../facts/kind-facts";

export interface FilteredStyle {
  /** Null where nothing is left. */
  readonly text: string | null;
  readonly changes: readonly Omit<Change, "at">[];
}

function filter(style: string, tagName: string, facts: KindFacts): FilteredStyle {
  const changes: Omit<Change, "at">[] = [];
  const kept: Declaration[] = [];
  for (const declaration of parseDeclarations(style)) {
    const effect = facts.declaration(declaration, { tagName, inAttribute: true });
    if (!effect) {
      kept.push(declaration);
      continue;
    }
    const { outcome, reason } = effect;
    const what = `${declaration.property}:${declaration.value}`;
    if (outcome === "all-dropped")
      return { text: null, changes: [{ code: "style-dropped", what: "style", reason }] };
    if (outcome === "dropped")
      changes.push({ code: "declaration-dropped", what: declaration.property, reason });
    else {
      changes.push({ code: "declaration-changed", what, reason });
      append(kept, outcome);
    }
  }
  if (changes.length === 0) return { text: style, changes };
  return { text: kept.length > 0 ? declarationText(kept) : null, changes };
}

/** By kind, element and style: each is there already, so that nothing is put together to look one up. */
const ofKind = remember((facts: KindFacts) =>
  remember((tagName: string) => remember((style: string) => filter(style, tagName, facts))),
);

/** A style attribute of an element, as a kind keeps it. The same for the same style, so that it is worked out once. */
export const filterStyle = (style: string, tagName: string, facts: KindFacts): FilteredStyle =>
  ofKind(facts)(tagName)(style);
