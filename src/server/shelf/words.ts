/** Words as they are looked for: without accents and cases. */

export const plain = (text: string): string =>
  text
    .normalize("NFD")
    .replace(/\p{Mn}/gu, "")
    .toLowerCase();

/** Whether a text holds each of some words. */
export function holdsWords(text: string, looked: string): boolean {
  const searched = plain(text);
  return plain(looked)
    .split(/\s+/)
    .every((word) => searched.includes(word));
}
