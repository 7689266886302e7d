/** Cuts and loops: pictures made from originals by their recipes, each at an address that names its content. */
import { and, desc, eq, inArray, isNull, or, type SQL } from "drizzle-orm";
import { hostedPath, readPicturePath } from "@/core/addresses";
import {
  loopPixelsNeeded,
  originalsOfLoop,
  pixelsNeeded,
  publicFileName,
  pictureUse,
  wholeRecipe,
  type HostedType,
  type LoopRecipe,
  type Recipe,
  type Size,
} from "@/core/pictures";
import type { Cut, CutPreview, Original } from "@/contract";
import { database, type Database } from "../database/database";
import { cuts, originals, publishedCopies } from "../database/schema";
import { notFound } from "../http/refusal";
import { dataAddress } from "../imaging/data-address";
import { imaging } from "../imaging/imaging";
import { pictureStore } from "../store/store";
import { findOriginal, readOriginal, type OriginalRow } from "./originals";

interface JoinedRow {
  cuts: typeof cuts.$inferSelect;
  originals: OriginalRow | null;
}

/** Drawings have as many pixels as are asked for. */
function neededFor(
  recipe: Recipe | null,
  loop: LoopRecipe | null,
  original: OriginalRow | null,
): Size | null {
  const vector = original?.type === "svg";
  if (recipe) return pixelsNeeded(recipe, vector);
  return loop && !vector ? loopPixelsNeeded(loop, original) : null;
}

function toCut({ cuts: cut, originals: original }: JoinedRow): Cut {
  const loop = cut.type === "gif" ? (JSON.parse(cut.recipe) as LoopRecipe) : null;
  const recipe = loop ? null : wholeRecipe(JSON.parse(cut.recipe) as Parameters<typeof wholeRecipe>[0]);
  return {
    source: hostedPath(cut),
    fileName: cut.fileName,
    originalHash: cut.originalHash,
    originalName: original?.name ?? cut.fileName,
    type: cut.type,
    width: cut.width,
    height: cut.height,
    pixels: { width: cut.pixelWidth, height: cut.pixelHeight },
    needed: neededFor(recipe, loop, original),
    use: recipe ? pictureUse(recipe, original?.type ?? "png") : "loop",
    recipe,
    loop,
    bytes: cut.bytes,
  };
}

const joined = (db: Database) =>
  db.select().from(cuts).leftJoin(originals, eq(cuts.originalHash, originals.hash)).$dynamic();

/** The originals that a cut or loop is made of. */
export const madeOf = ({ loop, originalHash }: Cut): readonly string[] =>
  loop ? originalsOfLoop(loop.source) : originalHash === null ? [] : [originalHash];

/** Newest first; none that is removed. */
const standing = async (wanted: SQL | undefined): Promise<readonly Cut[]> =>
  (
    await joined(await database())
      .where(and(isNull(cuts.removedAt), wanted))
      .orderBy(desc(cuts.createdAt), desc(cuts.hash))
  ).map(toCut);

const isLoop = eq(cuts.type, "gif");

/** All loops, newest first. */
export const listLoops = async (): Promise<readonly Cut[]> => standing(isLoop);

/** Cuts and loops that are made of any of some originals, newest first. */
export async function cutsOfOriginals(hashes: readonly string[]): Promise<readonly Cut[]> {
  const wanted = new Set(hashes);
  const found = await standing(or(inArray(cuts.originalHash, [...hashes]), isLoop));
  return found.filter((cut) => madeOf(cut).some((hash) => wanted.has(hash)));
}

/** All cuts and loops, newest first. */
export const listCuts = async (): Promise<readonly Cut[]> => standing(undefined);

