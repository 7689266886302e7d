/** Signatures: listed, made, saved by revision, copied, deleted and taken back. */
import { randomUUID } from "node:crypto";
import { and, asc, eq, inArray, isNotNull, isNull, sql } from "drizzle-orm";
import type { Node } from "prosemirror-model";
import { Transform } from "prosemirror-transform";
import type { OpenSignature, StaleSave } from "@/contract";
import { withAside, type Asides, type FindingCode } from "@/core/checks";
import {
  image,
  parseSignature,
  picturesOf,
  readSignature,
  replaceSources,
  setAttributes,
} from "@/core/signature";
import { database, type Database } from "../database/database";
import { refusedSaves, signatures } from "../database/schema";
import { notFound, Refusal } from "../http/refusal";
import { keepVersion } from "./versions";

export interface StoredSignature extends OpenSignature {
  readonly updatedAt: number;
  /** Findings that are left as they are. */
  readonly asides: Asides;
}

export type SignatureRow = typeof signatures.$inferSelect;

export const toStored = (row: SignatureRow): StoredSignature => ({
  id: row.id,
  name: row.name,
  personId: row.personId,
  document: JSON.parse(row.document),
  revision: row.revision,
  updatedAt: row.updatedAt,
  asides: JSON.parse(row.asides) as Asides,
});

/** The document as it is stored; refuses one that is not valid, naming the place. */
function checked(document: unknown): string {
  const result = readSignature(document);
  if (!result.ok) {
    const [first] = result.problems;
    throw new Refusal(
      422,
      "bad-document",
      first ? `${first.at}: ${first.message}.` : "This is no signature.",
      { problems: result.problems },
    );
  }
  return JSON.stringify(result.document.toJSON());
}

/** All signatures that are not deleted, oldest first. */
export async function listSignatures(): Promise<readonly StoredSignature[]> {
  const rows = await (
    await database()
  )
    .select()
    .from(signatures)
    .where(isNull(signatures.deletedAt))
    .orderBy(asc(signatures.createdAt));
  return rows.map(toStored);
}

/** The ids and names of those on the Shelf, by name. */
export async function listSignatureNames(): Promise<
  readonly { readonly id: string; readonly name: string }[]
> {
  return (await database())
    .select({ id: signatures.id, name: signatures.name })
    .from(signatures)
    .where(isNull(signatures.deletedAt))
    .orderBy(asc(signatures.name));
}

/** The ids and names of those that are drawn for somebody, by name. */
export const signaturesDrawnFor = async (
  personId: string,
): Promise<readonly { readonly id: string; readonly name: string }[]> =>
  (await database())
    .select({ id: signatures.id, name: signatures.name })
    .from(signatures)
    .where(and(eq(signatures.personId, personId), isNull(signatures.deletedAt)))
    .orderBy(asc(signatures.name));

/** Those of some that are on the Shelf, as they are stored; in no order. */
export const findRows = async (ids: readonly string[]): Promise<readonly SignatureRow[]> =>
  (await database())
    .select()
    .from(signatures)
    .where(and(inArray(signatures.id, [...ids]), isNull(signatures.deletedAt)));

export async function findRow(id: string): Promise<SignatureRow> {
  const [row] = await (
    await database()
  )
    .select()
    .from(signatures)
    .where(and(eq(signatures.id, id), isNull(signatures.deletedAt)));
  if (!row) throw notFound("signature");
  return row;
}

/** Refuses with 404 when it is deleted or was never there. */
export const findSignature = async (id: string): Promise<StoredSignature> => toStored(await findRow(id));

/** What is saved of a signature and newer than a revision; its document is null where nothing is. */
export async function findNewer(id: string, after: number): Promise<{ revision: number; document: unknown }> {
  const { revision, document } = await findRow(id);
  return { revision, document: revision > after ? (JSON.parse(document) as unknown) : null };
}

export interface NewSignature {
  readonly asides?: Asides;
  readonly name: string;
  readonly personId: string | null;
  readonly document: unknown;
}

export async function addSignature({ name, personId, document, asides = {} }: NewSignature): Promise<string> {
  const id = randomUUID();
  const now = Date.now();
  await (await database()).insert(signatures).values({
    id,
    name,
    personId,
    document: checked(document),
    asides: JSON.stringify(asides),
    createdAt: now,
    updatedAt: now,
  });
  return id;
}

/** A name that no signature on the Shelf has yet: "New signature", "New signature 2", … */
export async function freeName(wanted: string): Promise<string> {
  const taken = new Set((await listSignatureNames()).map(({ name }) => name));
  if (!taken.has(wanted)) return wanted;
  for (let number = 2; ; number++) if (!taken.has(`${wanted} ${number}`)) return `${wanted} ${number}`;
}

/** A new signature from a document: a blank table, or a pattern under whose name it begins. */
export const startSignature = async (document: unknown, name = "New signature"): Promise<string> =>
  addSignature({ name: await freeName(name), personId: null, document });

export async function duplicateSignature(id: string): Promise<string> {
  const { name, personId, document, asides } = await findSignature(id);
  return addSignature({ name: await freeName(`${name}, copy`), personId, document, asides });
}

export async function describeSignature(
  id: string,
  patch: { name?: string | undefined; personId?: string | null | undefined },
): Promise<void> {
  await findRow(id);
  const values = {
    ...(patch.name === undefined ? {} : { name: patch.name }),
    ...(patch.personId === undefined ? {} : { personId: patch.personId }),
  };
  if (Object.keys(values).length > 0)
    await (await database()).update(signatures).set(values).where(eq(signatures.id, id));
}

