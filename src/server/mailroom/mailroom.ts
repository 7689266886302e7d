/** The Mailroom's mailboxes, and the signature that each person keeps in the stand-in webmail's settings. */
import { and, count, desc, eq, isNull } from "drizzle-orm";
import PostalMime from "postal-mime";
import type { DirectoryPerson } from "@/contract";
import { received, signatureOverrun, standIns } from "@/core/clients";
import { database } from "../database/database";
import { mailroomSignatures, messages } from "../database/schema";
import { notFound, Refusal } from "../http/refusal";
import { sendMessage } from "../mail/send";
import { findPerson } from "../people/people";

export interface MessageHead {
  readonly id: string;
  readonly fromName: string;
  readonly fromAddress: string;
  readonly subject: string;
  readonly receivedAt: number;
  readonly read: boolean;
}

export interface OpenedMessage extends MessageHead {
  readonly toName: string;
  readonly toAddress: string;
  /** The HTML part as it came, or the plain part; never shown without `received`. */
  readonly html: string | null;
  readonly text: string;
  readonly raw: string;
}

export async function mailboxOf(personId: string): Promise<DirectoryPerson> {
  const found = await findPerson(personId);
  if (!found) throw notFound("mailbox");
  return found;
}

const toHead = (row: typeof messages.$inferSelect): MessageHead => ({
  id: row.id,
  fromName: row.fromName,
  fromAddress: row.fromAddress,
  subject: row.subject,
  receivedAt: row.receivedAt,
  read: row.readAt !== null,
});

/** A person's messages, newest first. */
export async function listMessages(personId: string): Promise<readonly MessageHead[]> {
  const { person } = await mailboxOf(personId);
  const rows = await (
    await database()
  )
    .select()
    .from(messages)
    .where(eq(messages.mailbox, person.mail.toLowerCase()))
    .orderBy(desc(messages.receivedAt));
  return rows.map(toHead);
}

/** How many unread messages wait in each mailbox that has any. */
export async function countUnread(): Promise<ReadonlyMap<string, number>> {
  const rows = await (
    await database()
  )
    .select({ mailbox: messages.mailbox, count: count() })
    .from(messages)
    .where(isNull(messages.readAt))
    .groupBy(messages.mailbox);
  return new Map(rows.map((row) => [row.mailbox, row.count]));
}

/** Opens a message of a person's mailbox and marks it as read. */
export async function openMessage(personId: string, messageId: string): Promise<OpenedMessage> {
  const { person } = await mailboxOf(personId);
  const db = await database();
  const [row] = await db
    .select()
    .from(messages)
    .where(and(eq(messages.id, messageId), eq(messages.mailbox, person.mail.toLowerCase())));
  if (!row) throw notFound("message");
  await db
    .update(messages)
    .set({ readAt: Date.now() })
    .where(and(eq(messages.id, messageId), isNull(messages.readAt)));
  const parsed = await PostalMime.parse(row.raw);
  return {
    ...toHead(row),
    toName: parsed.to?.[0]?.name ?? "",
    toAddress: parsed.to?.[0]?.address ?? row.mailbox,
    html: parsed.html ?? null,
    text: parsed.text ?? "",
    raw: row.raw,
  };
}

/** The signature kept in the stand-in's settings; empty when none is. */
export async function keptSignature(personId: string): Promise<string> {
  await mailboxOf(personId);
  const [row] = await (
    await database()
  )
    .select()
    .from(mailroomSignatures)
    .where(eq(mailroomSignatures.personId, personId));
  return row?.html ?? "";
}

/** Keeps what was pasted, cleaned as this kind of webmail cleans; refuses what is longer than its limit. */
export async function keepSignature(personId: string, html: string): Promise<string> {
  await mailboxOf(personId);
  const cleaned = received(html, "webmail-inline").html;
  const over = signatureOverrun(cleaned, "webmail-inline");
  if (over > 0)
    throw new Refusal(
      422,
      "too-long",
      `This signature has ${cleaned.length.toLocaleString("en")} characters and ${standIns["webmail-inline"].signatureLimit!.toLocaleString("en")} is the most. Nothing was changed: take ${over.toLocaleString("en")} out and keep it again.`,
    );
  const values = { html: cleaned, updatedAt: Date.now() };
  await (
    await database()
  )
    .insert(mailroomSignatures)
    .values({ personId, ...values })
    .onConflictDoUpdate({ target: mailroomSignatures.personId, set: values });
  return cleaned;
}

/** Sends what somebody wrote to a colleague. */
export async function sendFrom(
  personId: string,
  message: { toPersonId: string; subject: string; html: string },
): Promise<void> {
  const [from, to] = await Promise.all([mailboxOf(personId), mailboxOf(message.toPersonId)]);
  const address = ({ person }: DirectoryPerson) => ({ name: person.name, address: person.mail });
  await sendMessage({
    from: address(from),
    to: address(to),
    subject: message.subject,
    html: received(message.html, "webmail-inline").html,
  });
}
