/**
 * Where a line of text may be broken. Browsers follow Unicode's algorithm (UAX 14) but in three things, which are written down here as
 * they draw them: between two signs of ASCII they go by a shorter table, after spaces a line may always end, and they let
 * a line begin with small kana and with a wide opening bracket.
 */
import LineBreaker from "linebreak";
import { remember } from "../../memory";

/** What stands for a picture in a line: a line may end behind it, whatever comes next, and before it where a space holds to it. */
export const pictureSign = "\ufffc";
const noBreakSpace = "\u00a0";

const isSpace = (letter: string): boolean => letter === " " || letter === "\t";
const isAscii = (letter: string): boolean => letter <= "~";

/** Signs of ASCII that hold to what is before them, so that no hyphen or question mark is parted from them. */
const holdsBack: ReadonlySet<string> = new Set("!),./:;?]}");
/** Beside them, what a hyphen and what a question mark holds to. */
const afterHyphen: ReadonlySet<string> = new Set("$");
const afterQuestion: ReadonlySet<string> = new Set("\"'");
/** Brackets that open: a line may begin with one, though not after these. */
const opens: ReadonlySet<string> = new Set("([{<");
const holdsToBracket = /[\w$'/@<([{^`-]/;

const isDigit = (letter: string): boolean => letter >= "0" && letter <= "9";

/** Between two signs of ASCII that are no spaces; `before` is what stands before both. */
function breaksInAscii(before: string, one: string, next: string): boolean {
  if (one === "-")
    return !holdsBack.has(next) && !afterHyphen.has(next) && (!isDigit(next) || /^[A-Za-z0-9]$/.test(before));
  if (one === "?") return !holdsBack.has(next) && !afterQuestion.has(next);
  return opens.has(next) && !holdsToBracket.test(one);
}

/** Conditional starters, which browsers treat as ideographs where a page asks for nothing stricter (CSS Text 3, section 5.3). */
const smallKana = /[ぁぃぅぇぉっゃゅょゎゕゖァィゥェォッャュョヮヵヶー]/g;
/** Wide brackets hold to no letter before them (UAX 14, rule LB30). */
const opensWide = /^[（［｛「『【〈《〔]$/;

function placesByUnicode(text: string): ReadonlySet<number> {
  const found = new Set<number>();
  const breaker = new LineBreaker(text.replace(smallKana, "あ"));
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) found.add(next.position);
  return found;
}

/** The places at which a new line may begin, in UTF-16 units from the text's start; the start and the end are none of them. */
export const breakPlaces = remember((text: string): readonly number[] => {
  const unicode = [...text].every(isAscii) ? null : placesByUnicode(text);
  const found: number[] = [];
  for (let place = 1; place < text.length; place++) {
    const one = text[place - 1] ?? "";
    const next = text[place] ?? "";
    if (isSpace(next)) continue;
    const wide = opensWide.test(next) && /^[\p{L}\p{N}]$/u.test(one);
    const breaks =
      isSpace(one) ||
      one === pictureSign ||
      (next === pictureSign && one === noBreakSpace) ||
      (isAscii(one) && isAscii(next)
        ? breaksInAscii(text[place - 2] ?? "", one, next)
        : wide || unicode?.has(place));
    if (breaks) found.push(place);
  }
  return found;
});
