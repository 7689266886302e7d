/** The letters that stand for somebody of whom there is no portrait. */

const segmenter = new Intl.Segmenter("und", { granularity: "grapheme" });

/** The first letter of a word; empty where it begins with none. */
function firstLetter(word: string): string {
  for (const { segment } of segmenter.segment(word)) if (/\p{L}/u.test(segment)) return segment;
  return "";
}

/** Words that belong to a name without being one: titles and what is said in brackets. */
const beside = /\([^)]*\)|\p{L}+\./gu;

/**
 * The first letters of the first and the last word of a name, as capitals: "Tamsin Okafor" is TO. One letter where it has one word, or is
 * written in a script without capitals in which a letter is a syllable or more; empty where it has no letters.
 */
export function initialsOf(name: string): string {
  const words = name
    .normalize("NFC")
    .replace(beside, " ")
    .split(/[\s,]+/u)
    .map(firstLetter)
    .filter((letter) => letter !== "");
  const [first = "", ...others] = words;
  if (/[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}]/u.test(first)) return first;
  return (first + (others.at(-1) ?? "")).toUpperCase();
}
