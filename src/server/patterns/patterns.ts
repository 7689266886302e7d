/** Patterns: the starter patterns, and those that were saved from signatures. */
import { randomUUID } from "node:crypto";
import { asc, eq } from "drizzle-orm";
import { parseSignature, starterPatterns } from "@/core/signature";
import { database } from "../database/database";
import { patterns } from "../database/schema";
import { notFound } from "../http/refusal";
import { findSignature } from "../signatures/signatures";

export interface Pattern {
  readonly id: string;
  readonly name: string;
  readonly reason: string;
  /** Whether it was saved from a signature here, and can be taken away. */
  readonly own: boolean;
  /** The document's JSON. */
  readonly document: unknown;
}

/** Own patterns first, then the starter patterns. */
export async function listPatterns(): Promise<readonly Pattern[]> {
  const rows = await (await database()).select().from(patterns).orderBy(asc(patterns.createdAt));
  return [
    ...rows.map(({ id, name, document }) => ({
      id,
      name,
      reason: "Saved from a signature of yours.",
      own: true,
      document: JSON.parse(document) as unknown,
    })),
    ...starterPatterns.map(({ id, name, reason, document }) => ({
      id,
      name,
      reason,
      own: false,
      document: document.toJSON() as unknown,
    })),
  ];
}

/** Refuses with 404 when it is gone. */
export async function findPattern(id: string): Promise<Pattern> {
  const found = (await listPatterns()).find((pattern) => pattern.id === id);
  if (!found) throw notFound("pattern");
  return found;
}

/** Saves a signature as a pattern under a name, and answers with its id. */
export async function savePattern(signatureId: string, name: string): Promise<string> {
  const { document } = await findSignature(signatureId);
  const id = randomUUID();
  const text = JSON.stringify(parseSignature(document).toJSON());
  await (await database()).insert(patterns).values({ id, name, document: text, createdAt: Date.now() });
  return id;
}

/** Takes away an own pattern; signatures that were started from it stay. */
export async function deletePattern(id: string): Promise<void> {
  const deleted = await (
    await database()
  )
    .delete(patterns)
    .where(eq(patterns.id, id))
    .returning({ id: patterns.id });
  if (deleted.length === 0) throw notFound("pattern of yours");
}
