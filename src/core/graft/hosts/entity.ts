/** A small MIME entity (RFC 2045): lines of headers, then the HTML in some transfer encoding. */
import { wordTable } from "../../values";
import { readTags } from "../../html";
import { base64, bytesOfBase64, bytesOfQuotedPrintable, quotedPrintableBytes } from "../../mail";
import { bytesOf, joinBytes, lettersOf } from "../../values";
import { byteText, lineEndOf, type Edit, type LineEnd } from "../byte-text";
import { GraftError } from "../graft-error";
import type { HostText } from "../host-file";

interface Headers {
  readonly values: ReadonlyMap<string, string>;
  /** Where the body begins. */
  readonly end: number;
  /** As the lines of headers end. */
  readonly lineEnd: LineEnd;
}

/** At the beginning of a file; null where no headers are. One byte is one letter here. */
function readHeaders(bytes: Uint8Array): Headers | null {
  const text = lettersOf(bytes.subarray(0, 64 * 1024));
  const found = /^(?:[!-9;-~]+:[^\r\n]*(?:\r\n|\r|\n)(?:[ \t][^\r\n]*(?:\r\n|\r|\n))*)+(?:\r\n|\r|\n)/.exec(
    text,
  );
  if (!found) return null;
  const [block] = found;
  const lineEnd = lineEndOf(block);
  const values = new Map<string, string>();
  for (const line of block.replace(/(?:\r\n|\r|\n)[ \t]+/g, " ").split(/\r\n|\r|\n/)) {
    const [, name, value] = /^([^:]+):\s*(.*)$/.exec(line) ?? [];
    if (name !== undefined && value !== undefined) values.set(name.toLowerCase(), value.trim());
  }
  return { values, end: block.length, lineEnd };
}

/** The longest line that a message may have, its end left out (RFC 5322, 2.1.1). */
const longestLine = 998;

/** HTML whose long lines are parted before attributes, where a line end is white space as a blank is. */
function inShortLines(html: string): string {
  let written = "";
  let from = 0;
  /** Where the line began in what is written. */
  let begun = 0;
  const part = (at: number): void => {
    const piece = html.slice(from, at);
    const end = piece.lastIndexOf("\n");
    if (end < 0 && written.length - begun + piece.length > longestLine - 98 && /\s$/.test(written)) {
      written = `${written.slice(0, -1)}\n`;
      begun = written.length;
    }
    if (end >= 0) begun = written.length + end + 1;
    written += piece;
    from = at;
  };
  for (const item of readTags(html).items)
    if ("attributes" in item) for (const attribute of item.attributes) part(attribute.from);
  part(html.length);
  return written;
}

const decoders = wordTable<(body: Uint8Array) => Uint8Array | null>({
  "7bit": (body) => body,
  "8bit": (body) => body,
  binary: (body) => body,
  "quoted-printable": bytesOfQuotedPrintable,
  base64: (body) => bytesOfBase64(lettersOf(body)),
});

/** Null for what does not begin with headers of MIME. Throws a GraftError for what is no single part of HTML. */
export function entityHost(bytes: Uint8Array): HostText | null {
  const headers = readHeaders(bytes);
  const type = headers?.values.get("content-type");
  if (!headers || type === undefined) return null;
  if (!/^text\/html\b/i.test(type))
    throw new GraftError(
      /^text\/plain\b/i.test(type)
        ? "This signature is plain text there: give it one word that is bold, and close the program."
        : "This message has several parts: only one that is HTML alone can be written into.",
    );
  const transfer = (headers.values.get("content-transfer-encoding") ?? "7bit").toLowerCase();
  const body = bytes.subarray(headers.end);
  const content = decoders[transfer]?.(body) ?? null;
  if (!content)
    throw new GraftError(`This message is in a transfer encoding that cannot be read: ${transfer}.`);
  const label = /charset\s*=\s*"?([^";\s]+)/i.exec(type)?.[1];
  const page = byteText(content, knownLabel(label), headers.lineEnd);
  const encode = (html: Uint8Array): Uint8Array => {
    const inLines = (written: string): Uint8Array => bytesOf(written.replace(/\r\n/g, headers.lineEnd));
    if (transfer === "quoted-printable") return inLines(quotedPrintableBytes(html));
    if (transfer === "base64") return inLines(`${(base64(html).match(/.{1,76}/g) ?? []).join("\r\n")}\r\n`);
    return html;
  };
  const written = (edits: readonly Edit[]): Uint8Array => {
    const short = edits.map((edit) => ({ ...edit, text: inShortLines(edit.text) }));
    return joinBytes([bytes.subarray(0, headers.end), encode(page.edited(short))]);
  };
  return { form: "entity", html: page.text, encoding: page.encoding, holdsPictures: false, written };
}

/** US-ASCII may be any text that has it, so that is read as what it turns out to be. */
function knownLabel(label: string | undefined): string | undefined {
  if (label === undefined || /^us-ascii$/i.test(label)) return undefined;
  try {
    return new TextDecoder(label).encoding;
  } catch {
    return undefined;
  }
}
