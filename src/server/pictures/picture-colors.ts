/** The colours of hosted pictures: worked out once, when they are first asked for, and kept. */
import { inArray } from "drizzle-orm";
import { readPicturePath, type HostedAddress } from "@/core/addresses";
import { isPictureColors, type PictureColors } from "@/core/pictures";
import type { Cut } from "@/contract";
import { database } from "../database/database";
import { pictureColors } from "../database/schema";
import { imaging } from "../imaging/imaging";
import { readHosted } from "./cuts";

function readKept(text: string): PictureColors | null {
  const kept: unknown = JSON.parse(text);
  return isPictureColors(kept) ? kept : null;
}

/** By the path that each is drawn from. A picture that cannot be looked at is left out. */
export async function colorsOfCuts(cuts: readonly Cut[]): Promise<Readonly<Record<string, PictureColors>>> {
  const paths = new Map<string, HostedAddress>();
  for (const { source } of cuts) {
    const path = readPicturePath(source);
    if (path) paths.set(source, path);
  }
  if (paths.size === 0) return {};
  const db = await database();
  const hashes = [...new Set([...paths.values()].map(({ hash }) => hash))];
  const rows = await db.select().from(pictureColors).where(inArray(pictureColors.hash, hashes));
  const known = new Map(rows.map(({ hash, colors }) => [hash, readKept(colors)]));
  const found = await Promise.all(
    [...paths].map(async ([source, { hash, fileName }]) => {
      const before = known.get(hash);
      if (before) return [[source, before] as const];
      try {
        const hosted = await readHosted(hash, fileName);
        if (!hosted) return [];
        const colors = await imaging.colorsOf(hosted.bytes);
        const row = { hash, colors: JSON.stringify(colors) };
        await db
          .insert(pictureColors)
          .values(row)
          .onConflictDoUpdate({ target: pictureColors.hash, set: row });
        return [[source, colors] as const];
      } catch {
        // Nothing is claimed of what could not be seen.
        return [];
      }
    }),
  );
  return Object.fromEntries(found.flat());
}
