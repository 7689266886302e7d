/** Colours as six hex digits after #: the one form that every kind of client reads. Channels are 0 to 255. */

export type Channels = readonly [red: number, green: number, blue: number];

const six = /^#([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/i;

export const isHex = (text: string): boolean => six.test(text);

/** Red, green and blue of a six-digit hex colour. Throws a RangeError for anything else. */
export function channelsOf(hex: string): Channels {
  const [, red, green, blue] = six.exec(hex) ?? [];
  if (red === undefined || green === undefined || blue === undefined)
    throw new RangeError(`A colour is six hex digits after #, not ${JSON.stringify(hex)}`);
  return [parseInt(red, 16), parseInt(green, 16), parseInt(blue, 16)];
}

/** Six hex digits in capitals; channels are whole numbers. */
export const hexOf = (red: number, green: number, blue: number): string =>
  `#${((1 << 24) | (red << 16) | (green << 8) | blue).toString(16).slice(1)}`.toUpperCase();

/** What somebody types for a colour: three or six hex digits, with or without #; null for anything else. */
export function readHex(typed: string): string | null {
  const digits = /^#?([0-9a-f]{3}|[0-9a-f]{6})$/i.exec(typed.trim())?.[1];
  if (digits === undefined) return null;
  return `#${digits.length === 3 ? digits.replace(/./g, "$&$&") : digits}`.toUpperCase();
}
