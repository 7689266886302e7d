/**
 * A table that is asked for words from outside, such as names of tags and properties: it has the words that it lists and no
 * others, whereas a plain object has `constructor` and `valueOf` too.
 */
export const wordTable = <T>(entries: Readonly<Record<string, T>>): Readonly<Record<string, T>> =>
  Object.assign(Object.create(null) as Record<string, T>, entries);
