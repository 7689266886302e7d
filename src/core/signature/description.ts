/**
 * The attributes of a kind of node or mark, described once: what each may hold, and what it is where nothing is said.
 * Their types, the one way to read them, the validator and the Bench's fields are derived from this.
 */
import type { Mark, Node } from "prosemirror-model";
import type { TypeOf, Value } from "../values";

export interface Attribute<V extends Value<unknown> = Value<unknown>> {
  readonly value: V;
  /** Left out when the attribute must be given. */
  readonly default?: TypeOf<V>;
}

export type Attributes = Readonly<Record<string, Attribute>>;
export type AttributesOf<A extends Attributes> = { readonly [K in keyof A]: TypeOf<A[K]["value"]> };

/** An attribute that is `fallback` where nothing is said. */
export const attribute = <V extends Value<unknown>>(
  value: V,
  fallback: TypeOf<V>,
): Required<Attribute<V>> => ({ value, default: fallback });

/** An attribute that must be given. */
export const needed = <V extends Value<unknown>>(value: V): Attribute<V> => ({ value });

type Described = Pick<Node | Mark, "attrs"> & { readonly type: { readonly name: string } };

/** What several kinds have in common, or all that one has. */
export interface Description<A extends Attributes> {
  /** The kinds that have these attributes; null for whatever kinds have them. */
  readonly names: readonly string[] | null;
  readonly attributes: A;
  readonly is: (of: Described | null | undefined) => boolean;
  /** The attributes of a node or mark. Throws a TypeError for one of another kind. */
  readonly of: (of: Described) => AttributesOf<A>;
}

export function describeAttributes<A extends Attributes>(
  names: readonly string[] | null,
  attributes: A,
): Description<A> {
  const own = Object.keys(attributes);
  const is: Description<A>["is"] = (of) =>
    of !== null &&
    of !== undefined &&
    (names ? names.includes(of.type.name) : own.every((name) => name in of.attrs));
  return {
    names,
    attributes,
    is,
    of: (of) => {
      if (!is(of))
        throw new TypeError(
          `The attributes of a ${names?.join(" or ") ?? "part"} are asked of a ${of.type.name}`,
        );
      // The schema lets no node or mark be made whose attributes are not as described.
      return of.attrs as AttributesOf<A>;
    },
  };
}

/** A mark of this kind among others: its attributes, or null where there is none. */
export function attributesIn<A extends Attributes>(
  description: Description<A>,
  marks: readonly Mark[],
): AttributesOf<A> | null {
  const found = marks.find(description.is);
  return found ? description.of(found) : null;
}
