/**
 * The body of a letter that somebody writes: what is typed, the signature, and what is quoted, each in an element of its own,
 * so that another signature takes the place of the one that is there and of nothing else.
 */
import { escapeText } from "../html";

/** Marks the element of the signature while a letter is written; it is sent as a class. */
export const signatureMark = "data-own-signature";
/** Marks the element of what is quoted while a letter is written. */
export const quoteMark = "data-own-quote";

/** The line that parts a signature from the text (RFC 3676, 4.3): two hyphens and a space. */
const delimiterLine = "<div>-- <br></div>";

/** Plain text as lines of a letter; an empty one to begin with where there is none. */
export const linesOf = (text: string): string =>
  text
    .split("\n")
    .map((line) => `<div dir="auto">${escapeText(line) || "<br>"}</div>`)
    .join("");

/** The signature as it stands in a letter; an empty place for one where there is none. */
export const signatureBlock = (html: string | null, delimiter: boolean): string =>
  `<div ${signatureMark}="">${html === null || html === "" ? "" : `${delimiter ? delimiterLine : ""}${html}`}</div>`;

export const quoteBlock = (html: string): string => `<div ${quoteMark}="">${html}</div>`;

export interface LetterStart {
  /** What is there already, lines parted by `\n`. */
  readonly text: string;
  readonly signature: string | null;
  readonly delimiter: boolean;
  /** Where the signature stands beside what is quoted. */
  readonly place: "above" | "below";
  /** What is answered or handed on; null in a new letter. */
  readonly quoted: string | null;
}

/** The HTML that a letter begins as. */
export function letterStart({ text, signature, delimiter, place, quoted }: LetterStart): string {
  const own = `<div><br></div>${signatureBlock(signature, delimiter)}`;
  const quote = quoted === null ? "" : `<div><br></div>${quoteBlock(quoted)}`;
  return linesOf(text) + (place === "above" ? own + quote : quote + own);
}

/** The HTML of a written letter as it is sent: what marked its parts is a class that readers may know or drop. */
export const asSent = (html: string): string =>
  html
    .replaceAll(` ${signatureMark}=""`, ' class="signature"')
    .replaceAll(` ${quoteMark}=""`, ' class="quoted"');
