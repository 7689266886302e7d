/**
 * A file that somebody has of a signature: HTML, a mail, a page saved with its pictures in one file, a browser's web
 * archive, or a document of ours. What comes out is HTML and the pictures that lie in the file beside it.
 */
import type { Node } from "prosemirror-model";
import PostalMime from "postal-mime";
import { readSignature } from "../../signature";
import { PlistError, readBinaryPlist, type PlistValue } from "../../plist";
import { bytesOf, lettersOf } from "../../values";
import { decodeText } from "./decode-text";

/** A picture that came along in a file. */
export interface BroughtPicture {
  readonly name: string;
  readonly type: string;
  readonly bytes: Uint8Array;
}

export interface FileReading {
  readonly kind: "html" | "mail" | "archive" | "document";
  readonly html: string;
  /** Set for a document of ours. */
  readonly document: Node | null;
  /** By the addresses that the HTML names them with. */
  readonly pictures: ReadonlyMap<string, BroughtPicture>;
  /** Whether it is a whole message, in which a signature has to be found. */
  readonly isMessage: boolean;
}

/** The largest file that is read; bytes. */
export const largestImport = 25 * 1024 * 1024;

/** A file that cannot be read, with a sentence for people. */
export class ImportFileError extends Error {}

const none: ReadonlyMap<string, BroughtPicture> = new Map();

const asHtml = (text: string): FileReading => ({
  kind: "html",
  html: text,
  document: null,
  pictures: none,
  isMessage: false,
});

const escaped = (text: string): string =>
  text.replaceAll("&", "&amp;").replaceAll("<", "&lt;").replaceAll(">", "&gt;");

/** Plain text as HTML that shows the same lines. */
export const htmlOfText = (text: string): string =>
  `<div style="white-space:pre-wrap">${escaped(text.replace(/\r\n?/g, "\n"))}</div>`;

const contentBytes = (content: unknown): Uint8Array | null => {
  if (content instanceof Uint8Array) return content;
  if (content instanceof ArrayBuffer) return new Uint8Array(content);
  return typeof content === "string" ? new TextEncoder().encode(content) : null;
};

const header = (block: string, name: string): string | null =>
  new RegExp(`^${name}:[ \\t]*(\\S[^\\r\\n]*(?:\\r?\\n[ \\t][^\\r\\n]*)*)`, "im")
    .exec(block)?.[1]
    ?.replace(/\s+/g, "") ?? null;

interface Located {
  readonly bytes: Uint8Array;
  /** The addresses that parts had, by their ids. */
  readonly locations: ReadonlyMap<string, string>;
}

/** A saved page names its parts by the addresses that they had (RFC 2557); each gets an id, which the parser hands on. */
function withIds(bytes: Uint8Array): Located {
  const raw = lettersOf(bytes);
  const locations = new Map<string, string>();
  if (!/^content-location:/im.test(raw)) return { bytes, locations };
  const written = raw
    .split(/(\r?\n\r?\n)/)
    .map((block, index) => {
      const location = index % 2 === 0 ? header(block, "content-location") : null;
      if (location === null) return block;
      const id = header(block, "content-id")?.replace(/^<|>$/g, "");
      const own = id ?? `part-${index}@still-line.example`;
      locations.set(own, location);
      return id === undefined ? `${block}\r\nContent-ID: <${own}>` : block;
    })
    .join("");
  return { bytes: bytesOf(written), locations };
}

/** A MIME message (RFC 5322, RFC 2387): a mail, or a page with what belongs to it. */
async function readMime(bytes: Uint8Array, isMessage: boolean): Promise<FileReading> {
  const located = withIds(bytes);
  const mail = await PostalMime.parse(located.bytes, { attachmentEncoding: "arraybuffer" });
  const pictures = new Map<string, BroughtPicture>();
  let page: string | null = null;
  mail.attachments.forEach((attachment, index) => {
    const content = contentBytes(attachment.content);
    if (!content) return;
    if (page === null && attachment.mimeType === "text/html") page = decodeText(content);
    if (!attachment.mimeType.startsWith("image/")) return;
    const id = attachment.contentId?.replace(/^<|>$/g, "");
    const location = id === undefined ? undefined : located.locations.get(id);
    const picture = {
      name: attachment.filename ?? ((location && nameOf(location)) || `picture-${index + 1}`),
      type: attachment.mimeType,
      bytes: content,
    };
    if (id) pictures.set(`cid:${id}`, picture);
    if (location) pictures.set(location, picture);
    if (attachment.filename) pictures.set(attachment.filename, picture);
  });
  const html = mail.html ?? page ?? (mail.text ? htmlOfText(mail.text) : null);
  if (html === null) throw new ImportFileError("This mail holds no text that could be read.");
  return { kind: isMessage ? "mail" : "archive", html, document: null, pictures, isMessage };
}

