/** Originals: uploaded files, kept untouched under the hash of their bytes. */
import { and, asc, desc, eq, inArray, isNull } from "drizzle-orm";
import type { AddedFiles, Original, RefusedFile } from "@/contract";
import { isAnimatedPng, sniffType, type Focus } from "@/core/pictures";
import { database } from "../database/database";
import { originals } from "../database/schema";
import { notFound, Refusal } from "../http/refusal";
import { contentHash } from "../imaging/content-hash";
import { imaging } from "../imaging/imaging";
import { pictureStore } from "../store/store";

export type OriginalRow = typeof originals.$inferSelect;

export const toOriginal = ({
  hash,
  name,
  type,
  width,
  height,
  bytes,
  transparent,
  frames,
  createdAt,
}: OriginalRow) =>
  ({ hash, name, type, width, height, bytes, transparent, frames, createdAt }) satisfies Original;

/** Keeps an uploaded file as an original; the same bytes again are the same original, and back if it was removed. */
export async function addOriginal(bytes: Uint8Array, name: string): Promise<Original> {
  const inspected = await imaging.inspectPicture(bytes, name);
  const hash = contentHash(bytes);
  await pictureStore().put({ kind: "original", hash }, bytes);
  await (
    await database()
  )
    .insert(originals)
    .values({ hash, name, ...inspected, bytes: bytes.length, createdAt: Date.now() })
    .onConflictDoUpdate({ target: originals.hash, set: { removedAt: null, replacedBy: null } });
  return findOriginal(hash);
}

/** What is not used of a picture that is taken; none where all of it is. */
const notesOn = (bytes: Uint8Array, name: string): readonly string[] =>
  isAnimatedPng(bytes)
    ? [`“${name}” moves, and of a PNG only the still picture is used: save it as GIF or WebP to make a loop.`]
    : [];

/** Keeps a file, or each picture of an archive; what cannot be used is said file by file. */
export async function addUpload(bytes: Uint8Array, name: string): Promise<AddedFiles> {
  if (sniffType(bytes) !== "zip")
    return { originals: [await addOriginal(bytes, name)], refused: [], notes: notesOn(bytes, name) };
  const added: Original[] = [];
  const notes: string[] = [];
  const refused: RefusedFile[] = [];
  for (const file of await imaging.unpackArchive(bytes, name))
    try {
      added.push(await addOriginal(file.bytes, file.name));
      notes.push(...notesOn(file.bytes, file.name));
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      refused.push({ name: file.name, message: error.message });
    }
  return { originals: added, refused, notes };
}

/** Refuses with 404 when it is not in the library. */
export const findOriginal = async (hash: string): Promise<Original> =>
  toOriginal(await findOriginalRow(hash));

export async function findOriginalRow(hash: string): Promise<OriginalRow> {
  const [row] = await (
    await database()
  )
    .select()
    .from(originals)
    .where(and(eq(originals.hash, hash), isNull(originals.removedAt)));
  if (!row) throw notFound("original");
  return row;
}

/** Neither removed nor replaced by another. */
export const inLibrary = and(isNull(originals.removedAt), isNull(originals.replacedBy));

/** All originals that stand in the library, newest first. */
export const listOriginals = async (): Promise<readonly Original[]> =>
  (
    await (
      await database()
    )
      .select()
      .from(originals)
      .where(inLibrary)
      .orderBy(desc(originals.createdAt), asc(originals.name))
  ).map(toOriginal);

/** Refuses with 404 when its bytes are gone. */
export async function readOriginal(hash: string): Promise<Buffer> {
  const { hash: known } = await findOriginal(hash);
  const bytes = await pictureStore().get({ kind: "original", hash: known });
  if (!bytes) throw notFound("original");
  return bytes;
}

/** Those of some that stand in the library, by their hashes. */
export async function findOriginals(hashes: readonly string[]): Promise<ReadonlyMap<string, Original>> {
  if (hashes.length === 0) return new Map();
  const rows = await (
    await database()
  )
    .select()
    .from(originals)
    .where(and(inArray(originals.hash, [...hashes]), isNull(originals.removedAt)));
  return new Map(rows.map((row) => [row.hash, toOriginal(row)]));
}

export async function renameOriginal(hash: string, name: string): Promise<Original> {
  await findOriginal(hash);
  await (await database()).update(originals).set({ name }).where(eq(originals.hash, hash));
  return findOriginal(hash);
}

/** The part of a photograph that is to be seen of somebody, in px of it. Refuses with 404 when it is not in the library. */
export const suggestFocus = async (hash: string): Promise<Focus> =>
  imaging.findFocus(await readOriginal(hash));
