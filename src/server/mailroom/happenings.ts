/** What happens at a desk: a rehearsal that goes on there is told of it. */
import { and, eq, inArray, sql } from "drizzle-orm";
import type { DeskClientId, Happening } from "@/core/desks";
import { database } from "../database/database";
import { people, rehearsals } from "../database/schema";

/** Adds what happened to its list, once; in one statement, so that nothing is lost where two things happen at once. */
const added = (happening: Happening) =>
  sql`CASE WHEN ${rehearsals.happened} LIKE ${`%"${happening}"%`} THEN ${rehearsals.happened} ELSE json_insert(${rehearsals.happened}, '$[#]', ${happening}) END`;

/** Something happened at a desk: a rehearsal that goes on there is told. */
export async function happened(personId: string, client: DeskClientId, what: Happening): Promise<void> {
  await (
    await database()
  )
    .update(rehearsals)
    .set({ happened: added(what) })
    .where(and(eq(rehearsals.personId, personId), eq(rehearsals.client, client)));
}

/** Something happened to a letter that was sent in a rehearsal: whoever wrote it is told, once it was sent. */
export async function happenedToLetterFrom(address: string, what: Happening): Promise<void> {
  const db = await database();
  const writers = db
    .select({ id: people.id })
    .from(people)
    .where(eq(sql`lower(${people.mail})`, address.toLowerCase()));
  await db
    .update(rehearsals)
    .set({ happened: added(what) })
    .where(and(inArray(rehearsals.personId, writers), sql`${rehearsals.happened} LIKE '%"sent"%'`));
}

/** Something was done with a signature: whoever rehearses it in that client is told. */
export async function happenedToSignature(
  signatureId: string,
  client: DeskClientId,
  what: Happening,
): Promise<void> {
  await (
    await database()
  )
    .update(rehearsals)
    .set({ happened: added(what) })
    .where(and(eq(rehearsals.signatureId, signatureId), eq(rehearsals.client, client)));
}
