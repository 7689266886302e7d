/**
 * What mail clients would turn into links by themselves, in their own colour: web and mail addresses, phone
 * numbers, dates and postal addresses. The text is scanned word by word, once, from left to right.
 */
import { mailtoLink } from "./mail";
import { telLink } from "./phone";
import { webLink } from "./web";
import { monthNames, otherNumbers, streetWords } from "./words";

export interface FoundLink {
  readonly kind: "web" | "mail" | "phone" | "date" | "address";
  /** Offsets into the text, in UTF-16 units; `end` is after the last. */
  readonly start: number;
  readonly end: number;
  /** Null for a date or a postal address, which has no address of its own. */
  readonly href: string | null;
}

interface Word {
  readonly text: string;
  readonly start: number;
  readonly end: number;
}

/** Words parted by white space, with brackets and closing punctuation taken off. */
function wordsOf(text: string): Word[] {
  const words: Word[] = [];
  for (const found of text.matchAll(/\S+/g)) {
    let start = found.index;
    let end = start + found[0].length;
    while (end > start && ",.;:!?)>]’”'\"".includes(text.charAt(end - 1))) end--;
    // An opening bracket belongs to a phone number: (01632) 960100.
    const opening = /^\(\+?\d/.test(text.slice(start, start + 3)) ? "<[‘“'\"" : "(<[‘“'\"";
    while (start < end && opening.includes(text.charAt(start))) start++;
    if (end > start) words.push({ text: text.slice(start, end), start, end });
  }
  return words;
}

/** The text of a word; empty beyond the last. */
const wordAt = (words: readonly Word[], at: number): string => words[at]?.text ?? "";

const isDay = (word: string): boolean => /^([12]?\d|3[01])(st|nd|rd|th)?$/.test(word);
const isYear = (word: string): boolean => /^(19|20)\d{2}$/.test(word);
const isMonth = (word: string): boolean => monthNames.has(word.toLowerCase());

/** Whether a word shortly before a number says that it is of another kind: "VAT no. 0123456789". */
function isNamedOtherwise(words: readonly Word[], at: number): boolean {
  for (let before = at - 1; before >= Math.max(0, at - 3); before--) {
    const text = wordAt(words, before).toLowerCase();
    if (otherNumbers.has(text.replace(/[^\p{L}]/gu, ""))) return true;
    // What names an earlier number names this one no more.
    if (/\d{3}/.test(text)) return false;
  }
  return false;
}

/** How many words from `at` on make a phone number; 0 for none. Only numbers with + or a leading 0 count. */
function phoneLength(words: readonly Word[], at: number): number {
  if (!/^(\+|0|\(\+?\d)/.test(wordAt(words, at)) || isNamedOtherwise(words, at)) return 0;
  let joined = "";
  let best = 0;
  for (let index = at; index < Math.min(words.length, at + 7); index++) {
    if (!/^[+\d().\-/]+$/.test(wordAt(words, index))) break;
    joined += wordAt(words, index);
    if (joined.replace(/\D/g, "").length >= 9 && telLink(joined)) best = index - at + 1;
  }
  return best;
}

/** How many words from `at` on make a date: "12 June 2027", "12 and 13 June", "June 12", "2027-06-12". */
function dateLength(words: readonly Word[], at: number): number {
  const word = (offset: number): string => wordAt(words, at + offset);
  if (/^\d{4}-\d{2}-\d{2}$/.test(word(0)) || /^\d{1,2}[./]\d{1,2}[./](19|20)\d{2}$/.test(word(0))) return 1;
  if (isDay(word(0))) {
    const joined = word(1) === "and" || word(1) === "to" || word(1) === "–";
    const month = joined && isDay(word(2)) ? 3 : 1;
    if (isMonth(word(month))) return isYear(word(month + 1)) ? month + 2 : month + 1;
    return 0;
  }
  if (isMonth(word(0)) && isDay(word(1))) return isYear(word(2)) ? 3 : 2;
  return 0;
}

/** How many words from `at` on make a street address: a house number, one to three names and a street word. */
function addressLength(words: readonly Word[], at: number): number {
  if (!/^\d{1,4}[a-zA-Z]?$/.test(wordAt(words, at))) return 0;
  // A street has a name: "24 hour drive" is no place.
  if (!/^[\p{Lu}\p{Lo}\d]/u.test(wordAt(words, at + 1))) return 0;
  for (let index = at + 2; index < Math.min(words.length, at + 5); index++)
    if (streetWords.has(wordAt(words, index).toLowerCase())) return index - at + 1;
  return 0;
}

/** Everything in a text that a client would link, in order and without overlap. Never throws. */
export function detectLinks(text: string): readonly FoundLink[] {
  const words = wordsOf(text);
  const found: FoundLink[] = [];
  for (let at = 0; at < words.length;) {
    const word = words[at];
    if (!word) break;
    const one = (kind: FoundLink["kind"], href: string | null, length: number): void => {
      found.push({ kind, start: word.start, end: (words[at + length - 1] ?? word).end, href });
      at += length;
    };
    const mail = mailtoLink(word.text);
    const web = /^(https?:\/\/|www\.)/i.test(word.text) ? webLink(word.text) : null;
    const phone = phoneLength(words, at);
    const date = dateLength(words, at);
    const address = addressLength(words, at);
    if (mail) one("mail", mail, 1);
    else if (web) one("web", web, 1);
    else if (phone)
      one(
        "phone",
        telLink(
          words
            .slice(at, at + phone)
            .map((part) => part.text)
            .join(""),
        ),
        phone,
      );
    else if (date) one("date", null, date);
    else if (address) one("address", null, address);
    else at++;
  }
  return found;
}
