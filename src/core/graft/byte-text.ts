/**
 * A text that is changed in its bytes: what is put in is written in the text's own encoding, and every byte around it stays
 * what it was, whether it is text of that encoding or not.
 */
import type { Extent } from "../html";
import { encodingOf } from "../importing";
import { joinBytes } from "../values";

/** What stands in a place is replaced by ASCII. Edits do not overlap. */
export interface Edit extends Extent {
  readonly text: string;
}

export interface ByteText {
  /** With its byte order mark, where it has one. */
  readonly text: string;
  /** A label of the Encoding Standard, such as "windows-1252". */
  readonly encoding: string;
  /** The bytes with the edits made; what is put in gets the line ends of the text. Throws a RangeError for more than ASCII. */
  readonly edited: (edits: readonly Edit[]) => Uint8Array;
}

const wide = (encoding: string): boolean => encoding.startsWith("utf-16");

/** Where each UTF-16 unit of the text begins in the bytes, for encodings that are read a byte at a time. */
function beginnings(bytes: Uint8Array, encoding: string): Uint32Array {
  const decoder = new TextDecoder(encoding, { ignoreBOM: true });
  const found: number[] = [];
  let from = 0;
  for (let at = 0; at < bytes.length; at++) {
    const { length } = decoder.decode(bytes.subarray(at, at + 1), { stream: true });
    if (length === 0) continue;
    found.push(from);
    for (let more = 1; more < length; more++) found.push(at);
    from = at + 1;
  }
  if (decoder.decode().length > 0) found.push(from);
  return Uint32Array.from(found);
}

/** The byte at which a place in the text begins. */
function bytePlaces(bytes: Uint8Array, text: string, encoding: string): (at: number) => number {
  if (wide(encoding)) return (at) => at * 2;
  if (text.length === bytes.length) return (at) => at;
  if (encoding === "utf-8") return (at) => new TextEncoder().encode(text.slice(0, at)).length;
  const begins = beginnings(bytes, encoding);
  return (at) => begins[at] ?? bytes.length;
}

export type LineEnd = "\r\n" | "\n" | "\r";

/** The line end that most lines of a text have; `none` where it is one line. */
export function lineEndOf(text: string, none: LineEnd = "\n"): LineEnd {
  const all = text.match(/\r\n|\n|\r/g) ?? [];
  if (all.length === 0) return none;
  const count = (end: string): number => all.filter((each) => each === end).length;
  const [both, feeds, returns] = [count("\r\n"), count("\n"), count("\r")];
  if (both > 0 && both >= feeds && both >= returns) return "\r\n";
  return returns > feeds ? "\r" : "\n";
}

function asciiBytes(text: string, encoding: string): Uint8Array {
  if (!/^[\x00-\x7f]*$/.test(text)) throw new RangeError("what is put in must be ASCII");
  const units = Array.from(text, (letter) => letter.charCodeAt(0));
  if (encoding === "utf-16le") return Uint8Array.from(units.flatMap((unit) => [unit, 0]));
  if (encoding === "utf-16be") return Uint8Array.from(units.flatMap((unit) => [0, unit]));
  return Uint8Array.from(units);
}

/** Reads bytes as text in the encoding that they say or show, or in `known`; `lineEnd` ends lines where it has none. Never throws. */
export function byteText(bytes: Uint8Array, known?: string, lineEnd?: LineEnd): ByteText {
  let encoding = known ?? encodingOf(bytes);
  let text: string;
  try {
    text = new TextDecoder(encoding, { ignoreBOM: true, fatal: encoding === "utf-8" }).decode(bytes);
  } catch {
    // Not what it says that it is: a byte at a time, nothing is lost.
    encoding = "windows-1252";
    text = new TextDecoder(encoding).decode(bytes);
  }
  const edited = (edits: readonly Edit[]): Uint8Array => {
    const place = bytePlaces(bytes, text, encoding);
    const end = lineEndOf(text, lineEnd);
    const parts: Uint8Array[] = [];
    let from = 0;
    for (const edit of [...edits].sort((one, other) => one.from - other.from)) {
      parts.push(bytes.subarray(from, place(edit.from)));
      parts.push(asciiBytes(edit.text.replace(/\r\n|\r|\n/g, end), encoding));
      from = place(edit.to);
    }
    parts.push(bytes.subarray(from));
    return joinBytes(parts);
  };
  return { text, encoding, edited };
}
