/** The directory as signatures, letters and installs show it. */
import type { DirectoryPerson } from "@/contract";
import type { Person } from "@/core/people";
import { directory } from "./directory";

/** Everybody, by name. */
export const listPeople = async (): Promise<readonly DirectoryPerson[]> => (await directory()).drawn;

export const countPeople = async (): Promise<number> => (await directory()).typed.length;

export const findPerson = async (id: string): Promise<DirectoryPerson | null> =>
  (await directory()).drawnById.get(id) ?? null;

/** The details of whom something is for; null for nobody, and for who is not in the directory any more. */
export const findDetails = async (id: string | null): Promise<Person | null> =>
  id === null ? null : ((await findPerson(id))?.person ?? null);

/** The details of those of some who are in the directory, by their ids. */
export async function findDetailsOfAll(ids: readonly string[]): Promise<ReadonlyMap<string, Person>> {
  const { drawnById } = await directory();
  return new Map(
    ids.flatMap((id) => {
      const found = drawnById.get(id);
      return found ? [[id, found.person] as const] : [];
    }),
  );
}
