/** What a mend of a line changes, and what comes of it, in words. */
import type { Node } from "prosemirror-model";
import { separator } from "../signature";
import type { FitChoice } from "./find-fit-mends";
import type { FitMend } from "./fit-mend";

/** "Gaps of 5 px at most", of the document that it was found in. */
export function fitMendSays(document: Node, mend: FitMend): string {
  switch (mend.kind) {
    case "narrow-separators":
      return `Gaps of ${mend.gap} px at most`;
    case "shrink-type":
      return `Type ${mend.by} px smaller`;
    case "part-line": {
      const node = document.nodeAt(mend.from);
      const mark = node && separator.is(node) ? separator.of(node).glyph : (node?.text ?? "");
      return `Two lines, parted at “${mark.trim()}”`;
    }
    case "widen-column":
      return `The column ${mend.by} px wider`;
  }
}

/** What nobody sees; px. */
const unseen = 0.5;

const change = (by: number, more: string, less: string): string | null =>
  Math.abs(by) < unseen ? null : `${Math.round(Math.abs(by))} px ${by > 0 ? more : less}`;

/** "fits for 2 of 3, 18 px higher". */
export function choiceSays({ fits, higher, wider }: FitChoice, people: number): string {
  const whom = fits === people ? `all ${people}` : `${fits} of ${people}`;
  return [
    people === 1 ? "fits" : `fits for ${whom}`,
    change(higher, "higher", "lower"),
    change(wider, "wider", "narrower"),
  ]
    .filter((said) => said !== null)
    .join(", ");
}
