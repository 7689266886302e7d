/** Archives read: what an archive lists is compared with what it holds before anything is made of it. */
import { createHash } from "node:crypto";
import { buffer } from "node:stream/consumers";
import type { Readable } from "node:stream";
import { openPromise, type Entry, type ZipFile } from "yauzl";
import {
  contentsList,
  databaseEntry,
  listEntry,
  type ContentsList,
  type ListedEntry,
} from "./archive-entries";

/** An archive that is none, or is not whole. The message says what is wrong, without the file's name. */
export class ArchiveError extends Error {
  constructor(message: string, options?: ErrorOptions) {
    super(message, options);
    this.name = "ArchiveError";
  }
}

/** A list of 100,000 pictures is 15 MB. */
const longestList = 64 * 2 ** 20;

export interface Archive {
  readonly list: ContentsList;
  readonly has: (name: string) => boolean;
  /** Throws an {@link ArchiveError} where there is no such entry. */
  readonly stream: (name: string) => Promise<Readable>;
  readonly read: (name: string) => Promise<Buffer>;
  readonly close: () => void;
}

const onlyNotWhole = (error: unknown): never => {
  const { code, message } = error as NodeJS.ErrnoException;
  // What the system says of the file is no matter of the archive.
  if (code !== undefined || error instanceof ArchiveError) throw error;
  throw new ArchiveError(`is no archive of Still Line, or not a whole one: ${message}`, { cause: error });
};

async function readList(zip: ZipFile, entry: Entry | undefined): Promise<ContentsList> {
  if (!entry) throw new ArchiveError("is no archive of Still Line: it holds no list of its contents");
  if (entry.uncompressedSize > longestList) throw new ArchiveError("lists more than an archive can hold");
  const text = (await buffer(await zip.openReadStreamPromise(entry))).toString("utf8");
  try {
    return await contentsList.validate(JSON.parse(text), { strict: true });
  } catch (error) {
    throw new ArchiveError("lists its contents in a way that this Still Line does not know", {
      cause: error,
    });
  }
}

async function sumOf(stream: Readable, name: string): Promise<ListedEntry> {
  const hash = createHash("sha256");
  let bytes = 0;
  for await (const chunk of stream as AsyncIterable<Buffer>) {
    hash.update(chunk);
    bytes += chunk.length;
  }
  return { name, bytes, sha256: hash.digest("hex") };
}

/** Opens an archive without reading its pictures. Throws an {@link ArchiveError} for what is none. */
export async function openArchive(file: string): Promise<Archive> {
  const zip = await openPromise(file, { autoClose: false }).catch(onlyNotWhole);
  try {
    const entries = new Map<string, Entry>();
    for await (const entry of zip.eachEntry()) entries.set(entry.fileName, entry);
    const list = await readList(zip, entries.get(listEntry));
    const stream = (name: string): Promise<Readable> => {
      const entry = entries.get(name);
      if (!entry) throw new ArchiveError(`lists ${name} and does not hold it`);
      return zip.openReadStreamPromise(entry);
    };
    return {
      list,
      has: (name) => entries.has(name),
      stream,
      read: async (name) => buffer(await stream(name)),
      close: () => zip.close(),
    };
  } catch (error) {
    zip.close();
    return onlyNotWhole(error);
  }
}

/**
 * Reads every byte of an archive and holds it against its list. Throws an {@link ArchiveError} that names the first entry that is
 * missing or another than was written; `read` is told after each.
 */
export async function verifyArchive(archive: Archive, read: () => void = () => undefined): Promise<void> {
  if (!archive.list.entries.some(({ name }) => name === databaseEntry))
    throw new ArchiveError("holds no database");
  for (const listed of archive.list.entries) {
    const found = await archive
      .stream(listed.name)
      .then((stream) => sumOf(stream, listed.name))
      .catch((error: unknown) => {
        if (error instanceof ArchiveError) throw error;
        throw new ArchiveError(`is damaged: ${listed.name} cannot be read`, { cause: error });
      });
    if (found.bytes !== listed.bytes || found.sha256 !== listed.sha256)
      throw new ArchiveError(`is damaged: ${listed.name} is not what was written`);
    read();
  }
}
