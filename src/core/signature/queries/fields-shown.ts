/** Which fields of a person a document shows. */
import type { Node } from "prosemirror-model";
import type { FieldId, Person } from "../../people";
import { personField } from "../kinds/person-field";
import { isHiddenFrom } from "../shown-for";

/** Each once, in reading order, those that are empty as well; none of parts that are for others. */
export function fieldsShown(document: Node, person: Person | null): readonly FieldId[] {
  const found = new Set<FieldId>();
  document.descendants((node) => {
    if (isHiddenFrom(node, person)) return false;
    if (personField.is(node)) found.add(personField.of(node).field);
    return true;
  });
  return [...found];
}
