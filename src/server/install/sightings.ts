/** Screenshots of what was received of an install, with what was found in them. */
import { randomUUID } from "node:crypto";
import { and, desc, eq, inArray, isNull } from "drizzle-orm";
import type { Sighting, ToldSighting } from "@/contract";
import { sniffType } from "@/core/pictures";
import { database } from "../database/database";
import { installs, sightings } from "../database/schema";
import { bytesAnswer } from "../http/handle";
import { notFound, Refusal } from "../http/refusal";
import { contentHash } from "../imaging/content-hash";
import { imaging } from "../imaging/imaging";
import { pictureStore } from "../store/store";

type SightingRow = typeof sightings.$inferSelect;

/** An install has at most so many. */
const most = 40;

const toSighting = ({ id, name, width, height, told, createdAt }: SightingRow): Sighting => ({
  ...{ id, name, width, height, createdAt },
  told: told === null ? null : (JSON.parse(told) as ToldSighting),
});

const shown = (installIds: readonly string[]) =>
  and(inArray(sightings.installId, [...installIds]), isNull(sightings.removedAt));

/** Of some installs, the newest first. */
export async function sightingsOf(
  installIds: readonly string[],
): Promise<ReadonlyMap<string, readonly Sighting[]>> {
  const found = new Map<string, Sighting[]>();
  if (installIds.length === 0) return found;
  const rows = await (
    await database()
  )
    .select()
    .from(sightings)
    .where(shown(installIds))
    .orderBy(desc(sightings.createdAt));
  for (const row of rows) {
    const group = found.get(row.installId);
    if (group) group.push(toSighting(row));
    else found.set(row.installId, [toSighting(row)]);
  }
  return found;
}

/** Keeps a screenshot. Refuses what is no picture, and one more than an install may have. */
export async function keepSighting(
  installId: string,
  { bytes, name }: { readonly bytes: Uint8Array; readonly name: string },
): Promise<{ id: string }> {
  const db = await database();
  const [install] = await db
    .select({ id: installs.id })
    .from(installs)
    .where(and(eq(installs.id, installId), isNull(installs.removedAt)));
  if (!install) throw notFound("install");
  if ((await db.$count(sightings, shown([installId]))) >= most)
    throw new Refusal(
      409,
      "too-many-sightings",
      `An install keeps at most ${most} screenshots: remove one that is not needed any more.`,
    );
  const { type, width, height } = await imaging.inspectPicture(bytes, name);
  if (type === "svg")
    throw new Refusal(415, "no-screenshot", `“${name}” is a drawing: a screenshot is a PNG or a JPEG.`);
  const hash = contentHash(bytes);
  await pictureStore().put({ kind: "sighting", hash }, bytes);
  const id = randomUUID();
  await db.insert(sightings).values({ id, installId, hash, name, width, height, createdAt: Date.now() });
  return { id };
}

async function findRow(id: string): Promise<SightingRow> {
  const [row] = await (
    await database()
  )
    .select()
    .from(sightings)
    .where(and(eq(sightings.id, id), isNull(sightings.removedAt)));
  if (!row) throw notFound("screenshot");
  return row;
}

/** Keeps what was found in a screenshot. */
export async function tellSighting(id: string, told: ToldSighting): Promise<void> {
  await findRow(id);
  await (
    await database()
  )
    .update(sightings)
    .set({ told: JSON.stringify(told) })
    .where(eq(sightings.id, id));
}

/** The picture itself, for the application's own screens. */
export async function sightingPicture(id: string): Promise<Response> {
  const bytes = await pictureStore().get({ kind: "sighting", hash: (await findRow(id)).hash });
  if (!bytes) throw notFound("screenshot");
  return bytesAnswer(bytes, {
    "content-type": `image/${sniffType(bytes)}`,
    "cache-control": "private, max-age=31536000, immutable",
    "x-content-type-options": "nosniff",
  });
}

async function setRemoved(id: string, removedAt: number | null): Promise<void> {
  const rows = await (
    await database()
  )
    .update(sightings)
    .set({ removedAt })
    .where(eq(sightings.id, id))
    .returning({ id: sightings.id });
  if (rows.length === 0) throw notFound("screenshot");
}

/** Takes a screenshot away; it can be taken back. */
export const removeSighting = (id: string): Promise<void> => setRemoved(id, Date.now());

export const restoreSighting = (id: string): Promise<void> => setRemoved(id, null);
