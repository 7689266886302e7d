/** The directory. */
import { asc, eq, inArray } from "drizzle-orm";
import type { DirectoryPerson } from "@/contract";
import { readPerson, type Person } from "@/core/people";
import { database } from "../database/database";
import { people } from "../database/schema";

/** A row of the directory as it is read. */
export const toPerson = ({ id, ...fields }: typeof people.$inferSelect): DirectoryPerson => ({
  id,
  person: readPerson(fields),
});

/** Everybody, by name. */
export async function listPeople(): Promise<readonly DirectoryPerson[]> {
  const rows = await (await database()).select().from(people).orderBy(asc(people.name));
  return rows.map(toPerson);
}

export const countPeople = async (): Promise<number> => (await database()).$count(people);

export async function findPerson(id: string): Promise<DirectoryPerson | null> {
  const [row] = await (await database()).select().from(people).where(eq(people.id, id));
  return row ? toPerson(row) : null;
}

/** The details of whom something is for; null for nobody, and for who is not in the directory any more. */
export const findDetails = async (id: string | null): Promise<Person | null> =>
  id === null ? null : ((await findPerson(id))?.person ?? null);

/** The details of those of some who are in the directory, by their ids. */
export async function findDetailsOfAll(ids: readonly string[]): Promise<ReadonlyMap<string, Person>> {
  if (ids.length === 0) return new Map();
  const rows = await (
    await database()
  )
    .select()
    .from(people)
    .where(inArray(people.id, [...new Set(ids)]));
  return new Map(rows.map(toPerson).map(({ id, person }) => [id, person]));
}

export async function addPerson(id: string, person: Person): Promise<void> {
  await (
    await database()
  )
    .insert(people)
    .values({ id, ...person })
    .onConflictDoNothing();
}
