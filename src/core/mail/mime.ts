/**
 * Messages as MIME entities (RFC 2045 to 2047, RFC 5322): headers in ASCII, text as quoted-printable, everything else as
 * base64. The same parts always give the same bytes: a boundary is the first of a row that is in none of
 * the parts.
 */
import { bytesOf, lettersOf } from "../values";

export interface Entity {
  /** In their order; values are encoded where they are not ASCII. */
  readonly headers: readonly (readonly [name: string, value: string])[];
  /** The lines after the headers, with CR LF. */
  readonly body: string;
}

const crlf = "\r\n";
const longestLine = 76;

/** A header's value: words of it that are not ASCII as encoded words, and nothing that could begin another header. */
export function headerValue(text: string): string {
  const plain = text.replace(/[\u0000-\u001f\u007f]+/g, " ").trim();
  if (/^[\x20-\x7e]*$/.test(plain)) return plain;
  const words: string[] = [];
  let word = "";
  // An encoded word is at most 75 characters, so at most 45 bytes of text.
  for (const letter of plain) {
    if (new TextEncoder().encode(word + letter).length > 42) {
      words.push(word);
      word = "";
    }
    word += letter;
  }
  words.push(word);
  return words.map((each) => `=?UTF-8?B?${base64(new TextEncoder().encode(each))}?=`).join(`${crlf} `);
}

export const base64 = (bytes: Uint8Array): string => btoa(lettersOf(bytes));

/** The bytes of base64 (RFC 4648), white space in it left out. Null for what is none. */
export function bytesOfBase64(text: string): Uint8Array | null {
  try {
    return bytesOf(atob(text.replace(/\s+/g, "")));
  } catch {
    return null;
  }
}

/** The bytes of quoted-printable (RFC 2045, 6.7), given as its bytes; what is not written by its rules stays as it is. */
export function bytesOfQuotedPrintable(written: Uint8Array): Uint8Array {
  const read = lettersOf(written)
    .replace(/[ \t]+(?=\r?\n|$)/g, "")
    .replace(/=\r?\n/g, "")
    .replace(/=([0-9a-f]{2})/gi, (_all, code: string) => String.fromCharCode(parseInt(code, 16)));
  return bytesOf(read);
}

/** Bytes as quoted-printable (RFC 2045, 6.7), in lines of at most 76 characters; CR LF, CR and LF end lines. */
export function quotedPrintableBytes(bytes: Uint8Array): string {
  let written = "";
  let length = 0;
  bytes.forEach((byte, at) => {
    const next = bytes[at + 1];
    if (byte === 10 || byte === 13) {
      if (byte === 10 && bytes[at - 1] === 13) return;
      written += crlf;
      length = 0;
      return;
    }
    const last = next === undefined || next === 10 || next === 13;
    const plain = (byte >= 33 && byte <= 126 && byte !== 61) || ((byte === 32 || byte === 9) && !last);
    const piece = plain ? String.fromCharCode(byte) : `=${byte.toString(16).toUpperCase().padStart(2, "0")}`;
    if (length + piece.length > longestLine - 1) {
      written += `=${crlf}`;
      length = 0;
    }
    written += piece;
    length += piece.length;
  });
  return written;
}

/** Text as quoted-printable in UTF-8. */
export const quotedPrintable = (text: string): string => quotedPrintableBytes(new TextEncoder().encode(text));

/** A text part in UTF-8. */
export const textEntity = (type: "plain" | "html", text: string, more: Entity["headers"] = []): Entity => ({
  headers: [
    ["Content-Type", `text/${type}; charset=utf-8`],
    ["Content-Transfer-Encoding", "quoted-printable"],
    ...more,
  ],
  body: quotedPrintable(text),
});

/** A part of bytes, such as a picture. */
export const bytesEntity = (type: string, bytes: Uint8Array, more: Entity["headers"] = []): Entity => ({
  headers: [["Content-Type", type], ["Content-Transfer-Encoding", "base64"], ...more],
  body: (base64(bytes).match(/.{1,76}/g) ?? []).join(crlf),
});

/** The entity as it is sent. */
export const writeEntity = ({ headers, body }: Entity): string =>
  `${headers.map(([name, value]) => `${name}: ${value}${crlf}`).join("")}${crlf}${body}`;

/** Several parts as one (RFC 2046, 5.1); `parameters` of the type are written as they are. */
export function multipart(
  kind: "alternative" | "related",
  parts: readonly Entity[],
  parameters = "",
): Entity {
  const written = parts.map(writeEntity);
  const all = written.join(crlf);
  let number = 1;
  // Quoted-printable text holds no "=_".
  const named = (): string => `=_part-${number}`;
  while (all.includes(named())) number += 1;
  const boundary = named();
  return {
    headers: [["Content-Type", `multipart/${kind};${parameters}${crlf} boundary="${boundary}"`]],
    body: `${written.map((part) => `--${boundary}${crlf}${part}${crlf}`).join("")}--${boundary}--${crlf}`,
  };
}
