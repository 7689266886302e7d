/** What mends of a line change, and what comes of it, in words. */
import type { Node } from "prosemirror-model";
import { separator } from "../signature";
import type { FitChoice } from "./find-fit-mends";
import type { FitMend } from "./fit-mend";

function saysOf(document: Node, mend: FitMend): string {
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

/** "Gaps of 5 px at most", or "Type 1 px smaller, and the column 12 px wider", of the document that they were found in. */
export const fitMendsSay = (document: Node, mends: readonly FitMend[]): string =>
  mends
    .map((mend) => saysOf(document, mend))
    .map((said, index) => (index === 0 ? said : said.charAt(0).toLowerCase() + said.slice(1)))
    .join(", and ");

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
