/** A place in a signature's document as the end of the Bench's address, which shows it when it is opened. */

export const benchPlace = (position: number): string => `#at-${position}`;

/** The position that an address names; null where it names none. */
export function readBenchPlace(hash: string): number | null {
  const found = /^#at-(\d{1,9})$/.exec(hash)?.[1];
  return found === undefined ? null : Number(found);
}
