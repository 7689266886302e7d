/** Pictures at addresses elsewhere that somebody looked at, with what was found. */
import { desc, eq, inArray } from "drizzle-orm";
import type { ForeignPicture } from "@/contract";
import type { AddressReport } from "@/core/links";
import { database } from "../database/database";
import { foreignPictures } from "../database/schema";
import { notFound } from "../http/refusal";
import { inspectAddress } from "./inspect-address";

type Row = typeof foreignPictures.$inferSelect;
const toForeign = ({ report, checkedAt }: Row): ForeignPicture => ({
  ...(JSON.parse(report) as AddressReport),
  checkedAt,
});

/** Looks at an address, and keeps what was found. */
export async function lookAtAddress(address: string): Promise<ForeignPicture> {
  const report = await inspectAddress(address);
  const checkedAt = Date.now();
  const text = JSON.stringify(report);
  await (
    await database()
  )
    .insert(foreignPictures)
    .values({ address: report.address, report: text, checkedAt })
    .onConflictDoUpdate({ target: foreignPictures.address, set: { report: text, checkedAt } });
  return { ...report, checkedAt };
}

/** The latest looks first. */
export const listForeignPictures = async (): Promise<readonly ForeignPicture[]> =>
  (await (await database()).select().from(foreignPictures).orderBy(desc(foreignPictures.checkedAt))).map(
    toForeign,
  );

export const findForeignPictures = async (
  addresses: readonly string[],
): Promise<readonly ForeignPicture[]> =>
  addresses.length === 0
    ? []
    : (
        await (
          await database()
        )
          .select()
          .from(foreignPictures)
          .where(inArray(foreignPictures.address, [...addresses]))
      ).map(toForeign);

export async function forgetForeignPicture(address: string): Promise<void> {
  const forgotten = await (
    await database()
  )
    .delete(foreignPictures)
    .where(eq(foreignPictures.address, address))
    .returning({ address: foreignPictures.address });
  if (forgotten.length === 0) throw notFound("address");
}
