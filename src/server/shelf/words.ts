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
 * holds it, 3 where that takes all that is said of it; else null.
 */
export function closenessOf(looked: string, name: string, all: string): number | null {
  const [wanted, said] = [plain(looked.trim()), plain(name)];
  if (said.startsWith(wanted)) return 0;
  if (said.split(/[\s-]+/).some((word) => word.startsWith(wanted))) return 1;
  if (holdsWords(name, looked)) return 2;
  return holdsWords(all, looked.trim()) ? 3 : null;
}
