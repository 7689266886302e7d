/** A person as a contact card (vCard 4.0, RFC 6350; pronouns after RFC 9554). */
import { contentLines, escapeValue, mailtoLink, telLink, webLink } from "../../links";
import { fieldsOf, fieldValue, typedValue, wordFields, type FieldId, type Person } from "../fields";

/** What holds a field of the user's own, with its id as a parameter. */
export const ownProperty = "X-FIELD";
export const ownParameter = "X-ID";

/** Family and given name as the last word and the rest, which is as much as one field for the name tells. */
function nameParts(name: string): string {
  const words = name.split(/\s+/);
  const family = words.length > 1 ? (words.pop() ?? "") : "";
  return [family, words.join(" "), "", "", ""].map(escapeValue).join(";");
}

const line = (property: string, text: string): string[] => (text ? [`${property}:${text}`] : []);

/** What is the same in a card for others and in one that comes back. */
function commonLines(person: Person, name: string): string[] {
  const text = (property: string, field: FieldId): string[] =>
    line(property, escapeValue(fieldValue(person, field)));
  return [
    "BEGIN:VCARD",
    "VERSION:4.0",
    `FN:${escapeValue(name)}`,
    `N:${nameParts(name)}`,
    ...text("TITLE", "title"),
  ];
}

/** Fields that are empty, and addresses that are none, leave no line. Throws a RangeError for a person without a name. */
export function buildCard(person: Person): string {
  const value = (field: FieldId): string => fieldValue(person, field);
  const name = value("name");
  if (!name) throw new RangeError("A contact card needs a name");
  const organisation = [value("organisation"), value("department")].map(escapeValue);
  return contentLines([
    ...commonLines(person, name),
    ...(organisation[0] ? [`ORG:${organisation.filter((part) => part).join(";")}`] : []),
    ...line('TEL;VALUE=uri;TYPE="work,voice"', telLink(value("phone")) ?? ""),
    ...line('TEL;VALUE=uri;TYPE="work,cell"', telLink(value("mobile")) ?? ""),
    ...(mailtoLink(value("mail")) ? line("EMAIL;TYPE=work", escapeValue(value("mail"))) : []),
    ...line("URL", webLink(value("web")) ?? ""),
    ...(value("address") ? [`ADR;TYPE=work:;;${escapeValue(value("address"))};;;;`] : []),
    "END:VCARD",
  ]);
}

/**
 * A person's card with everything as it is typed, numbers and all: what comes back from it is the same person. Who has no name is called
 * by their mail address, since a card has to have one.
 */
export function buildWholeCard(person: Person): string {
  const typed = (field: FieldId): string => escapeValue(typedValue(person, field));
  const organisation = [typed("organisation"), typed("department")];
  const own = wordFields(fieldsOf([person])).filter((field) => field.includes(":"));
  return contentLines([
    ...commonLines(person, fieldValue(person, "name") || fieldValue(person, "mail")),
    ...line("PRONOUNS", typed("pronouns")),
    ...(organisation.some(Boolean) ? [`ORG:${organisation.join(";")}`] : []),
    ...line('TEL;VALUE=text;TYPE="work,voice"', typed("phone")),
    ...line('TEL;VALUE=text;TYPE="work,cell"', typed("mobile")),
    ...line("EMAIL;TYPE=work", typed("mail")),
    ...line("URL;VALUE=text", typed("web")),
    ...(typed("address") ? [`ADR;TYPE=work:;;${typed("address")};;;;`] : []),
    // Names of fields may hold what ends a parameter (RFC 6868).
    ...own.map((field) => `${ownProperty};${ownParameter}="${writtenParameter(field)}":${typed(field)}`),
    "END:VCARD",
  ]);
}

/** A parameter's value without what ends it (RFC 6868, section 3.2). */
const writtenParameter = (text: string): string =>
  text.replaceAll("^", "^^").replaceAll("\n", "^n").replaceAll('"', "^'");
