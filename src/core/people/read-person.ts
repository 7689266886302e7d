/** Reading a person from JSON. Fields that are left out are empty. */
import { emptyPerson, fieldNames, type FieldName, type Person } from "./fields";

const longestField = 300;

/** Throws a RangeError that names the field. */
export function readPerson(json: unknown): Person {
  if (typeof json !== "object" || json === null || Array.isArray(json))
    throw new RangeError("person: must be an object of fields");
  const person: Record<string, string> = { ...emptyPerson };
  for (const [name, value] of Object.entries(json)) {
    if (name === "id") continue;
    if (!(fieldNames as readonly string[]).includes(name))
      throw new RangeError(`person: there is no field ${JSON.stringify(name)}`);
    if (typeof value !== "string" || value.length > longestField)
      throw new RangeError(`person, ${name}: must be text of at most ${longestField} characters`);
    person[name as FieldName] = value;
  }
  return person as Person;
}
