/** The fields of the directory: what each is called, and where clients would link it by themselves. */
import { mailtoLink, readLink, telLink, webLink } from "../links";

export const fieldNames = [
  "name",
  "pronouns",
  "title",
  "department",
  "phone",
  "mobile",
  "mail",
  "web",
  "address",
  "organisation",
] as const;
export type FieldName = (typeof fieldNames)[number];

/** One person of the directory; a field that is not known is empty. */
export type Person = Readonly<Record<FieldName, string>>;

export const emptyPerson: Person = {
  name: "",
  pronouns: "",
  title: "",
  department: "",
  phone: "",
  mobile: "",
  mail: "",
  web: "",
  address: "",
  organisation: "",
};

export const fieldLabels: Readonly<Record<FieldName, string>> = {
  name: "Name",
  pronouns: "Pronouns",
  title: "Title",
  department: "Department",
  phone: "Phone",
  mobile: "Mobile",
  mail: "Mail",
  web: "Web",
  address: "Address",
  organisation: "Organisation",
};

export const fieldValue = (person: Person, field: FieldName): string => person[field].trim();

/** What is not written plainly is read as an address that is typed; null where it means none of that scheme. */
function leading(value: string, scheme: RegExp): string | null {
  const reading = readLink(value);
  return reading.ok && scheme.test(reading.href) ? reading.href : null;
}

/**
 * Where a field's value leads: an address, `"visit"` for what leads to the signature's visit page (phones link
 * postal addresses to a map), or null for what is only read.
 */
export function fieldLink(field: FieldName, value: string): string | null {
  switch (field) {
    case "phone":
    case "mobile":
      // A number with its area's zero in brackets is dialled without it.
      return (/\(0\d/.test(value) ? null : telLink(value)) ?? leading(value, /^tel:/);
    case "mail":
      return mailtoLink(value) ?? leading(value, /^mailto:/);
    case "web":
      return webLink(value) ?? leading(value, /^https?:/);
    case "address":
      return "visit";
    default:
      return null;
  }
}
