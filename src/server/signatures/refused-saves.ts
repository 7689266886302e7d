/** Saves that were refused because another came in between: each waits until somebody keeps it or lets it go. */
import { randomUUID } from "node:crypto";
import { and, asc, eq, isNull } from "drizzle-orm";
import type { Settled, WaitingVersion } from "@/contract";
import { database } from "../database/database";
import { refusedSaves, signatures } from "../database/schema";
import { notFound } from "../http/refusal";
import { findRow, freeName, type SignatureRow } from "./signatures";

/** What waits beside the signatures of the Shelf, the oldest first. */
export async function listWaiting(): Promise<readonly WaitingVersion[]> {
  const rows = await (
    await database()
  )
    .select({ refused: refusedSaves, name: signatures.name })
    .from(refusedSaves)
    .innerJoin(signatures, eq(refusedSaves.signatureId, signatures.id))
    .where(isNull(signatures.deletedAt))
    .orderBy(asc(refusedSaves.createdAt));
  return rows.map(({ refused: { id, signatureId, document, createdAt }, name }) => ({
    refusedId: id,
    signatureId,
    name,
    document: JSON.parse(document) as unknown,
    createdAt,
  }));
}

/** What a signature becomes: the document that goes on, and the one that becomes a signature of its own. */
interface Outcome {
  readonly kept: string;
  readonly other: string | null;
}

const outcomeOf = (choice: "mine" | "saved" | "let-go", saved: string, refused: string): Outcome =>
  ({
    mine: { kept: refused, other: saved },
    saved: { kept: saved, other: refused },
    "let-go": { kept: saved, other: null },
  })[choice];

/** A row of the Shelf for the version that does not go on. */
const standing = (name: string, { personId }: SignatureRow, document: string) => {
  const now = Date.now();
  return { id: randomUUID(), name, personId, document, createdAt: now, updatedAt: now };
};

/**
 * Chooses between a refused save and what is saved. The other version becomes a signature of its own, unless it is
 * let go. Refuses with 404 when somebody has chosen already.
 */
export async function settleRefusedSave(
  id: string,
  refusedId: string,
  choice: "mine" | "saved" | "let-go",
): Promise<Settled> {
  const db = await database();
  const current = await findRow(id);
  const [refused] = await db
    .select()
    .from(refusedSaves)
    .where(and(eq(refusedSaves.id, refusedId), eq(refusedSaves.signatureId, id)));
  if (!refused) throw notFound("refused version");
  const { kept, other } = outcomeOf(choice, current.document, refused.document);
  const changed = kept !== current.document;
  const revision = current.revision + (changed ? 1 : 0);
  const otherName = other === null ? null : await freeName(`${current.name}, other version`);
  const settled = db.delete(refusedSaves).where(eq(refusedSaves.id, refusedId));
  const saved = db
    .update(signatures)
    .set(changed ? { document: kept, revision, updatedAt: Date.now() } : { revision })
    .where(eq(signatures.id, id));
  if (other !== null && otherName !== null)
    await db.batch([settled, saved, db.insert(signatures).values(standing(otherName, current, other))]);
  else await db.batch([settled, saved]);
  return { document: JSON.parse(kept), revision, otherName };
}
