/** How wide each line of a signature is for somebody, on one line, in the faces that are drawn here; px. */
import type { Node } from "prosemirror-model";
import type { Person } from "../people";
import { drawnLines, widthOf, wordsOfLine } from "./drawn-lines";

export interface LineWidth {
  /** Where its line or button begins in the document. */
  readonly position: number;
  readonly text: string;
  readonly width: number;
}

/** Every line that says anything, in document order. */
export const lineWidths = (document: Node, person: Person | null): readonly LineWidth[] =>
  drawnLines(document, person).map((line) => ({
    ...{ position: line.position, text: wordsOfLine(line), width: widthOf(line) },
  }));
