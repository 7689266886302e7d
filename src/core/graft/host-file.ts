/**
 * The files in which mail clients keep a signature, known by what is in them and written again in their own form: a page, a
 * web archive (a binary or an XML property list), or a small MIME entity. What a client keeps beside the HTML stays as it is.
 */
import type { Extent } from "../html";
import { PlistError } from "../plist";
import type { Edit } from "./byte-text";
import { GraftError } from "./graft-error";
import { archiveHost, listedHost } from "./hosts/archive";
import { entityHost } from "./hosts/entity";
import { pageHost } from "./hosts/page";
import { writtenLines, type WrittenLine } from "./written-lines";

/** A picture that is put in with a signature. */
export interface GraftedPicture {
  /** Where the signature's HTML says that it lies. */
  readonly address: string;
  /** Such as "image/png". */
  readonly type: string;
  readonly bytes: Uint8Array;
}

export type HostForm = "page" | "archive" | "listed" | "entity";

/** What a form of file is, and how to write into it. */
export interface HostText {
  readonly form: HostForm;
  /** The HTML that is in it. */
  readonly html: string;
  /** Of the HTML. */
  readonly encoding: string;
  /** Whether it can hold pictures itself. */
  readonly holdsPictures: boolean;
  /** The whole file with the HTML edited. Pictures are left out where it holds none. */
  readonly written: (edits: readonly Edit[], pictures: readonly GraftedPicture[]) => Uint8Array;
}

export interface HostFile extends HostText {
  readonly lines: readonly WrittenLine[];
  /** What a signature is all of, where the file holds nothing else. */
  readonly body: Extent;
}

/** What a file is asked for first; each leaves to the next what is not its own. */
const readers: readonly ((bytes: Uint8Array) => HostText | null)[] = [
  archiveHost,
  listedHost,
  entityHost,
  pageHost,
];

const largest = 10 * 1024 * 1024;

/** The HTML between the tags of the body; all of it where there are none. */
function bodyIn(html: string): Extent {
  const begin = /<body(?:\s[^>]*)?>/i.exec(html);
  const from = begin ? begin.index + begin[0].length : 0;
  const end = html.toLowerCase().lastIndexOf("</body");
  return { from, to: end >= from ? end : html.length };
}

/** Reads a client's own file. Throws a GraftError that can be shown for what is none. */
export function readHost(bytes: Uint8Array): HostFile {
  if (bytes.length === 0)
    throw new GraftError(
      "This file is empty: write one word into the signature there, and close the program.",
    );
  if (bytes.length > largest) throw new GraftError("This file is over 10 MB: no client’s signature is.");
  try {
    for (const reader of readers) {
      const host = reader(bytes);
      if (host) return { ...host, lines: writtenLines(host.html), body: bodyIn(host.html) };
    }
  } catch (error) {
    if (error instanceof PlistError) throw new GraftError(error.message);
    throw error;
  }
  throw new GraftError(
    "This is no file that a mail client keeps a signature in: a page, a web archive or a small message is.",
  );
}
