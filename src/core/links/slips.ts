/** Slips of what is typed and pasted as an address: what is found, what is put instead, and what is said of it. */

export interface Slip {
  readonly find: RegExp;
  readonly put: string;
  readonly said: string;
}

/** What was typed, with each slip put right and said. */
export interface Mended {
  readonly text: string;
  /** One sentence a change, in the order in which they were made. */
  readonly changes: readonly string[];
}

/** Soft hyphens, zero-width characters and marks of direction come along when text is copied. */
export const invisible: Slip = {
  find: /[\u00ad\u200b-\u200f\u202a-\u202e\u2060-\u2069\ufeff]/g,
  put: "",
  said: "Invisible characters are taken out.",
};

/** Puts slips right in their order, each said once. `applies` answers whether one is looked for at all. */
export function mendSlips(
  given: string,
  slips: readonly Slip[],
  applies: (slip: Slip, text: string) => boolean = () => true,
): Mended {
  const changes: string[] = [];
  let text = given.trim();
  for (const slip of slips) {
    if (!applies(slip, text)) continue;
    const next = text.replace(slip.find, slip.put).trim();
    if (next !== text && !changes.includes(slip.said)) changes.push(slip.said);
    text = next;
  }
  return { text, changes };
}