/** The cuts at some hosted paths, or at addresses where copies were published; addresses of no cut are left out. */
export async function findCuts(sources: readonly string[]): Promise<readonly Cut[]> {
  const db = await database();
  const paths = new Map<string, string>();
  for (const source of sources) if (readPicturePath(source)) paths.set(source, source);
  const foreign = sources.filter((source) => /^https?:/i.test(source));
  if (foreign.length > 0)
    for (const copy of await db
      .select()
      .from(publishedCopies)
      .where(inArray(publishedCopies.address, foreign)))
      paths.set(copy.address, hostedPath(copy));
  const hashes = [...paths.values()].flatMap((path) => readPicturePath(path)?.hash ?? []);
  if (hashes.length === 0) return [];
  const rows = await joined(db).where(and(inArray(cuts.hash, hashes), isNull(cuts.removedAt)));
  const found = new Map(rows.map(toCut).map((cut) => [cut.source, cut]));
  return [...paths].flatMap(([source, path]) => {
    const cut = found.get(path);
    return cut ? [{ ...cut, source }] : [];
  });
}

/** The cut at a source; refuses with 404 when there is none. */
export async function findCut(source: string): Promise<Cut> {
  const [cut] = await findCuts([source]);
  if (!cut) throw notFound("cut");
  return cut;
}

export interface NewCut extends Size {
  readonly hash: string;
  readonly type: HostedType;
  readonly bytes: Uint8Array;
}

/** Records a cut or loop whose bytes are at hand, under a file name. `pixels` is the size of the file. */
export async function addCut(
  { hash, type, bytes, ...pixels }: NewCut,
  fileName: string,
  originalHash: string | null,
  recipe: Recipe | LoopRecipe,
): Promise<Cut> {
  await pictureStore().put({ kind: "cut", hash, fileName, type }, bytes);
  const { width, height } = recipe;
  await (
    await database()
  )
    .insert(cuts)
    .values({
      hash,
      fileName,
      originalHash,
      recipe: JSON.stringify(recipe),
      type,
      width,
      height,
      pixelWidth: pixels.width,
      pixelHeight: pixels.height,
      bytes: bytes.length,
      createdAt: Date.now(),
    })
    // The same bytes cut by another recipe: the later one is what somebody works on.
    .onConflictDoUpdate({
      target: [cuts.hash, cuts.fileName],
      set: { originalHash, recipe: JSON.stringify(recipe), width, height, removedAt: null },
    });
  return findCut(hostedPath({ hash, fileName }));
}

/** Renders a recipe over an original and keeps what comes out. */
export async function makeCut(original: Pick<Original, "hash" | "name">, recipe: Recipe): Promise<Cut> {
  const rendered = await imaging.renderCut(await readOriginal(original.hash), recipe);
  return addCut(rendered, publicFileName(original.name, rendered.type), original.hash, recipe);
}

export interface HostedFile {
  readonly bytes: Buffer;
  readonly type: HostedType;
}

/** A cut's bytes for its public address, or null when there is none. */
export async function readHosted(hash: string, fileName: string): Promise<HostedFile | null> {
  const [row] = await (
    await database()
  )
    .select({ type: cuts.type })
    .from(cuts)
    .where(and(eq(cuts.hash, hash), eq(cuts.fileName, fileName), isNull(cuts.removedAt)));
  const bytes = row && (await pictureStore().get({ kind: "cut", hash, fileName, type: row.type }));
  return bytes ? { bytes, type: row.type } : null;
}

/** What a recipe would come out as; nothing is kept. */
export async function previewCut(originalHash: string, recipe: Recipe): Promise<CutPreview> {
  const original = await findOriginal(originalHash);
  const { hash, bytes, drawn, ...preview } = await imaging.renderPreview(
    await readOriginal(originalHash),
    recipe,
  );
  return {
    ...preview,
    needed: pixelsNeeded(recipe, original.type === "svg"),
    use: pictureUse(recipe, original.type),
    source: hostedPath({ hash, fileName: publicFileName(original.name, preview.type) }),
    bytes: bytes.length,
    picture: dataAddress(bytes, preview.type),
    drawnBytes: drawn.length,
    drawn: dataAddress(drawn, "png"),
  };
}
