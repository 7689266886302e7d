/** The user's own list of networks: name, glyph, and where the pages of handles are. */
import { asc, eq } from "drizzle-orm";
import type { NetworkKind } from "@/core/links";
import { database } from "../database/database";
import { networkKinds } from "../database/schema";
import { notFound } from "../http/refusal";

/** In the order in which they were added. */
export async function listNetworks(): Promise<readonly NetworkKind[]> {
  const rows = await (await database()).select().from(networkKinds).orderBy(asc(networkKinds.createdAt));
  return rows.map(({ id, name, glyph, pattern }) => ({ id, name, glyph, pattern }));
}

/** Adds a network, or changes the one with its id. */
export async function saveNetwork(network: NetworkKind): Promise<NetworkKind> {
  await (
    await database()
  )
    .insert(networkKinds)
    .values({ ...network, createdAt: Date.now() })
    .onConflictDoUpdate({ target: networkKinds.id, set: network });
  return network;
}

export async function deleteNetwork(id: string): Promise<void> {
  const deleted = await (
    await database()
  )
    .delete(networkKinds)
    .where(eq(networkKinds.id, id))
    .returning({ id: networkKinds.id });
  if (deleted.length === 0) throw notFound("network");
}
