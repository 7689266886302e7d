/**
 * What stands around an address where people copy it from: a label ("Tel.: …"), a sign (☎), a pasted link's HTML, marks
 * that nobody sees. Taken off before the address itself is read, and said.
 */
import type { Mended } from "./web";

interface Wrapping {
  readonly find: RegExp;
  readonly put: string;
  readonly said: string;
}

const word = "The word before it is taken off.";

const wrappings: readonly Wrapping[] = [
  {
    // Marks of direction, zero-width characters and soft hyphens come along when text is copied.
    find: /[\u00ad\u200b-\u200f\u202a-\u202e\u2060-\u2069\ufeff]/g,
    put: "",
    said: "Invisible characters are taken out.",
  },
  {
    find: /^<a\s[^>]*?\bhref\s*=\s*(?:"([^"]*)"|'([^']*)')[^>]*>.*$/is,
    put: "$1$2",
    said: "Only the address of the pasted link is taken.",
  },
  { find: /&amp;/gi, put: "&", said: "&amp; is & now." },
  // A scheme has nothing between its name and its colon, and nothing after it.
  {
    find: /^(?:e-?mail|mail|telephone|tel\.|mob(?:ile)?|cell(?:phone)?|direct(?: line)?|office|main|switchboard|fax|home|work|landline)\s*\.?\s*[:–-]\s*(?=[^\s/])/i,
    put: "",
    said: word,
  },
  { find: /^(?:tel|telephone|mob|mobile|direct|office|fax)\.?\s+(?=[+(\d])/i, put: "", said: word },
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
  const changes: string[] = [];
  let text = typed.trim();
  if (bare.test(text) && !/&amp;/i.test(text)) return { text, changes };
  for (const { find, put, said } of wrappings) {
    const next = text.replace(find, put).trim();
    if (next !== text && !changes.includes(said)) changes.push(said);
    text = next;
  }
  const first = firstOfTwo(text);
  if (first === null) return { text, changes };
  return { text: first, changes: [...changes, "These were two numbers: the first is taken."] };
}
