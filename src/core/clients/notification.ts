/** What a notification shows of a text: its beginning in one line, cut at so many characters as people count them. */

const shownLetters = 120;

export function notification(plainText: string): string {
  const line = plainText.replace(/\s+/gu, " ").trim();
  const letters = Array.from(
    new Intl.Segmenter("en", { granularity: "grapheme" }).segment(line),
    (each) => each.segment,
  );
  return letters.length <= shownLetters ? line : `${letters.slice(0, shownLetters).join("").trimEnd()}…`;
}