const isRecord = (value: PlistValue | undefined): value is Readonly<Record<string, PlistValue>> =>
  typeof value === "object" && value !== null && !Array.isArray(value) && !(value instanceof Uint8Array);

const nameOf = (address: string): string =>
  decodeURIComponentSafely(address.split(/[?#]/, 1)[0]?.split("/").pop() ?? "");

function decodeURIComponentSafely(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}

/** A web archive: a main resource, and what it shows by address. */
function readArchive(bytes: Uint8Array): FileReading {
  const archive = readBinaryPlist(bytes);
  const main = isRecord(archive) ? archive.WebMainResource : undefined;
  const data = isRecord(main) ? main.WebResourceData : undefined;
  if (!(data instanceof Uint8Array)) throw new ImportFileError("This web archive holds no page.");
  const pictures = new Map<string, BroughtPicture>();
  const parts = isRecord(archive) && Array.isArray(archive.WebSubresources) ? archive.WebSubresources : [];
  for (const part of parts as readonly PlistValue[]) {
    if (!isRecord(part)) continue;
    const { WebResourceData: content, WebResourceURL: address, WebResourceMIMEType: type } = part;
    if (!(content instanceof Uint8Array) || typeof address !== "string") continue;
    if (typeof type !== "string" || !type.startsWith("image/")) continue;
    const picture = { name: nameOf(address) || "picture", type, bytes: content };
    pictures.set(address, picture);
    pictures.set(nameOf(address), picture);
  }
  return { kind: "archive", html: decodeText(data), document: null, pictures, isMessage: false };
}

/** A document of ours, as it is kept and as the command line reads it. */
function readOwn(text: string): FileReading {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    throw new ImportFileError("This file is neither a signature of Still Line nor HTML.");
  }
  const reading = readSignature(json);
  if (!reading.ok) {
    const [problem] = reading.problems;
    throw new ImportFileError(
      `This is no signature of Still Line: ${problem ? `${problem.at}: ${problem.message}` : "it is empty"}.`,
    );
  }
  return { kind: "document", html: "", document: reading.document, pictures: none, isMessage: false };
}

const endingOf = (name: string): string => /\.([a-z0-9]+)$/i.exec(name)?.[1]?.toLowerCase() ?? "";

const startsWith = (bytes: Uint8Array, text: string): boolean =>
  [...text].every((character, index) => bytes[index] === character.charCodeAt(0));

/** Headers come first in a mail, whatever its file is called. */
const looksLikeMail = (text: string): boolean =>
  /^(?:[!-9;-~]+:[^\n]*\r?\n(?:[ \t][^\n]*\r?\n)*){2,}\r?\n/.test(text.slice(0, 20_000)) &&
  !/^\s*</.test(text);

/**
 * Reads a file by what is in it; its name only helps where that is not clear. Rejects with an ImportFileError that can be
 * shown for what is too large, damaged or something else.
 */
export async function readImportFile(name: string, bytes: Uint8Array): Promise<FileReading> {
  if (bytes.length > largestImport)
    throw new ImportFileError("This file is over 25 MB: a signature is far smaller.");
  if (bytes.length === 0) throw new ImportFileError("This file is empty.");
  if (startsWith(bytes, "bplist")) {
    try {
      return readArchive(bytes);
    } catch (error) {
      if (error instanceof PlistError) throw new ImportFileError(error.message);
      throw error;
    }
  }
  const ending = endingOf(name);
  if (
    bytes[0] === 0x89 ||
    startsWith(bytes, "GIF8") ||
    (bytes[0] === 0xff && bytes[1] === 0xd8) ||
    startsWith(bytes, "%PDF") ||
    startsWith(bytes, "PK")
  )
    throw new ImportFileError("This is no HTML and no mail. Pictures are placed on the Bench.");
  const text = decodeText(bytes);
  if (/^\s*\{/.test(text) && (ending === "json" || /^\s*\{\s*"/.test(text))) return readOwn(text);
  if (ending === "eml" || looksLikeMail(text)) {
    const saved =
      /^content-type:\s*multipart\/related/im.test(text.slice(0, 5000)) && /\.mht(ml)?$/i.test(name);
    return readMime(bytes, !saved && !/^(mht|mhtml)$/.test(ending));
  }
  if (ending === "mht" || ending === "mhtml") return readMime(bytes, false);
  if (ending === "txt" || !/<[a-z!/?]/i.test(text)) return asHtml(htmlOfText(text));
  return asHtml(text);
}
