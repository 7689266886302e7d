/** What is written in a document for a person, as it is looked for. */
import type { Node } from "prosemirror-model";
import type { Person } from "../../people";
import { fieldText, personField } from "../kinds/person-field";
import { isHiddenFrom } from "../shown-for";

/** Its text in reading order, the person's details in it; lines and buttons are parted by spaces. */
export function wordsOf(document: Node, person: Person | null = null): string {
  const said: string[] = [];
  document.descendants((block) => {
    if (isHiddenFrom(block, person)) return false;
    if (!block.isTextblock) return true;
    block.forEach((node) => {
      said.push(node.isText ? (node.text ?? "") : personField.is(node) ? fieldText(node, person) : " ");
    });
    said.push(" ");
    return false;
  });
  return said.join("").replaceAll(/\s+/g, " ").trim();
}
