/** Letters that were begun at a desk and not sent. */
import { randomUUID } from "node:crypto";
import { and, desc, eq } from "drizzle-orm";
import type { Draft, NewLetter } from "@/contract";
import type { DeskClientId } from "@/core/desks";
import { database } from "../database/database";
import { drafts } from "../database/schema";
import { notFound } from "../http/refusal";
import { clientNamed } from "./desk";
import { mailboxOf } from "./mailboxes";

const ofPerson = (personId: string, id: string) => and(eq(drafts.id, id), eq(drafts.personId, personId));

/** What was written so far. */
export async function findDraft(personId: string, client: DeskClientId, id: string): Promise<NewLetter> {
  const [row] = await (
    await database()
  )
    .select()
    .from(drafts)
    .where(and(ofPerson(personId, id), eq(drafts.client, client)));
  if (!row) throw notFound("draft");
  return JSON.parse(row.letter) as NewLetter;
}

/** Keeps what was written so far; answers under which id. */
export async function keepDraft(personId: string, clientId: string, letter: NewLetter): Promise<string> {
  const client = clientNamed(clientId);
  await mailboxOf(personId);
  const values = {
    personId,
    client: client.id,
    letter: JSON.stringify(letter),
    updatedAt: Date.now(),
  };
  const db = await database();
  // One that was sent or dropped from another window does not come back as itself.
  const [kept] = letter.draft
    ? await db.update(drafts).set(values).where(ofPerson(personId, letter.draft)).returning()
    : [];
  if (kept) return kept.id;
  const id = randomUUID();
  await db.insert(drafts).values({ id, ...values });
  return id;
}

export async function listDrafts(personId: string, clientId: string): Promise<readonly Draft[]> {
  const client = clientNamed(clientId);
  const rows = await (
    await database()
  )
    .select()
    .from(drafts)
    .where(and(eq(drafts.personId, personId), eq(drafts.client, client.id)))
    .orderBy(desc(drafts.updatedAt));
  return rows.map(({ id, letter, updatedAt }) => {
    const { to, subject } = JSON.parse(letter) as NewLetter;
    return { id, client: client.id, to, subject, updatedAt };
  });
}

export async function dropDraft(personId: string, id: string): Promise<void> {
  await mailboxOf(personId);
  await (await database()).delete(drafts).where(ofPerson(personId, id));
}
