/** Writing the directory: any number of people at once, all or none, and each change so that it can be taken back. */
import { randomUUID } from "node:crypto";
import { desc, eq, inArray, notInArray, sql } from "drizzle-orm";
import type { BatchItem } from "drizzle-orm/batch";
import {
  changePerson,
  fieldLabel,
  fieldNames,
  filledDetails,
  inverse,
  mostPeople,
  staleFields,
  type Person,
  type PersonChange,
} from "@/core/people";
import pLimit from "p-limit";
import { database } from "../database/database";
import { changedPeople, directoryChanges, people } from "../database/schema";
import { notFound, Refusal } from "../http/refusal";
import { adoptDirectory, directory, writeStamp, type Directory } from "./directory";
import { freeId } from "./free-id";

export interface Changed {
  /** What takes it back is known by. */
  readonly change: string;
  /** The ids of who was changed, in the order of the changes: those of who came are new. */
  readonly ids: readonly string[];
}

/** Changes that are kept so that they can be taken back. */
const keptChanges = 200;

/** People written in one statement: SQLite takes 32,766 values in each. */
const together = 500;

interface Written {
  readonly change: PersonChange;
  readonly after: Person | null;
}

const chunked = <T>(all: readonly T[]): readonly T[][] =>
  Array.from({ length: Math.ceil(all.length / together) }, (_unused, index) =>
    all.slice(index * together, (index + 1) * together),
  );

const ownOf = (person: Person): string =>
  JSON.stringify(Object.fromEntries(Object.entries(person).filter(([field]) => field.includes(":"))));

function rowOf(id: string, person: Person): typeof people.$inferInsert {
  const fields = Object.fromEntries(fieldNames.map((field) => [field, person[field]]));
  return { id, name: person.name, ...fields, own: ownOf(person), takenOutAt: null };
}

const columns = [...fieldNames, "own", "takenOutAt"] as const;

const written = Object.fromEntries(
  columns.map((column) => [column, sql.raw(`excluded."${people[column].name}"`)]),
);

async function write(all: readonly Written[], before: Directory): Promise<string> {
  const db = await database();
  const id = randomUUID();
  const statements: BatchItem<"sqlite">[] = [];
  const rows = all.flatMap(({ change, after }) => (after ? [rowOf(change.id, after)] : []));
  for (const chunk of chunked(rows))
    statements.push(db.insert(people).values(chunk).onConflictDoUpdate({ target: people.id, set: written }));
  const gone = all.flatMap(({ change, after }) => (after ? [] : [change.id]));
  for (const chunk of chunked(gone))
    statements.push(db.update(people).set({ takenOutAt: Date.now() }).where(inArray(people.id, chunk)));
  statements.push(db.insert(directoryChanges).values({ id, createdAt: Date.now() }));
  for (const chunk of chunked(all))
    statements.push(
      db.insert(changedPeople).values(
        chunk.map(({ change }) => ({
          ...{ changeId: id, personId: change.id },
          change: JSON.stringify({ from: change.from, to: change.to }),
        })),
      ),
    );
  const kept = db
    .select({ id: directoryChanges.id })
    .from(directoryChanges)
    .orderBy(desc(directoryChanges.createdAt))
    .limit(keptChanges);
  statements.push(db.delete(directoryChanges).where(notInArray(directoryChanges.id, kept)));
  await db.batch([writeStamp(db, id), ...statements]);
  adoptDirectory(before, id, new Map(all.map(({ change, after }) => [change.id, after])));
  return id;
}

function refuseStale(stale: readonly { readonly name: string; readonly fields: string }[]): void {
  const [first] = stale;
  if (!first) return;
  const more = stale.length > 1 ? ` (and ${stale.length - 1} more)` : "";
  throw new Refusal(
    409,
    "changed-since",
    `Somebody changed ${first.fields} of ${first.name || "a person"}${more} meanwhile. Nothing was written: look at it once more.`,
  );
}

/** What a change is made from is looked at and written by one at a time. */
const oneAfterAnother = pLimit(1);

/** `own` where the ids of who comes are those that they had before. */
async function apply(given: readonly PersonChange[], own: boolean): Promise<Changed> {
  const before = await directory();
  const { typedById } = before;
  const changed = given.filter(({ from }) => from !== null).map(({ id }) => id);
  if (new Set(changed).size < changed.length)
    throw new Refusal(400, "bad-input", "One person is changed twice.");
  if (typedById.size + given.length - changed.length > mostPeople)
    throw new Refusal(
      422,
      "too-many-people",
      `A directory holds ${mostPeople.toLocaleString("en")} people. Nothing was written.`,
    );
  const stale: { name: string; fields: string }[] = [];
  const free = freeId(typedById);
  const all = given.flatMap((change): Written[] => {
    const { from, to } = change;
    if (from === null && to === null) return [];
    const id = from === null && !own ? free(to?.name ?? "") : change.id;
    const person = typedById.get(id)?.person ?? null;
    const fields = staleFields(person, { id, from, to });
    if (fields.length > 0)
      stale.push({ name: person?.name ?? from?.name ?? "", fields: fields.map(fieldLabel).join(", ") });
    // Somebody who goes takes all of their details along, so that all come back.
    const whole = to === null && person ? filledDetails(person) : from;
    return [{ change: { id, from: whole, to }, after: changePerson(person, { id, from, to }) }];
  });
  refuseStale(stale);
  return { change: await write(all, before), ids: all.map(({ change }) => change.id) };
}

/**
 * Changes people, all or none. Who comes gets an id that is made of their name. Refuses changes that were made from something older
 * (409), and writes nothing then.
 */
export const changePeople = (changes: readonly PersonChange[]): Promise<Changed> =>
  oneAfterAnother(() => apply(changes, false));

/** Takes a change back, as a change of its own. Refuses where what it changed was changed again. */
export async function takeBackChange(changeId: string): Promise<Changed> {
  const rows = await (
    await database()
  )
    .select()
    .from(changedPeople)
    .where(eq(changedPeople.changeId, changeId));
  if (rows.length === 0) throw notFound("change");
  const changes = rows.map(({ personId, change }) =>
    inverse({ id: personId, ...(JSON.parse(change) as Pick<PersonChange, "from" | "to">) }),
  );
  return oneAfterAnother(() => apply(changes, true));
}

/** Puts somebody into the directory under an id of one's own, as the demo does; who is there already stays as they are. */
export async function addPerson(id: string, person: Person): Promise<void> {
  const db = await database();
  await db.batch([
    writeStamp(db, randomUUID()),
    db.insert(people).values(rowOf(id, person)).onConflictDoNothing(),
  ]);
}
