/**
 * Changes of a directory as values: somebody who comes, goes, or has other details. Each holds what was before as well, so that it can be
 * taken back, and so that one that was made from something older is seen to be.
 */
import { describeValue, list, object, optional, text, type TypeOf } from "../values";
import { emptyPerson, fieldId, fieldsOf, typedValue, type FieldId, type Person } from "./fields";
import { complaintAbout, longestField, readPerson } from "./read-person";

/** Some fields of a person and what is in them, as it is typed. */
export type Details = Readonly<Partial<Record<FieldId, string>>>;

/** What is in a field. */
export const detail = text(longestField);

/** What a person has in their fields. */
export const filledDetails = (person: Person): Details => differing(emptyPerson, person).to;

export const details = describeValue<Details, "details">("details", (given) => {
  if (typeof given !== "object" || given === null || Array.isArray(given))
    return "must be fields of a person";
  for (const [field, said] of Object.entries(given)) {
    if (fieldId.check(field) !== null) return `has no field ${JSON.stringify(field)}`;
    const complaint = complaintAbout(field as FieldId, said);
    if (complaint !== null) return `${field}: ${complaint}`;
  }
  return null;
});

/** From nothing: who comes. To nothing: who goes. Else the fields that change, on either side. */
export const personChange = object({
  id: text(80),
  from: optional(details),
  to: optional(details),
});
export type PersonChange = TypeOf<typeof personChange>;

/** The most people that a directory holds, and that change at once. */
export const mostPeople = 100_000;

export const personChanges = list(personChange, { least: 1, most: mostPeople, what: "people" });

/** The fields in which two people differ, as what one has and what the other has. */
export function differing(one: Person, other: Person): { from: Details; to: Details } {
  const fields = fieldsOf([one, other]).filter(
    (field) => typedValue(one, field) !== typedValue(other, field),
  );
  const of = (person: Person): Details =>
    Object.fromEntries(fields.map((field) => [field, typedValue(person, field)]));
  return { from: of(one), to: of(other) };
}

/** Fields in which somebody has something else than a change was made from. Somebody who is there, or is not, against it counts as the name. */
export function staleFields(person: Person | null, { from }: PersonChange): readonly FieldId[] {
  if (from === null || person === null) return (from === null) === (person === null) ? [] : ["name"];
  return (Object.entries(from) as [FieldId, string][])
    .filter(([field, before]) => typedValue(person, field) !== before)
    .map(([field]) => field);
}

/** The person after a change, or null where they have gone. `person` is null for who was not there. */
export function changePerson(person: Person | null, { to }: PersonChange): Person | null {
  if (to === null) return null;
  // A field of the user's own that is empty is the same as none.
  const said = Object.entries({ ...person, ...to }).filter(
    ([field, value]) => value !== "" || !field.includes(":"),
  );
  return readPerson(Object.fromEntries(said));
}

/** What takes a change back. */
export const inverse = ({ id, from, to }: PersonChange): PersonChange => ({ id, from: to, to: from });
