/** The user's own list of networks: name, glyph, and where the pages of handles are. */
import { asc, eq } from "drizzle-orm";
import { object, string } from "yup";
import { isNetworkPattern, type NetworkKind } from "@/core/links";
import { database } from "../database/database";
import { networkKinds } from "../database/schema";

const kind = object({
  id: string()
    .required()
    .matches(/^[a-z0-9-]{1,60}$/, "A network's id has small letters, digits and hyphens only."),
  name: string()
    .trim()
    .required("A network needs a name.")
    .max(60, "A network's name has at most 60 characters."),
  glyph: string().trim().defined().max(60),
  pattern: string()
    .trim()
    .required("Say where its pages are.")
    .max(300, "An address pattern has at most 300 characters.")
    .test(
      "pattern",
      "Say where its pages are, such as https://plotline.example/ with the handle after it.",
      isNetworkPattern,
    ),
});

/** In the order in which they were added. */
export async function listNetworks(): Promise<readonly NetworkKind[]> {
  const rows = await (await database()).select().from(networkKinds).orderBy(asc(networkKinds.createdAt));
  return rows.map(({ id, name, glyph, pattern }) => ({ id, name, glyph, pattern }));
}

/** Adds a network, or changes the one with its id. Rejects with a ValidationError that says what is wrong. */
export async function saveNetwork(input: unknown): Promise<NetworkKind> {
  const checked = await kind.validate(input, { stripUnknown: true });
  await (
    await database()
  )
    .insert(networkKinds)
    .values({ ...checked, createdAt: Date.now() })
    .onConflictDoUpdate({ target: networkKinds.id, set: checked });
  return checked;
}

export async function deleteNetwork(id: string): Promise<void> {
  await (await database()).delete(networkKinds).where(eq(networkKinds.id, id));
}
