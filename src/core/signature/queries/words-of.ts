/** What is written in a document for a person, as it is looked for. */
import type { Node } from "prosemirror-model";
import type { Person } from "../../people";
import { fieldText, personField } from "../kinds/person-field";
import { eachShownBlock } from "./shown-blocks";

/** Its text in reading order, the person's details in it; lines and buttons are parted by spaces. */
export function wordsOf(document: Node, person: Person | null = null): string {
  const said: string[] = [];
  eachShownBlock(document, person, (block) => {
    block.forEach((node) => {
      said.push(node.isText ? (node.text ?? "") : personField.is(node) ? fieldText(node, person) : " ");
    });
    said.push(" ");
  });
  return said.join("").replaceAll(/\s+/g, " ").trim();
}
