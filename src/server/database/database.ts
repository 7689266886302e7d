/**
 * The database: one SQLite file, opened once a process. Write-ahead logging lets readers go on while a save is
 * written; full synchronisation makes an accepted save survive a killed process and a lost power supply.
 */
import { mkdir } from "node:fs/promises";
import path from "node:path";
import { createClient } from "@libsql/client";
import { drizzle, type LibSQLDatabase } from "drizzle-orm/libsql";
import { migrate } from "drizzle-orm/libsql/migrator";
import { assets } from "../assets";
import { dataFolder } from "../configuration";
import * as schema from "./schema";

export type Database = LibSQLDatabase<typeof schema>;

/** Kept on the global object, since a development server loads modules anew but must not open the file twice. */
const holder = globalThis as typeof globalThis & { stillLineDatabase?: Promise<Database> };

const fileIn = (folder: string): string => path.join(folder, "still-line.db");

/** A connection that changes nothing, for a server beside the one that migrated the database. */
export async function openReader(): Promise<Database> {
  const client = createClient({ url: `file:${fileIn(dataFolder())}`, concurrency: 1, timeout: 5000 });
  for (const pragma of ["busy_timeout = 5000", "query_only = ON"]) await client.execute(`PRAGMA ${pragma}`);
  return drizzle(client, { schema });
}

export async function openDatabase(file: string): Promise<Database> {
  await mkdir(path.dirname(file), { recursive: true });
  // One connection, since pragmas belong to a connection; what must be atomic is sent as one batch.
  const client = createClient({ url: `file:${file}`, concurrency: 1, timeout: 5000 });
  for (const pragma of ["journal_mode = WAL", "busy_timeout = 5000", "synchronous = FULL"])
    await client.execute(`PRAGMA ${pragma}`);
  const database = drizzle(client, { schema });
  try {
    await migrate(database, { migrationsFolder: assets.migrations() });
  } catch (error) {
    // Tables that stand there already were made by a release before the first.
    const problem = `The database in ${path.dirname(file)} was not made by this release, or is damaged: move that folder away, or name another one in STILL_LINE_DATA. Nothing in it was changed.`;
    throw new Error(problem, { cause: error });
  }
  // After the migrations, which switch it off while they rebuild tables.
  await client.execute("PRAGMA foreign_keys = ON");
  return database;
}

/** The application's database, opened and migrated on first use. */
export function database(): Promise<Database> {
  holder.stillLineDatabase ??= openDatabase(fileIn(dataFolder()));
  return holder.stillLineDatabase;
}
