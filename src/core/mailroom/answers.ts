/** Answering and handing on: subjects, recipients and references by RFC 5322 (3.6.3 to 3.6.5), and what is quoted. */
import { received } from "../clients";
import { escapeText } from "../html";
import type { DeskClient } from "../desks";
import { linesOf } from "./letter-body";

export interface MailAddress {
  readonly name: string;
  readonly address: string;
}

/** What of a received letter an answer is made from. */
export interface AnsweredLetter {
  readonly from: MailAddress;
  readonly to: readonly MailAddress[];
  readonly cc: readonly MailAddress[];
  readonly subject: string;
  /** When it was written, as people say it. */
  readonly when: string;
  /** As it came; null where it is plain text. */
  readonly html: string | null;
  readonly text: string;
}

const begun = (prefix: string, known: RegExp) => (subject: string) =>
  known.test(subject) ? subject : `${prefix} ${subject}`.trim();

/** With one "Re:", however often it was answered. */
export const answerSubject = begun("Re:", /^re\s*:/i);
export const forwardSubject = begun("Fwd:", /^fwd?\s*:/i);

/** The ids that an answer refers to (RFC 5322, 3.6.4), the letter's own last; at most 50, the first kept. */
export function referencesOf(references: readonly string[], messageId: string): readonly string[] {
  const all = [...references.filter((id) => id !== messageId), messageId].filter((id) => id !== "");
  return all.length <= 50 ? all : [...all.slice(0, 1), ...all.slice(-49)];
}

export interface Recipients {
  readonly to: readonly MailAddress[];
  readonly cc: readonly MailAddress[];
}

/** Who gets an answer; `own` are addresses of who answers, who is not written to. An answer to one's own letter goes to whom it went to. */
export function answerRecipients(
  { from, to, cc }: Pick<AnsweredLetter, "from" | "to" | "cc">,
  own: readonly string[],
  all: boolean,
): Recipients {
  const mine = new Set(own.map((address) => address.toLowerCase()));
  const others = (list: readonly MailAddress[], known: readonly MailAddress[]): readonly MailAddress[] => {
    const seen = new Set(known.map(({ address }) => address.toLowerCase()));
    return list.filter(({ address }) => {
      const each = address.toLowerCase();
      if (mine.has(each) || seen.has(each)) return false;
      seen.add(each);
      return true;
    });
  };
  if (mine.has(from.address.toLowerCase())) return { to, cc: all ? cc : [] };
  const first = all ? [from, ...others(to, [from])] : [from];
  return { to: first, cc: all ? others(cc, first) : [] };
}

const shown = ({ name, address }: MailAddress): string =>
  escapeText(name === "" ? address : `${name} <${address}>`);

/** Who wrote it to whom, when and about what, a line each. */
const block = (letter: AnsweredLetter): string =>
  (
    [
      ["From", shown(letter.from)],
      ["When", escapeText(letter.when)],
      ["To", letter.to.map(shown).join("; ")],
      ...(letter.cc.length > 0 ? [["Copies", letter.cc.map(shown).join("; ")] as const] : []),
      ["About", escapeText(letter.subject)],
    ] as const
  )
    .map(([name, value]) => `<div><b>${name}:</b> ${value}</div>`)
    .join("") + "<div><br></div>";

const shownBody = (letter: AnsweredLetter, { standIn }: DeskClient, quoted: number): string =>
  received(letter.html ?? linesOf(letter.text.trimEnd()), standIn, { quoted }).html;

/** What an answer quotes: the letter as the client that answers shows it, under the line or block that it writes over it. */
export const quotedIn = (letter: AnsweredLetter, client: DeskClient): string =>
  client.headline === "line"
    ? `<div>${escapeText(letter.from.name || letter.from.address)} wrote on ${escapeText(letter.when)}:</div>${shownBody(letter, client, 1)}`
    : shownBody({ ...letter, html: block(letter) + shownBody(letter, client, 0) }, client, 1);

/** What is handed on: the whole letter, told from whom it came, and not quoted. */
export const handedOn = (letter: AnsweredLetter, client: DeskClient): string =>
  `<div>A letter handed on:</div>${block(letter)}` + shownBody(letter, client, 0);
