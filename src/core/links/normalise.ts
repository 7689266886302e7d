/** What somebody types where a link is asked for, as the address it means. */
import { mailtoLink, telLink, webLink } from "./build";

export type LinkReading =
  | { readonly ok: true; readonly href: string; readonly mended: string | null }
  | { readonly ok: false; readonly message: string };

const schemes = /^(https?:\/\/)+/i;

/**
 * Reads a typed address. A doubled beginning is mended, a bare host gets https, a mail address and a phone
 * number their own schemes. Never throws.
 */
export function readLink(typed: string): LinkReading {
  const trimmed = typed.trim();
  if (trimmed === "") return { ok: false, message: "Type where the link leads." };
  if (/^(javascript|vbscript|data):/i.test(trimmed))
    return { ok: false, message: "A link can lead to a page, a mail address or a phone number only." };
  if (/^(mailto|tel):/i.test(trimmed))
    return /\s/.test(trimmed)
      ? { ok: false, message: "An address has no spaces in it." }
      : { ok: true, href: trimmed, mended: null };
  const beginning = schemes.exec(trimmed)?.[0];
  if (beginning) {
    const last = /https?:\/\/$/i.exec(beginning)![0];
    const href = webLink(last + trimmed.slice(beginning.length)) ?? localLink(trimmed);
    if (!href)
      return { ok: false, message: `“${trimmed}” is no web address: something like harrowfen.example is.` };
    return { ok: true, href, mended: beginning === last ? null : "The beginning stood there twice." };
  }
  const href = mailtoLink(trimmed) ?? telLink(trimmed) ?? webLink(trimmed);
  return href
    ? { ok: true, href, mended: null }
    : { ok: false, message: `“${trimmed}” is neither a web address, a mail address nor a phone number.` };
}

/** Hosts without a dot, such as this machine, are fine when the scheme was typed. */
const localLink = (typed: string): string | null =>
  /^https?:\/\/[\w.-]+(:\d{1,5})?(\/\S*)?$/i.test(typed) ? typed : null;
