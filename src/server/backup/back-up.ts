/**
 * One archive of a data folder, made while the application may run. The database is taken as it is at one moment (sqlite.org/lang_vacuum.html,
 * VACUUM INTO: a transaction that reads), the pictures after it: they never change, and what came later is not named by it.
 */
import { createHash, randomUUID } from "node:crypto";
import { createReadStream, createWriteStream } from "node:fs";
import { access, readFile, rename, rm, stat, writeFile } from "node:fs/promises";
import path from "node:path";
import { Readable } from "node:stream";
import { finished, pipeline } from "node:stream/promises";
import { sql } from "drizzle-orm";
import { ZipFile } from "yazl";
import { checkNotNewer, checkSound } from "../database/check-folder";
import { databaseIn, openReader } from "../database/database";
import { contentHash } from "../imaging/content-hash";
import type { PictureStore } from "../store/picture-store";
import {
  databaseEntry,
  entryOf,
  keysNamedBy,
  listEntry,
  listForm,
  otherEntries,
  type ContentsList,
  type ListedEntry,
} from "./archive-entries";
import { ArchiveError, openArchive, verifyArchive } from "./read-archive";

export interface BackupOptions {
  /** The data folder. */
  readonly folder: string;
  readonly store: PictureStore;
  readonly signal?: AbortSignal;
  /** Told as it goes on: how many of all entries are written, and then read back. */
  readonly onStep?: (step: "written" | "read back", done: number, all: number) => void;
}

export interface BackedUp {
  readonly pictures: number;
  /** Of the archive. */
  readonly bytes: number;
  /** Entries whose bytes the store does not hold, or holds damaged. */
  readonly missing: readonly string[];
}

const isThere = (file: string): Promise<boolean> =>
  access(file).then(
    () => true,
    () => false,
  );

/** A copy of the database as it is now. */
async function snapshot(folder: string, file: string): Promise<void> {
  const database = await openReader(databaseIn(folder));
  try {
    await checkNotNewer(database, databaseIn(folder));
    await checkSound(database, databaseIn(folder));
    await database.run(sql`PRAGMA query_only = OFF`);
    await database.run(sql`VACUUM INTO ${file}`);
  } finally {
    database.$client.close();
  }
}

async function keysIn(file: string): ReturnType<typeof keysNamedBy> {
  const database = await openReader(file);
  try {
    return await keysNamedBy(database);
  } finally {
    database.$client.close();
  }
}

/** Writes entries one after another, as fast as the file takes them, and notes what each is. */
function entryWriter(zip: ZipFile) {
  const listed: ListedEntry[] = [];
  const add = async (name: string, source: Readable, compress: boolean): Promise<void> => {
    const hash = createHash("sha256");
    let bytes = 0;
    const through = Readable.from(
      (async function* () {
        for await (const chunk of source as AsyncIterable<Buffer>) {
          hash.update(chunk);
          bytes += chunk.length;
          yield chunk;
        }
      })(),
      { objectMode: false },
    );
    zip.addReadStream(through, name, { compress, mode: 0o100600 });
    await finished(through);
    listed.push({ name, bytes, sha256: hash.digest("hex") });
  };
  return { listed, add };
}

/** Pictures are packed already. */
async function addEverything(zip: ZipFile, database: string, options: BackupOptions): Promise<string[]> {
  const { folder, store, signal, onStep } = options;
  const { listed, add } = entryWriter(zip);
  const keys = new Map((await keysIn(database)).map((key) => [entryOf(key), key]));
  const missing: string[] = [];
  await add(databaseEntry, createReadStream(database), true);
  for (const name of otherEntries) {
    const bytes = await readFile(path.join(folder, name)).catch(() => null);
    if (bytes) await add(name, Readable.from([bytes]), true);
  }
  let done = 0;
  for (const [name, key] of keys) {
    signal?.throwIfAborted();
    const bytes = await store.get(key);
    if (bytes && contentHash(bytes) === key.hash) await add(name, Readable.from([bytes]), false);
    else missing.push(name);
    onStep?.("written", ++done, keys.size);
  }
  const list: ContentsList = { form: listForm, madeAt: new Date().toISOString(), entries: listed };
  zip.addBuffer(Buffer.from(`${JSON.stringify(list, null, 1)}\n`), listEntry, { mode: 0o100600 });
  zip.end();
  return missing;
}

async function write<T>(file: string, add: (zip: ZipFile) => Promise<T>): Promise<T> {
  const zip = new ZipFile();
  const ending = new AbortController();
  const output = createWriteStream(file, { mode: 0o600, flush: true });
  const written = pipeline(zip.outputStream, output, { signal: ending.signal });
  try {
    const [added] = await Promise.all([add(zip), written]);
    return added;
  } catch (error) {
    ending.abort();
    await written.catch(() => undefined);
    throw error;
  }
}

async function readBack(file: string, { signal, onStep }: BackupOptions): Promise<number> {
  const archive = await openArchive(file);
  try {
    const { entries } = archive.list;
    let done = 0;
    await verifyArchive(archive, () => {
      signal?.throwIfAborted();
      onStep?.("read back", ++done, entries.length);
    });
    return entries.filter(({ name }) => name.startsWith("pictures/")).length;
  } finally {
    archive.close();
  }
}

/**
 * Writes an archive of a data folder, reads it back, and only then gives it its name. Throws an {@link ArchiveError} where the file is
 * there already or the folder holds no database, a `DataTrouble` for a database that is not in order, and the signal's reason when it
 * is stopped; nothing is left behind then.
 */
export async function backUp(file: string, options: BackupOptions): Promise<BackedUp> {
  if (await isThere(file)) throw new ArchiveError("is there already: name another file");
  if (!(await isThere(databaseIn(options.folder))))
    throw new ArchiveError(`cannot be written: ${options.folder} holds no database of Still Line`);
  const part = `${file}.part-${randomUUID()}`;
  const database = `${part}.db`;
  try {
    // What the system says of the place comes from the system.
    await writeFile(part, "", { mode: 0o600 });
    await snapshot(options.folder, database);
    const missing = await write(part, (zip) => addEverything(zip, database, options));
    const pictures = await readBack(part, options);
    await rename(part, file);
    return { pictures, bytes: (await stat(file)).size, missing };
  } finally {
    for (const left of [part, database, `${database}-wal`, `${database}-shm`])
      await rm(left, { force: true });
  }
}
