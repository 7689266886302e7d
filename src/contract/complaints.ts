/** What is wrong with what was given, in sentences: the same ones beside a field and in an answer of the server. */
import { complaintOf, type Fields, type Value } from "@/core/values";

export const isObjectValue = (value: Value<unknown>): value is Value<unknown> & { readonly fields: Fields } =>
  value.kind === "object" && "fields" in value;

const capitalised = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** One sentence: "Recipe width must be …, not 0." */
export function sentenceOf(name: string, complaint: string): string {
  const said = capitalised(complaintOf(name, complaint));
  return /[.!?…]$/.test(said) ? said : `${said}.`;
}

/** A sentence for each field of an object that is not as it must be, by the field's name; fine ones are left out. */
export function complaintsOf(
  value: Value<unknown>,
  given: Readonly<Record<string, unknown>>,
): Readonly<Record<string, string>> {
  if (!isObjectValue(value)) return {};
  return Object.fromEntries(
    Object.entries(value.fields).flatMap(([name, field]) => {
      const complaint = field.check(given[name]);
      return complaint === null ? [] : [[name, sentenceOf(name, complaint)]];
    }),
  );
}
