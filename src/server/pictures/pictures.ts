/** Originals, kept untouched, and the cuts made from them. */
import { and, asc, desc, eq, inArray } from "drizzle-orm";
import {
  displaySize,
  firstDisplaySize,
  hostedPath,
  publicFileName,
  readHostedPath,
  wholeCrop,
  type Recipe,
  type Size,
} from "@/core/pictures";
import { database, type Database } from "../database/database";
import { cuts, originals } from "../database/schema";
import { notFound, Refusal } from "../http/refusal";
import { readPicture, writePicture } from "./files";
import { inspectPicture } from "./inspect-picture";
import { contentHash, renderCut } from "./render-cut";

export type Original = typeof originals.$inferSelect;

/** A cut as the interface needs it. */
export interface Cut {
  readonly source: string;
  readonly originalHash: string;
  readonly originalName: string;
  readonly type: "png" | "jpeg";
  /** Display size, CSS px. */
  readonly width: number;
  readonly height: number;
  readonly recipe: Recipe;
  readonly bytes: number;
}

/** Keeps an uploaded file as an original; the same bytes again are the same original. */
export async function addOriginal(bytes: Uint8Array, name: string): Promise<Original> {
  const inspected = await inspectPicture(bytes, name);
  const hash = contentHash(bytes);
  await writePicture("originals", hash, bytes);
  const db = await database();
  await db
    .insert(originals)
    .values({ hash, name, ...inspected, bytes: bytes.length, createdAt: Date.now() })
    .onConflictDoNothing();
  return findOriginal(hash);
}

export async function findOriginal(hash: string): Promise<Original> {
  const [row] = await (await database()).select().from(originals).where(eq(originals.hash, hash));
  if (!row) throw notFound("original");
  return row;
}

/** All originals, newest first. */
export const listOriginals = async (): Promise<readonly Original[]> =>
  (await database()).select().from(originals).orderBy(desc(originals.createdAt), asc(originals.name));

interface JoinedRow {
  cuts: typeof cuts.$inferSelect;
  originals: Original;
}

const toCut = ({ cuts: cut, originals: original }: JoinedRow): Cut => ({
  source: hostedPath(cut),
  originalHash: cut.originalHash,
  originalName: original.name,
  type: cut.type,
  width: cut.width,
  height: cut.height,
  recipe: JSON.parse(cut.recipe) as Recipe,
  bytes: cut.bytes,
});

const joined = (db: Database) =>
  db.select().from(cuts).innerJoin(originals, eq(cuts.originalHash, originals.hash));

/** All cuts, newest first. */
export const listCuts = async (): Promise<readonly Cut[]> =>
  (await joined(await database()).orderBy(desc(cuts.createdAt), desc(cuts.hash))).map(toCut);

/** The cuts at some hosted paths; paths of no cut are left out. */
export async function findCuts(sources: readonly string[]): Promise<readonly Cut[]> {
  const hashes = sources.flatMap((source) => readHostedPath(source)?.hash ?? []);
  if (hashes.length === 0) return [];
  const rows = await joined(await database()).where(inArray(cuts.hash, hashes));
  return rows.map(toCut).filter(({ source }) => sources.includes(source));
}

/** Records a cut whose bytes are at hand. */
export async function addCut(
  cut: { hash: string; fileName: string; type: "png" | "jpeg"; bytes: Uint8Array },
  originalHash: string,
  recipe: Recipe,
): Promise<Cut> {
  await writePicture("cuts", cut.hash, cut.bytes);
  await (
    await database()
  )
    .insert(cuts)
    .values({
      hash: cut.hash,
      fileName: cut.fileName,
      originalHash,
      recipe: JSON.stringify(recipe),
      type: cut.type,
      width: recipe.width,
      height: recipe.height,
      bytes: cut.bytes.length,
      createdAt: Date.now(),
    })
    .onConflictDoNothing();
  const [found] = await findCuts([hostedPath(cut)]);
  return found!;
}

async function makeCut(original: Original, recipe: Recipe): Promise<Cut> {
  const bytes = await readPicture("originals", original.hash);
  const rendered = await renderCut(bytes, recipe, original.type);
  return addCut(
    { ...rendered, fileName: publicFileName(original.name, rendered.type) },
    original.hash,
    recipe,
  );
}

/** The first cut of an original: the whole of it, at its own size at 2x, but no wider than `widest` CSS px. */
export async function cutWhole(originalHash: string, widest: number): Promise<Cut> {
  const original = await findOriginal(originalHash);
  return makeCut(original, {
    crop: wholeCrop(original),
    frame: { shape: "rectangle" },
    ...firstDisplaySize(original, widest),
    density: 2,
  });
}

/** A hosted cut made again at another display size; its crop and frame stay. */
export async function cutAgain(source: string, asked: { width: number } | { height: number }): Promise<Cut> {
  const [known] = await findCuts([source]);
  if (!known)
    throw new Refusal(
      422,
      "not-hosted",
      "This picture is not hosted here, so it cannot be cut: upload it first.",
    );
  const original = await findOriginal(known.originalHash);
  const natural: Size = known.recipe.crop;
  return makeCut(original, { ...known.recipe, ...displaySize(natural, asked) });
}

/** A cut's bytes for its public address, or null when there is none. */
export async function readHosted(
  hash: string,
  fileName: string,
): Promise<{ bytes: Buffer; type: "png" | "jpeg" } | null> {
  const [row] = await (
    await database()
  )
    .select({ type: cuts.type })
    .from(cuts)
    .where(and(eq(cuts.hash, hash), eq(cuts.fileName, fileName)));
  return row ? { bytes: await readPicture("cuts", hash), type: row.type } : null;
}
