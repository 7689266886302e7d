/** How each destination's text is kept as a file: its ending, its kind, and what tells readers that it is UTF-8 (RFC 3629). */
import type { DestinationId } from "../signature";

export interface FileForm {
  /** With its dot. */
  readonly ending: string;
  /** With the character set, as browsers are told. */
  readonly type: string;
  /** Whether a byte order mark begins it. */
  readonly byteOrderMark: boolean;
  readonly reason: string;
}

const html = "text/html;charset=utf-8";

export const fileForms: Readonly<Record<DestinationId, FileForm>> = {
  "webmail-paste": {
    ending: ".html",
    type: html,
    byteOrderMark: true,
    reason: "a fragment has no head that could say its character set",
  },
  "document-file": {
    ending: ".htm",
    type: html,
    byteOrderMark: false,
    reason: "it holds ASCII and references only, and some document engines show a mark as letters",
  },
  "browser-archive": { ending: ".html", type: html, byteOrderMark: false, reason: "its head says it" },
  "html-file": { ending: ".html", type: html, byteOrderMark: false, reason: "its head says it" },
  message: {
    ending: ".html",
    type: html,
    byteOrderMark: true,
    reason: "a fragment has no head that could say its character set",
  },
  "plain-text": {
    ending: ".txt",
    type: "text/plain;charset=utf-8",
    byteOrderMark: true,
    reason: "nothing else in plain text says its character set, and desktop clients guess",
  },
};

/** The text as it stands in its file. */
export const fileText = (text: string, destination: DestinationId): string =>
  fileForms[destination].byteOrderMark ? `\ufeff${text}` : text;

/** A name that every disk takes, in small letters and with its ending: "Short, for answers" is "short-for-answers.htm". */
export const fileNameOf = (name: string, ending: string): string =>
  `${
    name
      .toLowerCase()
      .normalize("NFKD")
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-+|-+$/g, "") || "signature"
  }${ending}`;
