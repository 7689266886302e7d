/**
 * The directory as a whole, read once for each of its states: much is asked of all people (who lacks a field, whose address it is, who is
 * called so), and nothing of it changes between two writes. Whoever writes renews the stamp in the same batch.
 */
import { randomUUID } from "node:crypto";
import { asc, eq, isNull } from "drizzle-orm";
import type { DirectoryPerson } from "@/contract";
import { drawnPerson, fieldNames, phoneForm, readPerson, typedPhones } from "@/core/people";
import { database, type Database } from "../database/database";
import { people, settings } from "../database/schema";
import { setting } from "../settings/settings";

export interface Directory {
  /** Everybody by name, as they were typed. */
  readonly typed: readonly DirectoryPerson[];
  /** Everybody by name, as signatures show them. */
  readonly drawn: readonly DirectoryPerson[];
  readonly typedById: ReadonlyMap<string, DirectoryPerson>;
  readonly drawnById: ReadonlyMap<string, DirectoryPerson>;
}

const stampName = "directory stamp";

export const keptPhoneForm = setting("phone form", phoneForm);

/** What has to be written along with anything that changes the directory. */
export function newStamp(db: Database) {
  const value = JSON.stringify(randomUUID());
  return db
    .insert(settings)
    .values({ name: stampName, value })
    .onConflictDoUpdate({ target: settings.name, set: { value } });
}

type PersonRow = typeof people.$inferSelect;

/** A row of the directory as it is read. */
const toPerson = ({ id, own, ...row }: PersonRow): DirectoryPerson => ({
  id,
  person: readPerson({
    ...Object.fromEntries(fieldNames.map((field) => [field, row[field]])),
    ...(JSON.parse(own) as object),
  }),
});

const byId = (all: readonly DirectoryPerson[]): ReadonlyMap<string, DirectoryPerson> =>
  new Map(all.map((each) => [each.id, each]));

async function readDirectory(): Promise<Directory> {
  const [rows, form] = await Promise.all([
    (await database()).select().from(people).where(isNull(people.takenOutAt)).orderBy(asc(people.name)),
    keptPhoneForm.find(),
  ]);
  const typed = rows.map(toPerson);
  const drawn = typed.map((each) => {
    const person = drawnPerson(each.person, form ?? typedPhones);
    return person === each.person ? each : { ...each, person };
  });
  return { typed, drawn, typedById: byId(typed), drawnById: byId(drawn) };
}

let last: { readonly stamp: string; readonly read: Promise<Directory> } | null = null;

export async function directory(): Promise<Directory> {
  const [row] = await (await database()).select().from(settings).where(eq(settings.name, stampName));
  if (!row) return readDirectory();
  if (last?.stamp !== row.value) last = { stamp: row.value, read: readDirectory() };
  try {
    return await last.read;
  } catch (error) {
    last = null;
    throw error;
  }
}
