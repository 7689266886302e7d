/** Pictures that nothing uses: listed, removed, taken back, and in the end taken away. */
import { and, eq, inArray, isNotNull, isNull, lt, type SQL } from "drizzle-orm";
import type { Cut, Removal, Unused } from "@/contract";
import { hostedPath, readPicturePath } from "@/core/addresses";
import { database } from "../database/database";
import { cuts, icons, originals } from "../database/schema";
import { notFound, Refusal } from "../http/refusal";
import { pictureStore } from "../store/store";
import { picturesOfPeople } from "../people/pictures-of-people";
import { listCuts, madeOf } from "./cuts";
import { listOriginals } from "./originals";
import { usageElsewhere, usageInSignatures } from "./usage";

/** What is removed can be taken back for so long; ms. */
const keptAfterRemoval = 30 * 24 * 60 * 60_000;

export async function listUnused(): Promise<Unused> {
  const [all, everyOriginal, shown, kept, own, portraits] = await Promise.all([
    listCuts(),
    listOriginals(),
    usageInSignatures(),
    usageElsewhere(),
    ownIconHashes(),
    picturesOfPeople(),
  ]);
  const isUsed = ({ source }: Cut): boolean => shown.has(source) || kept.has(source);
  const needed = new Set(all.filter(isUsed).flatMap(madeOf));
  return {
    cuts: all.filter((cut) => !isUsed(cut)),
    // The user's own icons are kept in their packs, used or not.
    originals: everyOriginal.filter(
      ({ hash }) => !needed.has(hash) && !own.has(hash) && !portraits.has(hash),
    ),
  };
}

const ownIconHashes = async (): Promise<ReadonlySet<string>> => {
  const rows = await (
    await database()
  )
    .select({ hash: icons.originalHash })
    .from(icons)
    .where(isNull(icons.glyph));
  return new Set(rows.map(({ hash }) => hash));
};

const cutIs = (path: string): SQL => {
  const address = readPicturePath(path);
  if (!address) throw new Refusal(422, "not-hosted", `“${path}” is not hosted here.`);
  return and(eq(cuts.hash, address.hash), eq(cuts.fileName, address.fileName))!;
};

/** Removes cuts and originals, each original with all its cuts. Refuses as a whole when any of them is in use. */
export async function removePictures(asked: Removal): Promise<Removal> {
  const unused = await listUnused();
  const [freeCuts, freeOriginals] = [
    new Set(unused.cuts.map(({ source }) => source)),
    new Set(unused.originals.map(({ hash }) => hash)),
  ];
  const taken =
    asked.cuts.find((source) => !freeCuts.has(source)) ??
    asked.originals.find((hash) => !freeOriginals.has(hash));
  if (taken !== undefined)
    throw new Refusal(409, "in-use", "One of these pictures is in use again: nothing was removed.");
  const all = await listCuts();
  const removed = new Set([
    ...asked.cuts,
    ...all
      .filter((cut) => madeOf(cut).some((hash) => asked.originals.includes(hash)))
      .map(({ source }) => source),
  ]);
  const db = await database();
  const removedAt = Date.now();
  for (const source of removed) await db.update(cuts).set({ removedAt }).where(cutIs(source));
  if (asked.originals.length > 0)
    await db
      .update(originals)
      .set({ removedAt })
      .where(inArray(originals.hash, [...asked.originals]));
  return { cuts: [...removed], originals: asked.originals };
}

/** Takes a removal back. */
export async function restorePictures(removal: Removal): Promise<void> {
  const db = await database();
  const places = removal.cuts.map(cutIs);
  let restored = 0;
  if (removal.originals.length > 0) {
    const rows = await db
      .update(originals)
      .set({ removedAt: null })
      .where(inArray(originals.hash, [...removal.originals]))
      .returning({ hash: originals.hash });
    restored += rows.length;
  }
  for (const place of places) {
    const rows = await db.update(cuts).set({ removedAt: null }).where(place).returning({ hash: cuts.hash });
    restored += rows.length;
  }
  if (restored === 0) throw notFound("removed picture");
}

/** Takes away for good what was removed long ago. */
export async function purgeRemoved(now = Date.now()): Promise<void> {
  const db = await database();
  const store = pictureStore();
  const before = now - keptAfterRemoval;
  const oldCuts = await db
    .select()
    .from(cuts)
    .where(and(isNotNull(cuts.removedAt), lt(cuts.removedAt, before)));
  for (const cut of oldCuts) {
    await db.delete(cuts).where(cutIs(hostedPath(cut)));
    const same = await db.select({ hash: cuts.hash }).from(cuts).where(eq(cuts.hash, cut.hash));
    if (same.length === 0) await store.remove({ kind: "cut", ...cut });
  }
  const oldOriginals = await db
    .select()
    .from(originals)
    .where(
      and(isNotNull(originals.removedAt), lt(originals.removedAt, before), isNull(originals.replacedBy)),
    );
  for (const { hash } of oldOriginals) {
    const needed = await db.select({ hash: cuts.hash }).from(cuts).where(eq(cuts.originalHash, hash));
    if (needed.length > 0) continue;
    await db.delete(originals).where(eq(originals.hash, hash));
    await store.remove({ kind: "original", hash });
  }
}
