/** Reading a person from JSON. Fields that are left out are empty. */
import { isHosted } from "../addresses";
import { emptyPerson, fieldId, isPictureField, type FieldId, type Person } from "./fields";
import { callingCode } from "./phone-form";
import { readPictureDetail } from "./picture-detail";

/** UTF-16 units. */
export const longestField = 300;

/** Why a text cannot be what is in a field; null where it can. */
export function complaintAbout(field: FieldId, value: unknown): string | null {
  if (typeof value !== "string" || value.length > longestField)
    return `must be text of at most ${longestField} characters`;
  return !isPictureField(field) || value === "" || readPictureDetail(value)
    ? null
    : "must be a picture of the library with the square of it that is to be seen";
}

const isDrawn = (value: unknown): value is Person["pictures"] =>
  typeof value === "object" &&
  value !== null &&
  Object.values(value).every((path) => typeof path === "string" && isHosted(path));

/** Throws a RangeError that names the field. */
export function readPerson(json: unknown): Person {
  if (typeof json !== "object" || json === null || Array.isArray(json))
    throw new RangeError("person: must be an object of fields");
  const person: Record<string, unknown> = { ...emptyPerson };
  for (const [name, value] of Object.entries(json)) {
    if (name === "id") continue;
    if (name === "callingCode" && callingCode.check(value) === null && value !== "") {
      person[name] = value;
      continue;
    }
    if (name === "pictures" && isDrawn(value)) {
      person[name] = value;
      continue;
    }
    if (fieldId.check(name) !== null)
      throw new RangeError(`person: there is no field ${JSON.stringify(name)}`);
    const complaint = complaintAbout(name as FieldId, value);
    if (complaint !== null) throw new RangeError(`person, ${name}: ${complaint}`);
    person[name] = value;
  }
  return person as Person;
}
