/** What a person's client in the Mailroom holds: signatures as text, as files of a folder, or as archives. */
import { and, desc, eq } from "drizzle-orm";
import { usualDesk, type Desk } from "@/contract";
import { received, signatureOverrun, standIns } from "@/core/clients";
import {
  choicesFor,
  deskClients,
  isDeskClient,
  ownAddresses,
  type DeskClient,
  type DeskClientId,
  type DeskSettings,
  type HeldSignature,
} from "@/core/desks";
import { readArchive, readFolder } from "@/core/mailroom";
import { database } from "../database/database";
import { deskFiles, desks } from "../database/schema";
import { notFound, Refusal } from "../http/refusal";
import { happened } from "./happenings";
import { mailboxOf } from "./mailboxes";

export type DeskFileRow = typeof deskFiles.$inferSelect;

export function clientNamed(id: string): DeskClient {
  if (!isDeskClient(id)) throw notFound("client");
  return deskClients[id];
}

const nothing: DeskSettings = { signatures: [], choices: [] };

const atDesk = (personId: string, client: DeskClientId) =>
  and(eq(desks.personId, personId), eq(desks.client, client));

export async function settingsOf(personId: string, client: DeskClientId): Promise<DeskSettings> {
  const [row] = await (await database()).select().from(desks).where(atDesk(personId, client));
  return row ? (JSON.parse(row.settings) as DeskSettings) : nothing;
}

export async function keepSettings(
  personId: string,
  client: DeskClientId,
  settings: DeskSettings,
): Promise<void> {
  const values = { settings: JSON.stringify(settings), updatedAt: Date.now() };
  await (
    await database()
  )
    .insert(desks)
    .values({ personId, client, ...values })
    .onConflictDoUpdate({ target: [desks.personId, desks.client], set: values });
}

/** The files of a client, by path. */
export async function filesOf(personId: string, client: DeskClientId): Promise<readonly DeskFileRow[]> {
  return (await database())
    .select()
    .from(deskFiles)
    .where(and(eq(deskFiles.personId, personId), eq(deskFiles.client, client)))
    .orderBy(deskFiles.path);
}

/** The client that was set up last at a person's desk. */
export async function usualClient(personId: string): Promise<DeskClientId> {
  const [row] = await (
    await database()
  )
    .select({ client: desks.client })
    .from(desks)
    .where(eq(desks.personId, personId))
    .orderBy(desc(desks.updatedAt))
    .limit(1);
  return row?.client ?? usualDesk;
}

interface Held {
  readonly held: readonly HeldSignature[];
  readonly strays: readonly string[];
  readonly running: boolean;
}

const asHeld = ({ signatures }: DeskSettings): Held => ({
  held: signatures.map((signature) => ({ ...signature, pictures: {}, complaints: [] })),
  strays: [],
  running: true,
});

function heldIn(client: DeskClient, settings: DeskSettings, files: readonly DeskFileRow[]): Held {
  if (client.holding === "text") return asHeld(settings);
  if (client.holding === "folder") {
    const { signatures, strays } = readFolder(files, client.id);
    return { held: signatures, strays, running: true };
  }
  return {
    held: files.map((file) => readArchive(file, client.id)),
    strays: [],
    running: files.some(({ held }) => held !== null) || files.length === 0,
  };
}

export async function openDesk(personId: string, clientId: string): Promise<Desk> {
  const client = clientNamed(clientId);
  const { person } = await mailboxOf(personId);
  const [settings, files] = await Promise.all([
    settingsOf(personId, client.id),
    client.holding === "text" ? [] : filesOf(personId, client.id),
  ]);
  const addresses = ownAddresses(person);
  const held = heldIn(client, settings, files);
  return {
    client: client.id,
    person: { id: personId, name: person.name },
    addresses,
    ...held,
    choices: choicesFor(client, settings.choices, addresses, held.held),
  };
}

/** What was put into a client's settings, as this kind of client keeps it; refuses what is longer than it takes. */
function cleaned(client: DeskClient, name: string, html: string): string {
  const kept = client.holding === "text" ? received(html, client.standIn).html : html;
  const over = signatureOverrun(kept, client.standIn);
  if (over === 0) return kept;
  const most = standIns[client.standIn].signatureLimit ?? 0;
  throw new Refusal(
    422,
    "too-long",
    `“${name}” has ${kept.length.toLocaleString("en")} characters and ${most.toLocaleString("en")} is the most. Nothing was changed: take ${over.toLocaleString("en")} out and keep it again.`,
  );
}

/** Keeps the settings of a desk; the signatures of a client that holds files are those files, whatever is given. */
export async function keepDesk(personId: string, clientId: string, given: DeskSettings): Promise<Desk> {
  const client = clientNamed(clientId);
  await mailboxOf(personId);
  const names = given.signatures.map(({ name }) => name);
  const twice = names.find((name, index) => names.indexOf(name) !== index);
  if (twice !== undefined)
    throw new Refusal(
      422,
      "same-name",
      `There are two signatures named “${twice}”. Nothing was changed: give one of them another name.`,
    );
  const signatures =
    client.holding === "text"
      ? given.signatures.map(({ id, name, html }) => ({ id, name, html: cleaned(client, name, html) }))
      : [];
  await keepSettings(personId, client.id, { ...given, signatures });
  if (signatures.some(({ html }) => html !== "")) await happened(personId, client.id, "kept");
  const held = await openDesk(personId, clientId);
  if (held.choices.some(({ underNew }) => held.held.some(({ id, html }) => id === underNew && html !== "")))
    await happened(personId, client.id, "chosen");
  return held;
}
