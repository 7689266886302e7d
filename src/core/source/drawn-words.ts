/** The words that a part shows of a person, as one could read them in its HTML: fields by their values. */
import type { Node } from "prosemirror-model";
import type { Person } from "../people";
import { fieldText, personField } from "../signature";

/** Its words, without anything between them. */
export function drawnWords(node: Node, person: Person | null): string {
  let words = "";
  const add = (each: Node): void => {
    if (each.isText) words += each.text;
    else if (personField.is(each)) words += fieldText(each, person);
  };
  add(node);
  node.descendants(add);
  return words.replace(/[\s\u00a0]+/g, "").toLowerCase();
}
