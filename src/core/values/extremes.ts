/** The largest and the smallest of any number of numbers: as arguments of a call, a long list would not fit on the stack. */

/** The largest of some numbers; `least` where there are none, or none is larger. */
export const largest = (numbers: readonly number[], least = -Infinity): number =>
  numbers.reduce((most, number) => Math.max(most, number), least);

/** The smallest of some numbers; `most` where there are none, or none is smaller. */
export const smallest = (numbers: readonly number[], most = Infinity): number =>
  numbers.reduce((least, number) => Math.min(least, number), most);

/** Adds some items to the end of a list, however many they are. */
export function append<T>(list: T[], items: Iterable<T>): void {
  for (const item of items) list.push(item);
}
