/** Mail links: `mailto:` addresses (RFC 6068), built from their parts and read back into them. */

export interface MailParts {
  /** Addresses as people write them; at least one. */
  readonly to: readonly string[];
  readonly cc: readonly string[];
  readonly subject: string;
  /** Lines are parted by `\n`. */
  readonly body: string;
}

const mailPattern = /^[^\s@<>",;:()[\]\\/?#]+@[^\s@<>",;:()[\]\\/?#]+\.[^\s@<>",;:().[\]\\/?#]+$/;

export const isMailAddress = (text: string): boolean =>
  mailPattern.test(text) && !text.slice(text.lastIndexOf("@")).includes("..");

/** Escapes what RFC 6068 section 2 asks for; a lone surrogate becomes the replacement character. */
const escape = (part: string): string => encodeURIComponent(part.toWellFormed()).replaceAll("%2B", "+");

const addressPart = (address: string): string => {
  const at = address.lastIndexOf("@");
  return `${escape(address.slice(0, at))}@${escape(address.slice(at + 1))}`;
};

/** `mailto:` of one address; null when it is no mail address. */
export function mailtoLink(address: string): string | null {
  const trimmed = address.trim();
  return isMailAddress(trimmed) ? `mailto:${addressPart(trimmed)}` : null;
}

/** `mailto:` with subject and body; null when there is no address, or one of them is none. */
export function buildMail({ to, cc, subject, body }: MailParts): string | null {
  if (to.length === 0 || ![...to, ...cc].every(isMailAddress)) return null;
  // A header's plus would be read as itself, but many clients read it as a space.
  const value = (text: string): string => encodeURIComponent(text.toWellFormed());
  const headers = [
    cc.length > 0 ? `cc=${cc.map((address) => value(address)).join(",")}` : "",
    subject ? `subject=${value(subject)}` : "",
    body ? `body=${value(body.replace(/\r\n?|\n/g, "\r\n"))}` : "",
  ].filter((header) => header);
  return `mailto:${to.map(addressPart).join(",")}${headers.length > 0 ? `?${headers.join("&")}` : ""}`;
}

/** Percent escapes read as UTF-8; text whose escapes are broken stays as it is. */
function unescape(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}

/** The parts of a mail link; null when it is none. Headers other than these are left out. */
export function parseMail(href: string): MailParts | null {
  const found = /^mailto:([^?#]*)(?:\?([^#]*))?/i.exec(href);
  if (!found) return null;
  const list = (text: string): string[] =>
    text
      .split(",")
      .map((address) => unescape(address).trim())
      .filter((address) => address);
  const headers = new Map<string, string>();
  let last = "";
  for (const header of (found[2] ?? "").split("&")) {
    const at = header.indexOf("=");
    if (at > 0) {
      last = header.slice(0, at).toLowerCase();
      headers.set(last, header.slice(at + 1));
      // "A & B" was meant as one value: what names no header goes on from the one before.
    } else if (last) headers.set(last, `${headers.get(last)}%26${header}`);
  }
  const to = [...list(found[1] ?? ""), ...list(headers.get("to") ?? "")];
  if (to.length === 0 || !to.every(isMailAddress)) return null;
  return {
    to,
    cc: list(headers.get("cc") ?? "").filter(isMailAddress),
    subject: unescape(headers.get("subject") ?? ""),
    body: unescape(headers.get("body") ?? "").replace(/\r\n?/g, "\n"),
  };
}
