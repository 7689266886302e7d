/** What is looked at in the data folder before it is used, so that each thing that can be wrong is told by its name. */
import { randomUUID } from "node:crypto";
import { mkdir, readdir, readFile, rm, stat, writeFile } from "node:fs/promises";
import path from "node:path";
import { sql } from "drizzle-orm";
import { assets } from "../assets";
import { DataTrouble, troubleOf } from "./data-trouble";
import type { Database } from "./database";

/** As much as the database needs beside itself to be opened. */
const roomNeeded = 64 * 1024;

/** The folder is made where it is missing; a trouble is thrown where it cannot be written, or has no room. */
export async function checkWritable(folder: string): Promise<void> {
  const probe = path.join(/*turbopackIgnore: true*/ folder, `.room-${randomUUID()}`);
  try {
    await mkdir(folder, { recursive: true });
    await writeFile(probe, Buffer.alloc(roomNeeded), { flush: true });
  } catch (error) {
    throw troubleOf(error, folder) ?? error;
  } finally {
    await rm(probe, { force: true }).catch(() => undefined);
  }
}

const sizeOf = (file: string): Promise<number | null> =>
  stat(file).then(
    ({ size }) => size,
    () => null,
  );

/** Refuses to go on with a database whose file was taken away after it was opened. */
export async function checkThere(file: string): Promise<void> {
  if ((await sizeOf(file)) === null) throw new DataTrouble("gone", file);
}

/** A database without a byte was never one, or was emptied: where pictures lie beside it, something was lost. */
export async function checkNotEmptied(file: string, pictures: string): Promise<void> {
  const [size, log] = [await sizeOf(file), await sizeOf(`${file}-wal`)];
  if (size !== 0 || (log ?? 0) > 0) return;
  const kinds = await readdir(pictures).catch(() => []);
  for (const kind of kinds)
    if ((await readdir(path.join(/*turbopackIgnore: true*/ pictures, kind)).catch(() => [])).length > 0)
      throw new DataTrouble("empty", file);
}

/** Refuses a database that migrations have touched which this release does not know. */
export async function checkNotNewer(database: Database, file: string): Promise<void> {
  const tables = await database.all<{ name: string }>(
    sql`SELECT name FROM sqlite_master WHERE name = '__drizzle_migrations'`,
  );
  if (tables.length === 0) return;
  const [last] = await database.all<{ at: number | null }>(
    sql`SELECT max(created_at) AS at FROM __drizzle_migrations`,
  );
  const journal = JSON.parse(
    await readFile(path.join(/*turbopackIgnore: true*/ assets.migrations(), "meta", "_journal.json"), "utf8"),
  ) as { entries: readonly { when: number }[] };
  const newest = journal.entries.at(-1)?.when ?? 0;
  if (Number(last?.at ?? 0) > newest) throw new DataTrouble("newer", file);
}

/** Reads through the database's own structure (sqlite.org/pragma.html#pragma_quick_check). */
export async function checkSound(database: Database, file: string): Promise<void> {
  const [first] = await database.all<Record<string, string>>(sql`PRAGMA quick_check(1)`);
  if (first && Object.values(first)[0] !== "ok") throw new DataTrouble("damaged", file);
}

/** Makes the folder of pictures while there are none, and refuses to go on where it was there and is gone. */
export async function checkPictures(database: Database, pictures: string): Promise<void> {
  const there = await stat(pictures).then(
    (found) => found.isDirectory(),
    () => false,
  );
  if (there) return;
  const [named] = await database.all<{ any: number }>(
    sql`SELECT EXISTS (SELECT 1 FROM originals) OR EXISTS (SELECT 1 FROM cuts) AS any`,
  );
  if (named?.any) throw new DataTrouble("no-pictures", pictures);
  await mkdir(pictures, { recursive: true });
}
