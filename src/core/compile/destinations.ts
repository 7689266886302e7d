/** Where a signature can go, and what its HTML may hold there. */
import type { DestinationId } from "../signature";

export interface Destination {
  readonly id: DestinationId;
  /** A fragment for pasting, a whole file, or plain text. */
  readonly form: "fragment" | "file" | "plain";
  /** Whether `mso-` properties are read there. */
  readonly documentEngine: boolean;
  /** Whether characters outside ASCII are written as numeric references. */
  readonly numericReferences: boolean;
  readonly reason: string;
}

export const destinations: Readonly<Record<DestinationId, Destination>> = {
  "webmail-paste": {
    id: "webmail-paste",
    form: "fragment",
    documentEngine: false,
    numericReferences: false,
    reason: "pasted into a webmail's settings, which strip heads, classes and unknown properties",
  },
  "document-file": {
    id: "document-file",
    form: "file",
    documentEngine: true,
    numericReferences: true,
    reason: "read from disk by a document engine, which guesses the character set of a file",
  },
  "browser-archive": {
    id: "browser-archive",
    form: "file",
    documentEngine: false,
    numericReferences: false,
    reason: "the main resource of a web archive, drawn by a browser engine",
  },
  "html-file": {
    id: "html-file",
    form: "file",
    documentEngine: false,
    numericReferences: false,
    reason: "attached as a signature file, or opened by itself",
  },
  message: {
    id: "message",
    form: "fragment",
    documentEngine: false,
    numericReferences: false,
    reason: "part of a message body that declares its own character set",
  },
  "plain-text": {
    id: "plain-text",
    form: "plain",
    documentEngine: false,
    numericReferences: false,
    reason: "for messages without HTML",
  },
};

export const destinationIds = Object.keys(destinations) as readonly DestinationId[];
