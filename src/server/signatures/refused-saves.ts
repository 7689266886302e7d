/** Saves that were refused because another came in between: each waits until somebody chooses. */
import { randomUUID } from "node:crypto";
import { and, asc, eq, isNull } from "drizzle-orm";
import type { Settled, WaitingVersion } from "@/contract";
import { database } from "../database/database";
import { refusedSaves, signatures, versions } from "../database/schema";
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

type Choice = "mine" | "saved" | "apart";

/** What a signature becomes: the document that goes on, and where the other one goes. */
interface Outcome {
  readonly kept: string;
  readonly other: { readonly kind: "version" | "signature"; readonly document: string };
}

const outcomeOf = (choice: Choice, saved: string, refused: string): Outcome =>
  ({
    mine: { kept: refused, other: { kind: "version" as const, document: saved } },
    saved: { kept: saved, other: { kind: "version" as const, document: refused } },
    apart: { kept: saved, other: { kind: "signature" as const, document: refused } },
  })[choice];

/** What a version is called that did not go on when there were two. */
const otherVersion = "The other of two versions";

/** A row of the Shelf for the version that does not go on. */
const standing = (name: string, { personId }: SignatureRow, document: string) => {
  const now = Date.now();
  return { id: randomUUID(), name, personId, document, createdAt: now, updatedAt: now };
};

/** A row among the versions for it. */
const keptVersion = (name: string, { id, revision }: SignatureRow, document: string) => ({
  id: randomUUID(),
  signatureId: id,
  revision,
  name,
  document,
  createdAt: Date.now(),
});

/**
 * Chooses between a refused save and what is saved. The other one is kept among the versions; a refused one can also
 * become a signature of its own ("apart"). Refuses with 404 when somebody has chosen already.
 */
export async function settleRefusedSave(id: string, refusedId: string, choice: Choice): Promise<Settled> {
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
  const otherName =
    other.kind === "signature" ? await freeName(`${current.name}, other version`) : otherVersion;
  const settled = db.delete(refusedSaves).where(eq(refusedSaves.id, refusedId));
  const saved = db
    .update(signatures)
    .set(changed ? { document: kept, revision, updatedAt: Date.now() } : { revision })
    .where(eq(signatures.id, id));
  const put =
    other.kind === "signature"
      ? db.insert(signatures).values(standing(otherName, current, other.document))
      : db.insert(versions).values(keptVersion(otherName, current, other.document));
  await db.batch([settled, saved, put]);
  return {
    document: JSON.parse(kept),
    revision,
    other: { kind: other.kind, name: otherName },
  };
}
