/**
 * Where a line of text may be broken, as far as names, titles, numbers and addresses need it (Unicode UAX 14): after spaces and hyphens,
 * around dashes, and between the letters of East Asia. What is held together by a no-break space stays so.
 */

const isSpace = (letter: string): boolean => letter === " " || letter === "\t" || letter === "\u200b";
const isIdeograph = (letter: string): boolean =>
  /^[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}]$/u.test(letter);
/** Signs that stand at the end of what is before them (classes CL, CP, EX, IS, NS). */
const closes = (letter: string): boolean => /^[\p{Pe}\p{Pf}!?,.:;、。，．：；！？ー々%]$/u.test(letter);
/** Signs that stand at the beginning of what follows (class OP). */
const opens = (letter: string): boolean => /^[\p{Ps}\p{Pi}]$/u.test(letter);

/** Whether a line may end after one letter and go on with the next; neither is empty. */
export function breaksBetween(one: string, next: string): boolean {
  if (one === "\u00a0" || next === "\u00a0" || one === "\u2060" || next === "\u2060") return false;
  if (isSpace(next)) return false;
  if (isSpace(one)) return true;
  if (closes(next) || opens(one)) return false;
  // A hyphen holds to digits, as in a number that is negative.
  if (one === "-" || one === "\u2010") return !/^\d$/.test(next) && next !== "-";
  if (one === "\u2013" || one === "\u2014" || next === "\u2014") return true;
  if (isIdeograph(next)) return true;
  return isIdeograph(one) && (opens(next) || /^[\p{L}\p{N}]$/u.test(next));
}
