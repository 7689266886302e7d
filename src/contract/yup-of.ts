/** Yup schemas made from descriptions of values: what is checked where something comes in from outside. */
import { mixed, object, type Schema } from "yup";
import type { Value } from "@/core/values";
import { isObjectValue, sentenceOf } from "./complaints";

function leaf(value: Value<unknown>, name: string): Schema {
  const schema: Schema = mixed()
    .transform((given: unknown) => (value.check(given) === null ? value.read(given) : given))
    .test("value", (given, { createError }) => {
      const complaint = value.check(given);
      const said = given === undefined ? "is missing" : complaint;
      return complaint === null || createError({ message: sentenceOf(name, said ?? complaint) });
    })
    .nullable();
  // What is not given is not read either: it is what reading nothing makes of it.
  return value.check(undefined) === null ? (schema.default(value.read(undefined)) as Schema) : schema;
}

function schemaOf(value: Value<unknown>, name: string): Schema {
  if (!isObjectValue(value)) return leaf(value, name);
  const fields = Object.entries(value.fields).map(([field, own]) => [field, schemaOf(own, field)] as const);
  return object(Object.fromEntries(fields))
    .typeError(({ value: given }: { value: unknown }) => sentenceOf(name, value.check(given) ?? "is wrong"))
    .required(sentenceOf(name, "is missing"))
    .noUnknown(true, ({ unknown }: { unknown: string }) => `There is no field “${unknown}” here.`);
}

/** A schema whose messages are sentences, and that knows the path of each. It refuses fields that are not described. */
export const yupOf = <T>(value: Value<T>, name = "it"): Schema<T> => schemaOf(value, name) as Schema<T>;

/** What came in, as what it is to be. Rejects with a ValidationError whose message is a sentence. */
export const readInput = <T>(value: Value<T>, input: unknown): Promise<T> =>
  yupOf(value).validate(input, { stripUnknown: false, abortEarly: true });
