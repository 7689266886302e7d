/** Values made of others: optional ones, objects, lists, and one of several shapes told apart by a tag. */
import { complain, complaintOf, describeValue, type TypeOf, type Value } from "./value";

type AnyValue = Value<unknown>;

export interface OptionalValue<V extends AnyValue> extends Value<TypeOf<V> | null> {
  readonly kind: "optional";
  readonly value: V;
}

/** A value, or null for none. */
export const optional = <V extends AnyValue>(value: V): OptionalValue<V> => ({
  ...describeValue<TypeOf<V> | null, "optional">("optional", (given) =>
    given === null ? null : value.check(given),
  ),
  value,
});

/** A field that may be left out. */
export const maybe = <V extends AnyValue>(value: V): Value<TypeOf<V> | undefined> =>
  describeValue<TypeOf<V> | undefined, "maybe">("maybe", (given) =>
    given === undefined ? null : value.check(given),
  );

export type Fields = Readonly<Record<string, AnyValue>>;
type LeftOut<F extends Fields> = { [K in keyof F]: undefined extends TypeOf<F[K]> ? K : never }[keyof F];
type Both<T> = { [K in keyof T]: T[K] };
/** Fields that may be left out are optional. */
export type FieldsOf<F extends Fields> = Both<
  { readonly [K in Exclude<keyof F, LeftOut<F>>]: TypeOf<F[K]> } & {
    readonly [K in LeftOut<F>]?: TypeOf<F[K]>;
  }
>;

export interface ObjectValue<F extends Fields> extends Value<FieldsOf<F>> {
  readonly kind: "object";
  readonly fields: F;
}

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === "object" && value !== null && !Array.isArray(value);

function checkFields(fields: Fields, given: Readonly<Record<string, unknown>>, part: string): string | null {
  for (const name of Object.keys(given))
    if (!Object.hasOwn(fields, name)) return `has no ${part} ${JSON.stringify(name)}`;
  for (const [name, value] of Object.entries(fields)) {
    const complaint = value.check(given[name]);
    if (complaint === null) continue;
    return Object.hasOwn(given, name) ? complaintOf(name, complaint) : `lacks its ${part} ${name}`;
  }
  return null;
}

const listed = (names: readonly string[]): string =>
  names.length < 2 ? names.join("") : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`;

/** An object with exactly these fields; `what` is its name with an article, `part` what a field of it is called. */
export const object = <F extends Fields>(fields: F, what = "an object", part = "part"): ObjectValue<F> => ({
  ...describeValue<FieldsOf<F>, "object">("object", (given) =>
    isRecord(given)
      ? checkFields(fields, given, part)
      : complain(`${what} with ${listed(Object.keys(fields))}`, given),
  ),
  fields,
});

export interface ListValue<V extends AnyValue> extends Value<readonly TypeOf<V>[]> {
  readonly kind: "list";
  readonly value: V;
}

/** From `least` to `most` values of one kind. */
export const list = <V extends AnyValue>(
  value: V,
  { least = 0, most, what }: { least?: number; most: number; what: string },
): ListValue<V> => ({
  ...describeValue<readonly TypeOf<V>[], "list">("list", (given) => {
    if (!Array.isArray(given) || given.length < least || given.length > most)
      return complain(`a list of ${least} to ${most} ${what}`, given);
    for (const [index, each] of given.entries()) {
      const complaint = value.check(each);
      if (complaint !== null) return complaintOf(String(index + 1), complaint);
    }
    return null;
  }),
  value,
});

type Tagged<Tag extends string, Shapes extends Readonly<Record<string, Fields>>> = {
  [Name in keyof Shapes & string]: Readonly<Record<Tag, Name>> & FieldsOf<Shapes[Name]>;
}[keyof Shapes & string];

export interface TaggedValue<
  Tag extends string,
  Shapes extends Readonly<Record<string, Fields>>,
> extends Value<Tagged<Tag, Shapes>> {
  readonly kind: "tagged";
  readonly tag: Tag;
  readonly shapes: Shapes;
}

/** What was looked at already. */
const anything = describeValue<unknown, "anything">("anything", () => null);

/** One of several objects, told apart by the field `tag`. */
export const tagged = <Tag extends string, Shapes extends Readonly<Record<string, Fields>>>(
  tag: Tag,
  shapes: Shapes,
): TaggedValue<Tag, Shapes> => ({
  ...describeValue<Tagged<Tag, Shapes>, "tagged">("tagged", (given) => {
    const name = isRecord(given) ? given[tag] : undefined;
    const fields = typeof name === "string" && Object.hasOwn(shapes, name) ? shapes[name] : undefined;
    if (!isRecord(given) || !fields)
      return `${tag} ${complain(`one of ${Object.keys(shapes).join(", ")}`, name ?? given)}`;
    return checkFields({ ...fields, [tag]: anything }, given, "part");
  }),
  tag,
  shapes,
});
