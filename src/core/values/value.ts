/**
 * What a piece of data may hold, described once: attributes of the document, recipes of pictures and bodies of requests.
 * From a description come the type, the check with its complaint, and the range of the field that edits it.
 */

/**
 * A complaint that reads on from the value's name ("width must be …"), or a whole sentence, which begins with a capital;
 * null when the value is fine.
 */
export type Check = (value: unknown) => string | null;

/** A complaint with the name of what it is about, where it does not say that by itself. */
export const complaintOf = (name: string, complaint: string): string =>
  /^\p{Lu}/u.test(complaint) ? complaint : `${name} ${complaint}`;

export interface Value<T> {
  readonly kind: string;
  readonly check: Check;
  /** The value as what it is. Throws a RangeError with the complaint. */
  readonly read: (value: unknown) => T;
}

/** The type of what a description lets through. */
export type TypeOf<V> = V extends Value<infer T> ? T : never;

const shown = (value: unknown): string => {
  const text = JSON.stringify(value) ?? String(value);
  return text.length > 60 ? `${text.slice(0, 57)}…` : text;
};

export const complain = (rule: string, value: unknown): string => `must be ${rule}, not ${shown(value)}`;

/** A description of one's own making; `settle` is how a value that is fine is taken, such as without space around it. */
export const describeValue = <T, K extends string>(
  kind: K,
  check: Check,
  settle: (value: T) => T = (value) => value,
): Value<T> & { readonly kind: K } => ({
  kind,
  check,
  read(value) {
    const complaint = check(value);
    if (complaint !== null) throw new RangeError(complaintOf("It", complaint));
    return settle(value as T);
  },
});
