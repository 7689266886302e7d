/**
 * How still signatures are, as it was last measured. Browsers measure; the server keeps what they found beside a hash of the
 * HTML that it compiles itself, and says nothing of any other HTML.
 */
import { inArray } from "drizzle-orm";
import type { Stillness } from "@/contract";
import { database } from "../database/database";
import { stillness } from "../database/schema";
import { Refusal } from "../http/refusal";
import { contentHash } from "../imaging/content-hash";
import { openSignature } from "./open-signature";

const hashOf = (html: string): string => contentHash(new TextEncoder().encode(html));

interface Measured extends Stillness {
  /** The revision that was measured. */
  readonly revision: number;
}

/** Keeps what was measured of a signature. Refuses when it is gone, was changed since, or cannot be so. */
export async function keepStillness(id: string, { revision, still, all }: Measured): Promise<void> {
  const signature = await openSignature(id);
  if (signature.revision !== revision)
    throw new Refusal(409, "measured-before", "The signature was changed since it was measured.");
  if (still > all) throw new Refusal(400, "bad-request", `It cannot be still in ${still} of ${all} proofs.`);
  const row = { signatureId: id, htmlHash: hashOf(signature.html), still, all };
  await (
    await database()
  )
    .insert(stillness)
    .values(row)
    .onConflictDoUpdate({ target: stillness.signatureId, set: row });
}

/** By signature, where what was measured is what it is now. */
export async function findStillness(
  signatures: readonly { readonly id: string; readonly html: string }[],
): Promise<ReadonlyMap<string, Stillness>> {
  const now = new Map(signatures.map(({ id, html }) => [id, hashOf(html)]));
  const rows = await (
    await database()
  )
    .select()
    .from(stillness)
    .where(inArray(stillness.signatureId, [...now.keys()]));
  return new Map(
    rows
      .filter(({ signatureId, htmlHash }) => now.get(signatureId) === htmlHash)
      .map(({ signatureId, still, all }) => [signatureId, { still, all }]),
  );
}

/** Of one signature; null while it has not been measured as it is. */
export const keptStillness = async (signature: {
  readonly id: string;
  readonly html: string;
}): Promise<Stillness | null> => (await findStillness([signature])).get(signature.id) ?? null;
