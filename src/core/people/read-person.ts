/** Reading a person from JSON. Fields that are left out are empty. */
import { emptyPerson, fieldId, type FieldId, type Person } from "./fields";
import { callingCode } from "./phone-form";

/** UTF-16 units. */
export const longestField = 300;

/** Why a text cannot be what is in a field; null where it can. */
export const complaintAbout = (field: FieldId, value: unknown): string | null =>
  typeof value === "string" && value.length <= longestField
    ? null
    : `person, ${field}: must be text of at most ${longestField} characters`;

/** Throws a RangeError that names the field. */
export function readPerson(json: unknown): Person {
  if (typeof json !== "object" || json === null || Array.isArray(json))
    throw new RangeError("person: must be an object of fields");
  const person: Record<string, string> = { ...emptyPerson };
  for (const [name, value] of Object.entries(json)) {
    if (name === "id") continue;
    if (name === "callingCode" && callingCode.check(value) === null && value !== "") {
      person[name] = value as string;
      continue;
    }
    if (fieldId.check(name) !== null)
      throw new RangeError(`person: there is no field ${JSON.stringify(name)}`);
    const complaint = complaintAbout(name as FieldId, value);
    if (complaint !== null) throw new RangeError(complaint);
    person[name] = value as string;
  }
  return person as Person;
}
