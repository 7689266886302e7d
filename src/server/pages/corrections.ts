/** Details that people say are otherwise: asked for on their own pages, accepted or declined by the office. */
import { randomUUID } from "node:crypto";
import { and, asc, eq, inArray, isNull } from "drizzle-orm";
import type { Correction } from "@/contract";
import {
  complaintAbout,
  fieldLabel,
  typedValue,
  type Details,
  type FieldId,
  type PersonChange,
} from "@/core/people";
import { database } from "../database/database";
import { corrections } from "../database/schema";
import { Refusal } from "../http/refusal";
import { changePeople, type Changed } from "../people/change-people";
import { directory } from "../people/directory";

type Row = typeof corrections.$inferSelect;

const openOnes = isNull(corrections.settledAt);

async function rowsOf(personId: string): Promise<readonly Row[]> {
  return (await database())
    .select()
    .from(corrections)
    .where(and(eq(corrections.personId, personId), openOnes))
    .orderBy(asc(corrections.askedAt));
}

/** What somebody has asked for that is not settled yet. */
export const askedBy = async (
  personId: string,
): Promise<readonly { readonly field: FieldId; readonly after: string }[]> =>
  (await rowsOf(personId)).map(({ field, after }) => ({ field: field as FieldId, after }));

/**
 * Keeps what somebody says of themselves, in place of what they said of the same fields before. Refuses fields that their signatures do
 * not show, details that cannot be, and an empty name.
 */
export async function askForCorrection(
  personId: string,
  said: Details,
  shown: ReadonlySet<FieldId>,
): Promise<void> {
  const of = (await directory()).typedById.get(personId);
  if (!of) return;
  const entries = Object.entries(said) as [FieldId, string][];
  for (const [field, value] of entries) {
    if (!shown.has(field))
      throw new Refusal(422, "not-shown", `${fieldLabel(field)} stands in none of your signatures.`);
    const complaint = complaintAbout(field, value);
    if (complaint !== null) throw new Refusal(422, "bad-detail", `${fieldLabel(field)} ${complaint}.`);
    if (field === "name" && value.trim() === "") throw new Refusal(422, "no-name", "A person needs a name.");
  }
  const db = await database();
  const fields = entries.map(([field]) => field);
  const asked = entries
    .filter(([field, value]) => value.trim() !== typedValue(of.person, field).trim())
    .map(([field, value]) => ({
      ...{ id: randomUUID(), personId, field, after: value.trim(), askedAt: Date.now() },
      before: typedValue(of.person, field),
    }));
  const earlier = db
    .delete(corrections)
    .where(and(eq(corrections.personId, personId), inArray(corrections.field, fields), openOnes));
  if (asked.length === 0) await earlier;
  else await db.batch([earlier, db.insert(corrections).values(asked)]);
}

/** What is asked for and not settled, the oldest first; nothing of who is not in the directory any more. */
export async function listCorrections(): Promise<readonly Correction[]> {
  const [{ typedById }, rows] = await Promise.all([
    directory(),
    (await database()).select().from(corrections).where(openOnes).orderBy(asc(corrections.askedAt)),
  ]);
  return rows.flatMap(({ id, personId, field, after, askedAt }) => {
    const of = typedById.get(personId);
    if (!of) return [];
    // Whoever decides sees what is there now.
    const before = typedValue(of.person, field as FieldId);
    return [{ id, personId, personName: of.person.name, field: field as FieldId, before, after, askedAt }];
  });
}

/**
 * Accepts some of them, all as one change of the directory, or declines them. Answers with the change, null where there is none. What was
 * settled meanwhile is passed over; where somebody changes a person at the same time, nothing is written (409).
 */
export async function settleCorrections(ids: readonly string[], accept: boolean): Promise<Changed | null> {
  const wanted = new Set(ids);
  const open = (await listCorrections()).filter(({ id }) => wanted.has(id));
  if (open.length === 0) return null;
  const changes = new Map<string, PersonChange>();
  for (const { personId, field, before, after } of accept ? open : []) {
    if (before === after) continue;
    const earlier = changes.get(personId);
    changes.set(personId, {
      id: personId,
      from: { ...earlier?.from, [field]: before },
      to: { ...earlier?.to, [field]: after },
    });
  }
  const changed = changes.size > 0 ? await changePeople([...changes.values()]) : null;
  await (
    await database()
  )
    .update(corrections)
    .set({ settledAt: Date.now(), accepted: accept })
    .where(
      inArray(
        corrections.id,
        open.map(({ id }) => id),
      ),
    );
  return changed;
}
