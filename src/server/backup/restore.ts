/** A data folder made from an archive: whole, or not at all. */
import { randomUUID } from "node:crypto";
import { createWriteStream } from "node:fs";
import { mkdir, readdir, rename, rm, rmdir } from "node:fs/promises";
import path from "node:path";
import { pipeline } from "node:stream/promises";
import { databaseIn, openDatabase } from "../database/database";
import { DataTrouble } from "../database/data-trouble";
import { folderStore } from "../store/folder-store";
import type { PictureStore } from "../store/picture-store";
import { databaseEntry, entryOf, keysNamedBy, otherEntries } from "./archive-entries";
import { ArchiveError, openArchive, verifyArchive, type Archive } from "./read-archive";

export interface RestoreOptions {
  /** A data folder that is not there yet, or is empty. */
  readonly folder: string;
  /** Where pictures go when they are not kept in the folder. */
  readonly bucket: PictureStore | null;
  readonly signal?: AbortSignal;
  readonly onStep?: (step: "read" | "restored", done: number, all: number) => void;
}

export interface Restored {
  readonly pictures: number;
  /** When the archive was made; ISO 8601. */
  readonly madeAt: string;
  /** Entries that the database names and the archive does not hold. */
  readonly missing: readonly string[];
}

async function checkEmpty(folder: string): Promise<void> {
  const found = await readdir(folder).catch((error: NodeJS.ErrnoException) => {
    if (error.code === "ENOENT") return [];
    if (error.code === "ENOTDIR") throw new ArchiveError(`cannot be restored: ${folder} is no folder`);
    throw error;
  });
  if (found.length > 0)
    throw new ArchiveError(`cannot be restored: ${folder} is not empty; name a new folder with --data`);
}

async function restoreInto(
  staging: string,
  archive: Archive,
  { bucket, signal, onStep }: RestoreOptions,
): Promise<readonly string[]> {
  const extract = async (name: string): Promise<void> =>
    pipeline(
      await archive.stream(name),
      createWriteStream(path.join(staging, name), { mode: 0o600, flush: true }),
    );
  await extract(databaseEntry);
  for (const name of otherEntries) if (archive.has(name)) await extract(name);
  const pictures = path.join(staging, "pictures");
  await mkdir(pictures);
  const store = bucket ?? folderStore(pictures);
  // Opened as the application does it: an older one is brought up to date, a newer one refused.
  const database = await openDatabase(databaseIn(staging)).catch((error: unknown) => {
    // The place that it names is gone by the time that somebody reads it.
    if (error instanceof DataTrouble) throw new ArchiveError(`cannot be restored: ${error.title}`);
    throw error;
  });
  const missing: string[] = [];
  try {
    const keys = await keysNamedBy(database);
    let done = 0;
    for (const key of keys) {
      signal?.throwIfAborted();
      const name = entryOf(key);
      if (archive.has(name)) await store.put(key, await archive.read(name));
      else missing.push(name);
      onStep?.("restored", ++done, keys.length);
    }
  } finally {
    database.$client.close();
  }
  return missing;
}

/**
 * Makes a data folder from an archive, after all of it was read and found whole. Throws an {@link ArchiveError} where the archive or the
 * folder is not as it must be, or the database is of a later release; the folder is then as it was.
 */
export async function restore(file: string, options: RestoreOptions): Promise<Restored> {
  const { folder, signal, onStep } = options;
  await checkEmpty(folder);
  const archive = await openArchive(file);
  const staging = `${folder}.restoring-${randomUUID()}`;
  try {
    const { entries, madeAt } = archive.list;
    let read = 0;
    await verifyArchive(archive, () => {
      signal?.throwIfAborted();
      onStep?.("read", ++read, entries.length);
    });
    await mkdir(staging, { recursive: true, mode: 0o700 });
    const missing = await restoreInto(staging, archive, options);
    await rmdir(folder).catch((error: NodeJS.ErrnoException) => {
      if (error.code !== "ENOENT") throw error;
    });
    await rename(staging, folder);
    return {
      pictures: entries.filter(({ name }) => name.startsWith("pictures/")).length,
      madeAt,
      missing,
    };
  } finally {
    archive.close();
    await rm(staging, { recursive: true, force: true });
  }
}
