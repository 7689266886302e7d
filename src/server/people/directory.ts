/**
 * The directory as a whole, read once for each of its states: much is asked of all people (who lacks a field, whose address it is, who is
 * called so), and nothing of it changes between two writes. Whoever writes renews the stamp in the same batch.
 */
import { asc, eq, isNull } from "drizzle-orm";
import type { DirectoryPerson } from "@/contract";
import {
  drawnPerson,
  fieldNames,
  phoneForm,
  readPerson,
  typedPhones,
  type Person,
  type PhoneForm,
} from "@/core/people";
import { database, type Database } from "../database/database";
import { people, settings } from "../database/schema";
import { setting } from "../settings/settings";

export interface Directory {
  /** How numbers are written in it. */
  readonly form: PhoneForm;
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
export function writeStamp(db: Database, stamp: string) {
  const value = JSON.stringify(stamp);
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

/** Each person as they are drawn in one form of numbers. */
function drawnIn(typed: readonly DirectoryPerson[], form: PhoneForm, before?: Directory): Directory {
  const same = before && JSON.stringify(before.form) === JSON.stringify(form) ? before : null;
  const drawn = typed.map((each) => {
    const known = same?.typedById.get(each.id) === each ? same.drawnById.get(each.id) : undefined;
    if (known) return known;
    const person = drawnPerson(each.person, form);
    return person === each.person ? each : { ...each, person };
  });
  return { ...{ form, typed, drawn }, typedById: byId(typed), drawnById: byId(drawn) };
}

async function readDirectory(): Promise<Directory> {
  const [rows, form] = await Promise.all([
    (await database()).select().from(people).where(isNull(people.takenOutAt)).orderBy(asc(people.name)),
    keptPhoneForm.find(),
  ]);
  return drawnIn(rows.map(toPerson), form ?? typedPhones);
}

interface Read {
  /** As it is kept. */
  readonly stamp: string;
  readonly read: Promise<Directory>;
}

let last: Read | null = null;

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

/**
 * What the directory is after some people were changed, who are null where they have gone, so that it has not to be read again. `stamp`
 * was written along with them.
 */
export function adoptDirectory(
  before: Directory,
  stamp: string,
  changed: ReadonlyMap<string, Person | null>,
): void {
  const kept = before.typed.filter(({ id }) => !changed.has(id));
  const come = [...changed].flatMap(([id, person]) => (person ? [{ id, person }] : []));
  const typed = [...kept, ...come].sort((one, other) =>
    one.person.name < other.person.name ? -1 : one.person.name > other.person.name ? 1 : 0,
  );
  last = { stamp: JSON.stringify(stamp), read: Promise.resolve(drawnIn(typed, before.form, before)) };
}
