/** The text of a document as it is said and drawn for a person, run by run. Sizes in px. */
import type { Node } from "prosemirror-model";
import { append } from "../../values";
import type { Person } from "../../people";
import { fieldText, personField } from "../kinds/person-field";
import { settingsOf, type Settings } from "../settings";
import { eachShownBlock } from "./shown-blocks";
import { leadsByItself, settingsIn, textLook, type TextLook } from "./text-look";

/** A piece of text of one look, or a field of the person. */
export interface TextRun {
  readonly position: number;
  readonly text: string;
  readonly look: TextLook;
  /** The line or button that it stands in, and where that begins. */
  readonly block: Node;
  readonly blockPosition: number;
}

/** The runs of one line or button that say anything, in their order. */
export function textRunsIn(
  block: Node,
  blockPosition: number,
  settings: Settings,
  person: Person | null,
): readonly TextRun[] {
  const found: TextRun[] = [];
  block.forEach((node, offset) => {
    const text = node.isText ? (node.text ?? "") : personField.is(node) ? fieldText(node, person) : "";
    if (text === "") return;
    const look = textLook(node.marks, settingsIn(block, settings), leadsByItself(node, person));
    found.push({ position: blockPosition + 1 + offset, text, look, block, blockPosition });
  });
  return found;
}

/** Every run that says anything, in document order. */
export function textRunsOf(document: Node, person: Person | null = null): readonly TextRun[] {
  const settings = settingsOf(document);
  const found: TextRun[] = [];
  eachShownBlock(document, person, (block, position) =>
    append(found, textRunsIn(block, position, settings, person)),
  );
  return found;
}

/** Whether a text has letters or digits, and not signs alone. */
export const hasWords = (text: string): boolean => /[\p{L}\p{N}]/u.test(text);
