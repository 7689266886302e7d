/** Whose detail is widest in each field that a signature shows, in the type that it is set in there; px. */
import type { Node } from "prosemirror-model";
import { typedValue, type FieldId, type Person } from "../people";
import { personField } from "../signature";
import { drawnLines } from "./drawn-lines";

export interface WidestDetail<P> {
  readonly field: FieldId;
  /** The first of equals. */
  readonly whose: P;
  readonly width: number;
}

/** The widest of each field that says anything for somebody, in reading order. */
export function widestDetails<P extends { readonly person: Person }>(
  document: Node,
  people: readonly P[],
): readonly WidestDetail<P>[] {
  const widest = new Map<FieldId, WidestDetail<P>>();
  for (const whose of people)
    for (const { pieces } of drawnLines(document, whose.person))
      for (const { text, upTo, run } of pieces) {
        const node = run && document.nodeAt(run.position);
        // What stands in for an empty field is nobody's.
        if (!node || !personField.is(node) || typedValue(whose.person, personField.of(node).field) === "")
          continue;
        const { field } = personField.of(node);
        const width = upTo(text.length);
        if (width > (widest.get(field)?.width ?? 0)) widest.set(field, { field, whose, width });
      }
  const order: FieldId[] = [];
  document.descendants((node) => {
    if (personField.is(node)) order.push(personField.of(node).field);
  });
  return [...widest.values()].sort((one, other) => order.indexOf(one.field) - order.indexOf(other.field));
}

/** Nobody who is: somebody with details that are the widest in place of their own. */
export const widestOfAll = <P extends { readonly person: Person }>(
  person: Person,
  widest: readonly WidestDetail<P>[],
): Person =>
  widest.reduce<Person>(
    (all, { field, whose }) => ({ ...all, [field]: typedValue(whose.person, field) }),
    person,
  );
