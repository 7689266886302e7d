/** Words as they are looked for: without accents and cases. */

export const plain = (text: string): string =>
  text
    .normalize("NFD")
    .replace(/\p{Mn}/gu, "")
    .toLowerCase();

/** Whether a text that is plain already holds each of some such words. */
export const holdsPlain = (text: string, words: readonly string[]): boolean =>
  words.every((word) => text.includes(word));

/** Whether a text holds each of some words. */
export const holdsWords = (text: string, looked: string): boolean =>
  holdsPlain(plain(text), plain(looked).split(/\s+/));

/**
 * How near something is to what is looked for: 0 where its name begins with it, 1 where a word of the name does, 2 where its name
 * holds it, 3 where that takes all that is said of it; else null. All are plain already.
 */
export function closenessOf(looked: string, name: string, all: string): number | null {
  if (name.startsWith(looked)) return 0;
  const words = looked.split(/\s+/);
  if (!holdsPlain(all, words)) return null;
  if (name.split(/[\s-]+/).some((word) => word.startsWith(looked))) return 1;
  return holdsPlain(name, words) ? 2 : 3;
}
