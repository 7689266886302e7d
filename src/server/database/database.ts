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
import { bucketSettings, dataFolder, pictureFolder } from "../configuration";
import { rootOf, sayFault } from "../log";
import { sweepStrays } from "../store/strays";
import {
  checkNotEmptied,
  checkNotNewer,
  checkPictures,
  checkSound,
  checkThere,
  checkWritable,
} from "./check-folder";
import { DataTrouble, troubleOf } from "./data-trouble";
import * as schema from "./schema";

export type Database = LibSQLDatabase<typeof schema>;

/** One that whoever opened it can close. */
export type OpenedDatabase = Database & { readonly $client: { close(): void } };

/** Kept on the global object, since a development server loads modules anew but must not open the file twice. */
const holder = globalThis as typeof globalThis & {
  stillLineDatabase?: Promise<Database>;
  /** The trouble that the log was told of last. */
  stillLineTrouble?: string;
};

export const databaseIn = (folder: string): string =>
  path.join(/*turbopackIgnore: true*/ folder, "still-line.db");

// One connection, since pragmas belong to a connection; what must be atomic is sent as one batch.
const connect = (file: string) => createClient({ url: `file:${file}`, concurrency: 1, timeout: 5000 });

/** A connection that changes nothing, for a program beside the one that migrated the database, and the way to close it. */
export async function openReader(file = databaseIn(dataFolder())): Promise<OpenedDatabase> {
  const client = connect(file);
  for (const pragma of ["busy_timeout = 5000", "query_only = ON"]) await client.execute(`PRAGMA ${pragma}`);
  return drizzle(client, { schema });
}

/** Throws a {@link DataTrouble} for a file that cannot be read as a database of this release, and then leaves it as it is. */
export async function openDatabase(file: string): Promise<OpenedDatabase> {
  await mkdir(path.dirname(file), { recursive: true });
  try {
    const client = connect(file);
    try {
      const database = drizzle(client, { schema });
      await checkNotNewer(database, file);
      await checkSound(database, file);
      for (const pragma of ["journal_mode = WAL", "busy_timeout = 5000", "synchronous = FULL"])
        await client.execute(`PRAGMA ${pragma}`);
      await migrate(database, { migrationsFolder: assets.migrations() });
      // After the migrations, which switch it off while they rebuild tables.
      await client.execute("PRAGMA foreign_keys = ON");
      return database;
    } catch (error) {
      client.close();
      throw error;
    }
  } catch (error) {
    // Tables that stand there already were made by a release before the first.
    throw troubleOf(error, file) ?? new DataTrouble("foreign", path.dirname(file), { cause: error });
  }
}

/** Opens the data folder: looks at it, sweeps what was left half-written, and migrates its database. */
async function openFolder(folder: string): Promise<Database> {
  const file = databaseIn(folder);
  await checkWritable(folder);
  const ownPictures = bucketSettings() === null;
  if (ownPictures) await checkNotEmptied(file, pictureFolder());
  const opened = await openDatabase(file);
  if (ownPictures) {
    await checkPictures(opened, pictureFolder());
    await sweepStrays(pictureFolder());
  }
  return opened;
}

function sayOnce(trouble: DataTrouble | null): void {
  if (trouble && holder.stillLineTrouble !== trouble.message)
    sayFault(
      `${trouble.title}: ${[trouble.message, rootOf(trouble.cause)].filter(Boolean).join(" Said by the system: ")}`,
    );
  if (!trouble && holder.stillLineTrouble !== undefined) sayFault("The data folder is in order again.");
  if (trouble) holder.stillLineTrouble = trouble.message;
  else delete holder.stillLineTrouble;
}

/** The trouble that an error of the server tells of, said to the log the first time; null for an error of another kind. */
export function dataTroubleIn(error: unknown): DataTrouble | null {
  const trouble = troubleOf(error, dataFolder());
  if (trouble) sayOnce(trouble);
  return trouble;
}

/**
 * The application's database, opened and migrated on first use. Rejects with a {@link DataTrouble} while its folder is not in
 * order; the next call looks again.
 */
export function database(): Promise<Database> {
  holder.stillLineDatabase ??= openFolder(dataFolder()).then(
    (opened) => {
      sayOnce(null);
      return opened;
    },
    (error: unknown) => {
      delete holder.stillLineDatabase;
      throw dataTroubleIn(error) ?? error;
    },
  );
  return holder.stillLineDatabase;
}

/** What is wrong with a data folder that was in order when it was opened; null where nothing is, or nothing was opened yet. */
export async function troubleSince(): Promise<DataTrouble | null> {
  try {
    const opened = await holder.stillLineDatabase;
    if (!opened) return null;
    await checkThere(databaseIn(dataFolder()));
    if (bucketSettings() === null) await checkPictures(opened, pictureFolder());
    return null;
  } catch (error) {
    const trouble = dataTroubleIn(error);
    if (!trouble) throw error;
    return trouble;
  }
}

/** What is wrong with the data folder as it is now, looked at anew where it was not in order; null where nothing is. */
export async function findTrouble(): Promise<DataTrouble | null> {
  try {
    await database();
  } catch (error) {
    const trouble = dataTroubleIn(error);
    if (!trouble) throw error;
    return trouble;
  }
  const trouble = await troubleSince();
  if (!trouble) sayOnce(null);
  return trouble;
}
