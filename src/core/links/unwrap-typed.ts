/**
 * What stands around an address where people copy it from: a label ("Tel.: …"), a sign (☎), a pasted link's HTML, marks
 * that nobody sees. Taken off before the address itself is read, and said.
 */
import { invisible, mendSlips, type Mended, type Slip } from "./slips";

const word = "The word before it is taken off.";

const wrappings: readonly Slip[] = [
  invisible,
  {
    find: /^<a\s[^>]*?\bhref\s*=\s*(?:"([^"]*)"|'([^']*)')[^>]*>.*$/is,
    put: "$1$2",
    said: "Only the address of the pasted link is taken.",
  },
  { find: /&amp;/gi, put: "&", said: "&amp; is & now." },
  // A host with a port has a colon as well; a scheme has nothing before it and nothing after.
  {
    find: /^(?:e-?mail|mail|telephone|tel\.|phone|ph|t|m|mob(?:ile)?|cell(?:phone)?|call|direct(?: line)?|office|main|switchboard|fax|home|work|landline|url|web|link|www)\s*\.?(?:\s*:|\s+[–-]\s)\s*(?=[^\s/])(?!\d{1,5}(?:[/?#]|$))/i,
    put: "",
    said: word,
  },
  {
    find: /^(?:tel|telephone|phone|ph|t|m|mob|mobile|call|direct|office|fax)\.?\s+(?=[+(\d])/i,
    put: "",
    said: word,
  },
  {
    find: /^[\u260e\u260f\u2706\u2709\u{1f4de}\u{1f4f1}\u{1f4e7}\u{1f310}]\ufe0f?\s*/u,
    put: "",
    said: "The sign before it is taken off.",
  },
  // A number with a remark: "(office)".
  {
    find: /^(\+?[\d\s().\-/]*\d)\s*\((?=[^()]*\p{L})[^()]*\)\s*$/u,
    put: "$1",
    said: "What stood after it is taken off.",
  },
];

/** Two numbers that share a beginning: the slash stands by itself, and a whole number before it. */
function firstOfTwo(text: string): string | null {
  const [first = "", second = "", more] = text.split(" / ");
  const whole = /^\+?[\d\s().-]+$/.test(first) && first.replace(/\D/g, "").length >= 9;
  return whole && more === undefined && /^\d{1,6}$/.test(second.trim()) ? first.trim() : null;
}

/** One word that begins with its scheme: nothing stands around it. */
const bare = /^(?:https?:\/\/|mailto:|tel:|sms:)[!-~]+$/i;

/** The address inside of what was typed, with what was taken off. Never throws. */
export function unwrapTyped(typed: string): Mended {
  if (bare.test(typed.trim()) && !/&amp;/i.test(typed)) return { text: typed.trim(), changes: [] };
  const { text, changes } = mendSlips(typed, wrappings);
  const first = firstOfTwo(text);
  if (first === null) return { text, changes };
  return { text: first, changes: [...changes, "These were two numbers: the first is taken."] };
}
