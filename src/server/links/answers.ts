/** What is kept of walks, and of links that a person opened by hand. */
import { inArray } from "drizzle-orm";
import type { KeptAnswer } from "@/contract";
import type { LinkAnswer } from "@/core/links";
import { database } from "../database/database";
import { linkAnswers, linkOpenings } from "../database/schema";

export async function keepAnswer(answer: LinkAnswer): Promise<KeptAnswer> {
  const walkedAt = Date.now();
  const text = JSON.stringify(answer);
  await (
    await database()
  )
    .insert(linkAnswers)
    .values({ address: answer.address, answer: text, walkedAt })
    .onConflictDoUpdate({ target: linkAnswers.address, set: { answer: text, walkedAt } });
  return { ...answer, walkedAt };
}

/** By address; those that were never walked are missing. */
export async function findAnswers(
  addresses: readonly string[],
): Promise<Readonly<Record<string, KeptAnswer>>> {
  if (addresses.length === 0) return {};
  const rows = await (
    await database()
  )
    .select()
    .from(linkAnswers)
    .where(inArray(linkAnswers.address, [...addresses]));
  return Object.fromEntries(
    rows.map(({ address, answer, walkedAt }) => [
      address,
      { ...(JSON.parse(answer) as LinkAnswer), walkedAt },
    ]),
  );
}

/** Says that a person saw where a link leads. Resolves with when; ms since 1970. */
export async function recordOpening(address: string): Promise<number> {
  const openedAt = Date.now();
  await (
    await database()
  )
    .insert(linkOpenings)
    .values({ address, openedAt })
    .onConflictDoUpdate({ target: linkOpenings.address, set: { openedAt } });
  return openedAt;
}

/** When each was last opened by hand, by address; ms since 1970. */
export async function findOpenings(addresses: readonly string[]): Promise<Readonly<Record<string, number>>> {
  if (addresses.length === 0) return {};
  const rows = await (
    await database()
  )
    .select()
    .from(linkOpenings)
    .where(inArray(linkOpenings.address, [...addresses]));
  return Object.fromEntries(rows.map(({ address, openedAt }) => [address, openedAt]));
}
