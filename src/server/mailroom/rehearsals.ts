/** Rehearsals: begun at the Install station, told what happens at a desk, ended when they are done or given up. */
import { and, eq } from "drizzle-orm";
import type { Rehearsal } from "@/contract";
import { clientForKind, rehearsed, type DeskClientId, type Happening } from "@/core/desks";
import { kitLetter } from "@/core/install";
import { database } from "../database/database";
import { rehearsals, signatures } from "../database/schema";
import { kitSource } from "../install/kit-source";
import { carry } from "../mail/send";
import { findSignature } from "../signatures/signatures";
import { clientNamed } from "./desk";
import { happened, happenedToSignature } from "./happenings";
import { mailboxOf } from "./mailboxes";

const at = (personId: string, client: DeskClientId) =>
  and(eq(rehearsals.personId, personId), eq(rehearsals.client, client));

/** The rehearsal that goes on at a desk; null where none does. */
export async function rehearsalAt(personId: string, clientId: string): Promise<Rehearsal | null> {
  const client = clientNamed(clientId);
  await mailboxOf(personId);
  const [row] = await (
    await database()
  )
    .select({ rehearsal: rehearsals, name: signatures.name, revision: signatures.revision })
    .from(rehearsals)
    .innerJoin(signatures, eq(signatures.id, rehearsals.signatureId))
    .where(at(personId, client.id));
  if (!row) return null;
  const steps = rehearsed(client.id, JSON.parse(row.rehearsal.happened) as Happening[]);
  return {
    signatureId: row.rehearsal.signatureId,
    signatureName: row.name,
    revision: row.revision,
    kind: client.kind,
    clientName: client.name,
    steps,
  };
}

/** Begins a rehearsal at a desk, from its first step; another one there is given up. */
export async function beginRehearsal(personId: string, clientId: string, signatureId: string): Promise<void> {
  const client = clientNamed(clientId);
  await mailboxOf(personId);
  await findSignature(signatureId);
  const values = { signatureId, happened: "[]", startedAt: Date.now() };
  await (
    await database()
  )
    .insert(rehearsals)
    .values({ personId, client: client.id, ...values })
    .onConflictDoUpdate({ target: [rehearsals.personId, rehearsals.client], set: values });
}

export async function endRehearsal(personId: string, clientId: string): Promise<void> {
  const client = clientNamed(clientId);
  await mailboxOf(personId);
  await (await database()).delete(rehearsals).where(at(personId, client.id));
}

/** The signature was copied at the Install station. */
export async function tellCopied(signatureId: string): Promise<void> {
  await findSignature(signatureId);
  const client = clientForKind("webmail");
  if (client) await happenedToSignature(signatureId, client.id, "copied");
}

/** Puts the letter of a signature's kit, with the person's own details, into the person's mailbox. */
export async function mailKit(personId: string, signatureId: string): Promise<void> {
  const { person } = await mailboxOf(personId);
  const source = await kitSource(await findSignature(signatureId), person);
  const { bytes } = kitLetter(source, "full", "hosted");
  await carry(person.mail, [person.mail], Buffer.from(bytes));
  await happened(personId, "wren", "delivered");
}

/** What only the page knows of: something was pasted, or attached. */
export async function tellRehearsal(personId: string, clientId: string, what: Happening): Promise<void> {
  const client = clientNamed(clientId);
  await mailboxOf(personId);
  await happened(personId, client.id, what);
}
