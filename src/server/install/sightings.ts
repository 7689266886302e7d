/** Screenshots of what was received of an install, with what was found in them. */
import { randomUUID } from "node:crypto";
import { and, desc, eq, inArray, isNotNull, isNull, max, type SQL } from "drizzle-orm";
import type { KeptSighting, ToldSighting } from "@/contract";
import { unstillReason } from "@/core/layout";
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

const readTold = (told: string): ToldSighting => JSON.parse(told) as ToldSighting;

const shown = (installIds: readonly string[]) =>
  and(inArray(sightings.installId, [...installIds]), isNull(sightings.removedAt));

/** Those of an install, the newest first. */
export async function sightingsOf({
  id: installId,
  installedAt,
}: Pick<typeof installs.$inferSelect, "id" | "installedAt">): Promise<readonly KeptSighting[]> {
  const rows = await (
    await database()
  )
    .select()
    .from(sightings)
    .where(shown([installId]))
    .orderBy(desc(sightings.createdAt));
  return rows.map(({ id, name, width, height, told, createdAt }) => ({
    ...{ id, name, width, height, createdAt },
    told: told === null ? null : readTold(told),
    current: createdAt >= installedAt,
  }));
}

/** When, and with what not still, each of some installs was last found in a screenshot. */
export async function lastArrivals(
  installIds: readonly string[],
): Promise<ReadonlyMap<string, { readonly at: number; readonly unstill: ToldSighting["parts"] }>> {
  if (installIds.length === 0) return new Map();
  const rows = await (
    await database()
  )
    // Beside a maximum SQLite answers with the other columns of its row.
    .select({ id: sightings.installId, told: sightings.told, at: max(sightings.createdAt) })
    .from(sightings)
    .where(and(shown(installIds), isNotNull(sightings.told)))
    .groupBy(sightings.installId);
  return new Map(
    rows.flatMap(({ id, told, at }) =>
      told === null || at === null
        ? []
        : [
            [
              id,
              { at, unstill: readTold(told).parts.filter((part) => unstillReason(part) !== null) },
            ] as const,
          ],
    ),
  );
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

const there = (id: string) => and(eq(sightings.id, id), isNull(sightings.removedAt));

/** Changes a screenshot. Refuses one that is not there. */
async function change(where: SQL | undefined, values: Partial<SightingRow>): Promise<void> {
  const rows = await (
    await database()
  )
    .update(sightings)
    .set(values)
    .where(where)
    .returning({ id: sightings.id });
  if (rows.length === 0) throw notFound("screenshot");
}

/** Keeps what was found in a screenshot. */
export const tellSighting = (id: string, told: ToldSighting): Promise<void> =>
  change(there(id), { told: JSON.stringify(told) });

/** The picture itself, for the application's own screens. */
export async function sightingPicture(id: string): Promise<Response> {
  const [row] = await (await database()).select({ hash: sightings.hash }).from(sightings).where(there(id));
  const bytes = row && (await pictureStore().get({ kind: "sighting", hash: row.hash }));
  if (!bytes) throw notFound("screenshot");
  return bytesAnswer(bytes, {
    "content-type": `image/${sniffType(bytes)}`,
    "cache-control": "private, max-age=31536000, immutable",
    "x-content-type-options": "nosniff",
  });
}

/** Takes a screenshot away; it can be taken back. */
export const removeSighting = (id: string): Promise<void> => change(there(id), { removedAt: Date.now() });

export const restoreSighting = (id: string): Promise<void> =>
  change(eq(sightings.id, id), { removedAt: null });
