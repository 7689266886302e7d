/** A person as a contact card (vCard 4.0, RFC 6350). */
import { contentLines, escapeValue, mailtoLink, telLink, webLink } from "../links";
import { fieldValue, type FieldName, type Person } from "./fields";

/** Family and given name as the last word and the rest, which is as much as one field for the name tells. */
function nameParts(name: string): string {
  const words = name.split(/\s+/);
  const family = words.length > 1 ? (words.pop() ?? "") : "";
  return [family, words.join(" "), "", "", ""].map(escapeValue).join(";");
}

/** Fields that are empty, and addresses that are none, leave no line. Throws a RangeError for a person without a name. */
export function buildCard(person: Person): string {
  const value = (field: FieldName): string => fieldValue(person, field);
  const name = value("name");
  if (!name) throw new RangeError("A contact card needs a name");
  const line = (property: string, text: string): string[] => (text ? [`${property}:${text}`] : []);
  const text = (property: string, field: FieldName): string[] => line(property, escapeValue(value(field)));
  const organisation = [value("organisation"), value("department")].map(escapeValue);
  return contentLines([
    "BEGIN:VCARD",
    "VERSION:4.0",
    `FN:${escapeValue(name)}`,
    `N:${nameParts(name)}`,
    ...text("TITLE", "title"),
    ...(organisation[0] ? [`ORG:${organisation.filter((part) => part).join(";")}`] : []),
    ...line('TEL;VALUE=uri;TYPE="work,voice"', telLink(value("phone")) ?? ""),
    ...line('TEL;VALUE=uri;TYPE="work,cell"', telLink(value("mobile")) ?? ""),
    ...(mailtoLink(value("mail")) ? text("EMAIL;TYPE=work", "mail") : []),
    ...line("URL", webLink(value("web")) ?? ""),
    ...(value("address") ? [`ADR;TYPE=work:;;${escapeValue(value("address"))};;;;`] : []),
    "END:VCARD",
  ]);
}
