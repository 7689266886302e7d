/** A letter that is written once and filled in for each: places in braces are details by what their fields are called, `{Page}` is a page of one's own. */
import {
  fieldLabel,
  fieldValue,
  wordFieldNames,
  wordFields,
  type FieldId,
  type OwnField,
  type Person,
} from "./fields";

/** What stands for the address of somebody's page. */
export const pagePlace = "{Page}";

const place = /\{([^{}\n]{1,60})\}/g;

const plain = (name: string): string => name.trim().toLowerCase();

/** The places that a letter may have, as they are typed. */
export const letterPlaces = (ownFields: readonly OwnField[]): readonly string[] => [
  pagePlace,
  ...[...wordFieldNames, ...wordFields(ownFields)].map((field) => `{${fieldLabel(field)}}`),
];

/** The places of a letter that mean nothing, each once. */
export const unknownPlaces = (text: string, ownFields: readonly OwnField[]): readonly string[] => {
  const known = new Set(letterPlaces(ownFields).map(plain));
  return [...new Set([...text.matchAll(place)].map(([whole]) => whole))].filter(
    (each) => !known.has(plain(each)),
  );
};

/** The letter for somebody; a place that means nothing stays as it is. */
export function fillLetter(text: string, person: Person, page: string): string {
  const fields = new Map<string, FieldId>(
    [
      ...wordFieldNames,
      ...wordFields(Object.keys(person).filter((name): name is OwnField => name.includes(":"))),
    ].map((field) => [plain(fieldLabel(field)), field]),
  );
  return text.replace(place, (whole, name: string) => {
    if (plain(whole) === plain(pagePlace)) return page;
    const field = fields.get(plain(name));
    return field ? fieldValue(person, field) : whole;
  });
}
