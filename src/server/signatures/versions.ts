/** Versions of a signature: kept automatically while it is worked on, and under a name when somebody asks. */
import { randomUUID } from "node:crypto";
import { and, desc, eq, isNull, lt, notInArray } from "drizzle-orm";
import type { Version } from "@/contract";
import { database, type Database } from "../database/database";
import { signatures, versions } from "../database/schema";
import { notFound } from "../http/refusal";

/** While work goes on, a version is kept this often; ms. */
const keptEvery = 5 * 60_000;
/** Of those kept automatically, the latest so many stay; named ones always do. */
const automaticKept = 40;

type Row = typeof versions.$inferSelect;
const toVersion = ({ id, revision, name, document, createdAt }: Row): Version => ({
  id,
  revision,
  name,
  document: JSON.parse(document),
  createdAt,
});

/** What is saved of a signature; refuses with 404 when it is deleted or was never there. */
async function findSaved(db: Database, signatureId: string): Promise<{ revision: number; document: string }> {
  const [signature] = await db
    .select({ revision: signatures.revision, document: signatures.document })
    .from(signatures)
    .where(and(eq(signatures.id, signatureId), isNull(signatures.deletedAt)));
  if (!signature) throw notFound("signature");
  return signature;
}

/** All versions of a signature, the latest first. Refuses when it is gone. */
export async function listVersions(signatureId: string): Promise<readonly Version[]> {
  const db = await database();
  await findSaved(db, signatureId);
  const rows = await db
    .select()
    .from(versions)
    .where(eq(versions.signatureId, signatureId))
    .orderBy(desc(versions.createdAt), desc(versions.revision));
  return rows.map(toVersion);
}

/** Keeps what is saved of a signature under a name, and answers with the version's id. Refuses when it is gone. */
export async function nameVersion(signatureId: string, name: string): Promise<string> {
  const db = await database();
  const { revision, document } = await findSaved(db, signatureId);
  const id = randomUUID();
  await db.insert(versions).values({ id, signatureId, revision, name, document, createdAt: Date.now() });
  return id;
}

/**
 * Keeps what a save is about to replace, unless a version was kept a little while ago. Called before the save, so
 * that a version is never newer than what is saved.
 */
export async function keepVersion(
  db: Database,
  { id: signatureId, revision, document }: { id: string; revision: number; document: string },
): Promise<void> {
  const now = Date.now();
  const automatic = and(eq(versions.signatureId, signatureId), isNull(versions.name));
  const [latest] = await db
    .select({ createdAt: versions.createdAt })
    .from(versions)
    .where(automatic)
    .orderBy(desc(versions.createdAt))
    .limit(1);
  if (latest && now - latest.createdAt < keptEvery) return;
  await db
    .insert(versions)
    .values({ id: randomUUID(), signatureId, revision, name: null, document, createdAt: now });
  const kept = db
    .select({ id: versions.id })
    .from(versions)
    .where(automatic)
    .orderBy(desc(versions.createdAt))
    .limit(automaticKept);
  await db.delete(versions).where(and(automatic, lt(versions.createdAt, now), notInArray(versions.id, kept)));
}

/** Takes a named version away. */
export async function deleteVersion(signatureId: string, id: string): Promise<void> {
  const db = await database();
  const deleted = await db
    .delete(versions)
    .where(and(eq(versions.id, id), eq(versions.signatureId, signatureId)))
    .returning({ id: versions.id });
  if (deleted.length === 0) throw notFound("version");
}