/** Leaves a finding as it is, with a reason, or takes that back where the reason is null. */
export async function setAside(
  id: string,
  { reason, ...finding }: { code: FindingCode; message: string; reason: string | null },
): Promise<void> {
  const db = await database();
  // Written over nothing but what was read, so that two windows lose nothing of each other's.
  for (;;) {
    const { asides: before } = await findRow(id);
    const after = JSON.stringify(withAside(JSON.parse(before) as Asides, finding, reason));
    const written = await db
      .update(signatures)
      .set({ asides: after })
      .where(and(eq(signatures.id, id), eq(signatures.asides, before)))
      .returning({ id: signatures.id });
    if (written.length > 0) return;
  }
}

/** Deletes, so that `restoreSignature` can take it back. */
export async function deleteSignature(id: string): Promise<void> {
  await findRow(id);
  await (await database()).update(signatures).set({ deletedAt: Date.now() }).where(eq(signatures.id, id));
}

export async function restoreSignature(id: string): Promise<void> {
  const restored = await (
    await database()
  )
    .update(signatures)
    .set({ deletedAt: null })
    .where(and(eq(signatures.id, id), isNotNull(signatures.deletedAt)))
    .returning({ id: signatures.id });
  if (restored.length === 0) throw notFound("deleted signature");
}

/** Keeps what was refused, once, however often it is sent. Resolves with its id. */
async function keepRefused(
  db: Database,
  refused: Pick<typeof refusedSaves.$inferInsert, "signatureId" | "baseRevision" | "document">,
): Promise<string> {
  const { signatureId, document } = refused;
  const [known] = await db
    .select({ id: refusedSaves.id })
    .from(refusedSaves)
    .where(and(eq(refusedSaves.signatureId, signatureId), eq(refusedSaves.document, document)));
  if (known) return known.id;
  const id = randomUUID();
  await db.insert(refusedSaves).values({ id, ...refused, createdAt: Date.now() });
  return id;
}

/**
 * Saves a document over the revision that it was made from, and answers with the new revision. When another
 * save came in between it is refused with 409, both documents are kept, and the refusal carries what is saved
 * and the id of what was refused. What was refused before and is merged into this document waits no longer.
 */
export async function saveDocument(
  id: string,
  document: unknown,
  baseRevision: number,
  settles?: string,
): Promise<number> {
  const text = checked(document);
  const db = await database();
  const before = await findRow(id);
  if (before.revision === baseRevision && before.document !== text) await keepVersion(db, before);
  const [saved] = await db
    .update(signatures)
    .set({ document: text, revision: sql`${signatures.revision} + 1`, updatedAt: Date.now() })
    .where(and(eq(signatures.id, id), eq(signatures.revision, baseRevision), isNull(signatures.deletedAt)))
    .returning();
  const current = saved ?? (await findRow(id));
  // The same document sent again, after its answer was lost on the way, is already saved.
  if (current.document === text) {
    if (settles)
      await db
        .delete(refusedSaves)
        .where(and(eq(refusedSaves.id, settles), eq(refusedSaves.signatureId, id)));
    return current.revision;
  }
  const refusedId = await keepRefused(db, { signatureId: id, baseRevision, document: text });
  throw new Refusal(
    409,
    "stale-save",
    "It was changed elsewhere since you opened it. Both versions are kept: choose which one goes on.",
    {
      refusedId,
      saved: { document: JSON.parse(current.document), revision: current.revision },
    } satisfies StaleSave,
  );
}

/** How often a rewrite is tried anew when somebody saves in between. */
const rewriteTries = 5;

/**
 * Changes a document from outside its Bench, as a save of its own over whatever is saved by then; what it replaces
 * is kept as a version. Answers whether anything changed.
 */
export async function rewriteDocument(id: string, change: (document: Node) => Node): Promise<boolean> {
  const db = await database();
  for (let tries = 0; tries < rewriteTries; tries++) {
    const [row] = await db.select().from(signatures).where(eq(signatures.id, id));
    if (!row) throw notFound("signature");
    const before = parseSignature(JSON.parse(row.document));
    const after = change(before);
    if (after.eq(before)) return false;
    await keepVersion(db, row);
    const saved = await db
      .update(signatures)
      .set({
        document: checked(after.toJSON()),
        revision: sql`${signatures.revision} + 1`,
        updatedAt: Date.now(),
      })
      .where(and(eq(signatures.id, id), eq(signatures.revision, row.revision)))
      .returning({ id: signatures.id });
    if (saved.length > 0) return true;
  }
  throw new Refusal(
    409,
    "busy",
    "This signature is being changed at the moment: try again when it is quiet.",
  );
}

/** Gives pictures other addresses in every signature, those that are deleted and can be taken back as well. */
export async function rewriteSources(sources: ReadonlyMap<string, string>): Promise<number> {
  if (sources.size === 0) return 0;
  const rows = await (await database()).select({ id: signatures.id }).from(signatures);
  let changed = 0;
  for (const { id } of rows)
    if (await rewriteDocument(id, (document) => replaceSources(document, sources))) changed++;
  return changed;
}

/** Puts another picture in the place of one, at its own display size, wherever the signature shows it. */
export const swapPicture = (
  id: string,
  from: string,
  { source, width, height }: { source: string; width: number; height: number },
): Promise<boolean> =>
  rewriteDocument(id, (document) => {
    const transform = new Transform(document);
    for (const { node, position } of picturesOf(document))
      if (image.of(node).source === from)
        setAttributes(transform, position, image, { source, width, height });
    return transform.doc;
  });
