/** What is set once for everybody: each setting has a name, and a value that is described. */
import { eq } from "drizzle-orm";
import { complaintOf, type Value } from "@/core/values";
import { database } from "../database/database";
import { settings } from "../database/schema";

export interface Setting<T> {
  readonly name: string;
  /** Null before it was ever set, or where what was kept no longer fits. */
  readonly find: () => Promise<T | null>;
  readonly keep: (value: T) => Promise<void>;
}

export const setting = <T>(name: string, value: Value<T>): Setting<T> => ({
  name,
  find: async () => {
    const [row] = await (await database()).select().from(settings).where(eq(settings.name, name));
    if (!row) return null;
    const kept: unknown = JSON.parse(row.value);
    const complaint = value.check(kept);
    if (complaint !== null) throw new TypeError(`What is kept does not fit: ${complaintOf(name, complaint)}`);
    return value.read(kept);
  },
  keep: async (next) => {
    const text = JSON.stringify(next);
    await (
      await database()
    )
      .insert(settings)
      .values({ name, value: text })
      .onConflictDoUpdate({ target: settings.name, set: { value: text } });
  },
});
