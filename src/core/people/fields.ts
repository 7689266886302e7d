/**
 * The fields of the directory: what each is called, of which kind it is, and where clients would link it by themselves. A user's own
 * field is known by its kind and its name, so that a document that shows it can be drawn wherever it is read.
 */
import { dialled, mailtoLink, readLink, telLink, webLink } from "../links";
import { complain, describeValue, nameOf } from "../values";

/**
 * What may be in a field. A date stands as it is typed; where it is one of ISO 8601 it is put in order as a date. A picture is a
 * photograph of the library with the part of it that is to be seen (`picture-detail.ts`); all others are words.
 */
export const fieldKinds = ["text", "phone", "mail", "web", "date", "picture"] as const;
export type FieldKind = (typeof fieldKinds)[number];

interface Field {
  readonly label: string;
  readonly kind: FieldKind;
}

const described = {
  name: { label: "Name", kind: "text" },
  pronouns: { label: "Pronouns", kind: "text" },
  title: { label: "Title", kind: "text" },
  department: { label: "Department", kind: "text" },
  phone: { label: "Phone", kind: "phone" },
  mobile: { label: "Mobile", kind: "phone" },
  mail: { label: "Mail", kind: "mail" },
  web: { label: "Web", kind: "web" },
  address: { label: "Address", kind: "text" },
  organisation: { label: "Organisation", kind: "text" },
  portrait: { label: "Portrait", kind: "picture" },
} as const satisfies Readonly<Record<string, Field>>;

/** A field that every directory has. */
export type FieldName = keyof typeof described;
/** A field of the user's own: its kind and its name, as in `phone:Direct line`. */
export type OwnField = `${FieldKind}:${string}`;
export type FieldId = FieldName | OwnField;

export const fieldNames = Object.keys(described) as readonly FieldName[];

/** One person of the directory; a field that is not known is empty, one of the user's own may be left out. */
export type Person = Readonly<Record<FieldName, string>> &
  Readonly<Record<OwnField, string>> & {
    /** The calling code of numbers that are written without one, such as "44". */
    readonly callingCode?: string;
    /** The pictures that were made of them for a signature: hosted paths, by what each is of (`pictureKey`). */
    readonly pictures?: Readonly<Record<string, string>>;
  };

export const emptyPerson: Person = Object.fromEntries(fieldNames.map((name) => [name, ""])) as Record<
  FieldName,
  string
>;

const isFieldName = (field: string): field is FieldName => Object.hasOwn(described, field);

/** What a user's own field may be called. */
export const ownFieldName = nameOf("A field's name", 40, "A field needs a name.");

export const ownField = describeValue<OwnField, "own field">("own field", (value) => {
  const [kind = "", name = ""] = typeof value === "string" ? parted(value) : [];
  if (!(fieldKinds as readonly string[]).includes(kind)) return complain("a field", value);
  return name === name.trim() ? ownFieldName.check(name) : complain("a field", value);
});

export const fieldId = describeValue<FieldId, "field">("field", (value) =>
  typeof value === "string" && isFieldName(value) ? null : ownField.check(value),
);

/** A field whose details are read as words. */
export const wordField = describeValue<FieldId, "word field">(
  "word field",
  (value) =>
    fieldId.check(value) ?? (isPictureField(value as FieldId) ? complain("a field of words", value) : null),
);

/** A field that holds a picture. */
export const pictureField = describeValue<FieldId, "picture field">(
  "picture field",
  (value) =>
    fieldId.check(value) ??
    (isPictureField(value as FieldId) ? null : complain("a field of pictures", value)),
);

function parted(field: string): [string, string] {
  const colon = field.indexOf(":");
  return [field.slice(0, Math.max(0, colon)), field.slice(colon + 1)];
}

/** The user's own field of a kind and a name. Throws a RangeError for a name that it cannot have. */
export const ownFieldOf = (kind: FieldKind, name: string): OwnField =>
  ownField.read(`${kind}:${name.trim()}`);

/** What a field is called. */
export const fieldLabel = (field: FieldId): string =>
  isFieldName(field) ? described[field].label : parted(field)[1];

export const fieldKind = (field: FieldId): FieldKind =>
  isFieldName(field) ? described[field].kind : (parted(field)[0] as FieldKind);

export const isPictureField = (field: FieldId): boolean => fieldKind(field) === "picture";

/** Fields whose details are read as words: all but pictures. */
export const wordFields = <F extends FieldId>(fields: readonly F[]): readonly F[] =>
  fields.filter((field) => !isPictureField(field));

/** Those of the fields of every directory that are read as words. */
export const wordFieldNames: readonly FieldName[] = wordFields(fieldNames);

/** The fields that some people have: those of every directory, and then each of the user's own once. */
export const fieldsOf = (people: readonly Person[]): readonly FieldId[] => [
  ...new Set<FieldId>([
    ...fieldNames,
    ...people.flatMap((person) => Object.keys(person).filter((name): name is OwnField => name.includes(":"))),
  ]),
];

/** What is in a field as it is typed; empty where nothing is known. */
export const typedValue = (person: Person, field: FieldId): string =>
  (Object.hasOwn(person, field) ? person[field] : undefined) ?? "";

export const fieldValue = (person: Person, field: FieldId): string => typedValue(person, field).trim();

/** What is not written plainly is read as an address that is typed; null where it means none of that scheme. */
function leading(value: string, scheme: RegExp): string | null {
  const reading = readLink(value);
  return reading.ok && scheme.test(reading.href) ? reading.href : null;
}

/**
 * Where a field's value leads: an address, `"visit"` for what leads to the signature's visit page (phones link
 * postal addresses to a map), or null for what is only read. `callingCode` is that of numbers without one.
 */
export function fieldLink(field: FieldId, value: string, callingCode = ""): string | null {
  switch (fieldKind(field)) {
    case "phone": {
      const number = callingCode ? dialled(value, callingCode) : value;
      // A number with its area's zero in brackets is dialled without it.
      return (/\(0\d/.test(number) ? null : telLink(number)) ?? leading(value, /^tel:/);
    }
    case "mail":
      return mailtoLink(value) ?? leading(value, /^mailto:/);
    case "web":
      return webLink(value) ?? leading(value, /^https?:/);
    case "text":
    case "date":
    case "picture":
      return field === "address" ? "visit" : null;
  }
}
