/**
 * Archives with names of the client's own. It reads them when it is opened and writes what it read when it is closed, so what
 * was changed on the disk in between is lost: the commonest reason why a signature that was put in is not there.
 */
import { readHost, GraftError } from "../graft";
import { attributeOf, parseMessage, setAttribute, walkElements, writeParts } from "../html";
import { PlistError, readBinaryPlist, writeBinaryPlist } from "../plist";
import { contentIdOf } from "./content-ids";
import type { HeldSignature } from "../desks";

/** One archive: on the disk, and as the running program has it. */
export interface DeskArchive {
  readonly path: string;
  readonly name: string;
  readonly bytes: Uint8Array;
  /** What it was when the program read it; null while the program is closed. */
  readonly held: Uint8Array | null;
}

const same = (one: Uint8Array, other: Uint8Array): boolean =>
  one.length === other.length && one.every((byte, at) => byte === other[at]);

/** The program reads every archive. */
export const opened = (archives: readonly DeskArchive[]): readonly DeskArchive[] =>
  archives.map((archive) => ({ ...archive, held: archive.bytes }));

export interface Closing {
  readonly archives: readonly DeskArchive[];
  /** The names of those that had been replaced on the disk meanwhile, and were written over. */
  readonly lost: readonly string[];
}

/** The program writes what it holds over what is on the disk, whatever that is by now. */
export function closed(archives: readonly DeskArchive[]): Closing {
  return {
    archives: archives.map((archive) => ({ ...archive, bytes: archive.held ?? archive.bytes, held: null })),
    lost: archives.filter(({ held, bytes }) => held && !same(held, bytes)).map(({ name }) => name),
  };
}

/** What the program writes for a signature that has just been made: an archive with an empty line in it. */
export const emptyArchive = (): Uint8Array =>
  writeBinaryPlist({
    WebMainResource: {
      WebResourceData: new TextEncoder().encode("<html><body><div><br></div></body></html>"),
      WebResourceFrameName: "",
      WebResourceMIMEType: "text/html",
      WebResourceTextEncodingName: "UTF-8",
      WebResourceURL: "about:blank",
    },
  });

interface Resource {
  readonly url: string;
  readonly type: string;
  readonly bytes: Uint8Array;
}

const isResource = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === "object" && value !== null;

/** The pictures in a web archive that is a binary property list; none where it is something else. */
export function archivePictures(bytes: Uint8Array): readonly Resource[] {
  try {
    const archive = readBinaryPlist(bytes);
    const listed = isResource(archive) ? archive.WebSubresources : null;
    return (Array.isArray(listed) ? (listed as readonly unknown[]) : [])
      .filter(isResource)
      .flatMap((each) => {
        const { WebResourceURL: url, WebResourceMIMEType: type, WebResourceData: data } = each;
        return typeof url === "string" && typeof type === "string" && data instanceof Uint8Array
          ? [{ url, type, bytes: data }]
          : [];
      });
  } catch (error) {
    if (error instanceof PlistError) return [];
    throw error;
  }
}

/** Where a picture of an archive lies among the client's files. */
const pathInArchive = (archive: string, url: string): string => `${archive}/${url}`;

/** A signature as the program has it: what it read when it was opened. */
export function readArchive({ path, name, held }: DeskArchive, client: string): HeldSignature {
  const nothing = { id: path, name, html: "", pictures: {} };
  if (!held) return { ...nothing, complaints: [] };
  try {
    const { body } = parseMessage(readHost(held).html);
    const urls = new Set(archivePictures(held).map(({ url }) => url));
    const pictures: Record<string, string> = {};
    walkElements(body, (element) => {
      const source = element.tagName === "img" ? attributeOf(element, "src") : null;
      if (source === null || !urls.has(source)) return;
      const id = contentIdOf(pathInArchive(path, source), client);
      pictures[id] = pathInArchive(path, source);
      setAttribute(element, "src", `cid:${id}`);
    });
    return { ...nothing, html: writeParts(body).trim(), pictures, complaints: [] };
  } catch (error) {
    if (!(error instanceof GraftError)) throw error;
    return { ...nothing, complaints: [`“${name}” cannot be read: its file is none of ours any more.`] };
  }
}
