/** The letters of a mailbox: listed, searched, opened, thrown away and taken back. */
import { and, asc, count, desc, eq, isNotNull, isNull, like, or, type SQL } from "drizzle-orm";
import type { LetterBox, LetterHead, Letters, OpenedLetter } from "@/contract";
import { findSignatures } from "@/core/importing";
import { whatIsLeft, type Left } from "@/core/mailroom";
import { database } from "../database/database";
import { desks, deskFiles, drafts, messages, rehearsals } from "../database/schema";
import { notFound } from "../http/refusal";
import { happened, happenedToLetterFrom } from "./happenings";
import { mailboxName, mailboxOf } from "./mailboxes";
import { readLetter, type ReadLetter } from "./read-letter";

/** All of a row but its bytes, which lists do not need. */
const headColumns = {
  id: messages.id,
  box: messages.box,
  fromName: messages.fromName,
  fromAddress: messages.fromAddress,
  recipients: messages.recipients,
  subject: messages.subject,
  words: messages.words,
  receivedAt: messages.receivedAt,
  readAt: messages.readAt,
  thrownAt: messages.thrownAt,
};

type HeadRow = Pick<typeof messages.$inferSelect, keyof typeof headColumns>;

/** How much of a letter's text a list shows; UTF-16 units. */
const beginning = 160;

const toHead = (row: HeadRow): LetterHead => ({
  id: row.id,
  box: row.box,
  from: { name: row.fromName, address: row.fromAddress },
  recipients: row.recipients,
  subject: row.subject,
  beginning: row.words.slice(0, beginning),
  receivedAt: row.receivedAt,
  read: row.readAt !== null,
  thrown: row.thrownAt !== null,
});

const inBox: Readonly<Record<LetterBox, SQL | undefined>> = {
  in: and(eq(messages.box, "in"), isNull(messages.thrownAt)),
  sent: and(eq(messages.box, "sent"), isNull(messages.thrownAt)),
  thrown: isNotNull(messages.thrownAt),
};

/** What has all of these words in its names, subject or text. `%` and `_` stand for themselves. */
const having = (search: string): SQL | undefined =>
  and(
    ...search
      .split(/\s+/)
      .filter((word) => word !== "")
      .slice(0, 8)
      .map((word) => {
        const anywhere = `%${word.replace(/[%_]/g, " ").trim()}%`;
        const { fromName, fromAddress, recipients, subject, words } = messages;
        return or(
          ...[fromName, fromAddress, recipients, subject, words].map((column) => like(column, anywhere)),
        );
      }),
  );

const usualMost = 100;

export interface LetterWishes {
  readonly box?: LetterBox | undefined;
  readonly search?: string | undefined;
  /** How many at most; 100 where it is 0 or not said. */
  readonly most?: number;
}

/** A person's letters, newest first. */
export async function listLetters(
  personId: string,
  { box = "in", search = "", most = 0 }: LetterWishes = {},
): Promise<Letters> {
  const owner = await mailboxOf(personId);
  const which = and(eq(messages.mailbox, mailboxName(owner)), inBox[box], having(search));
  const db = await database();
  const limit = Math.min(most || usualMost, 1000);
  const [rows, [all]] = await Promise.all([
    db
      .select(headColumns)
      .from(messages)
      .where(which)
      .orderBy(desc(messages.receivedAt), desc(messages.id))
      .limit(limit),
    db.select({ count: count() }).from(messages).where(which),
  ]);
  return { letters: rows.map(toHead), more: Math.max(0, (all?.count ?? 0) - rows.length) };
}

/** How many unread letters wait in each mailbox that has any. */
export async function countUnread(): Promise<ReadonlyMap<string, number>> {
  const rows = await (
    await database()
  )
    .select({ mailbox: messages.mailbox, count: count() })
    .from(messages)
    .where(and(isNull(messages.readAt), inBox.in))
    .groupBy(messages.mailbox);
  return new Map(rows.map((row) => [row.mailbox, row.count]));
}

async function rowOf(personId: string, letterId: string): Promise<typeof messages.$inferSelect> {
  const owner = await mailboxOf(personId);
  const [row] = await (
    await database()
  )
    .select()
    .from(messages)
    .where(and(eq(messages.id, letterId), eq(messages.mailbox, mailboxName(owner))));
  if (!row) throw notFound("letter");
  return row;
}

/** A letter of a person's mailbox as it was sent. */
export async function letterFile(personId: string, letterId: string): Promise<Uint8Array> {
  return (await rowOf(personId, letterId)).raw;
}

/** A letter of a mailbox as it is read. */
export interface KeptLetter extends ReadLetter {
  readonly id: string;
  readonly receivedAt: number;
}

/** A letter as it is read, without being marked as read. */
export async function letterOf(personId: string, letterId: string): Promise<KeptLetter> {
  const { id, raw, receivedAt } = await rowOf(personId, letterId);
  return { ...(await readLetter(raw)), id, receivedAt };
}

/** How much of a letter is shown as it came; bytes. */
const shownOfWire = 100_000;

/** What is left in a letter of the signature of another one that came before it. */
async function leftOf(personId: string, firstId: string, html: string): Promise<Left | null> {
  const first = await letterOf(personId, firstId);
  const [signature] = first.html === null ? [] : findSignatures(first.html);
  return signature ? whatIsLeft(signature.html, html) : null;
}

/** Opens a letter of a person's mailbox and marks it as read. */
export async function openLetter(personId: string, letterId: string): Promise<OpenedLetter> {
  const row = await rowOf(personId, letterId);
  const db = await database();
  await db
    .update(messages)
    .set({ readAt: Date.now() })
    .where(and(eq(messages.id, letterId), isNull(messages.readAt)));
  if (row.box === "in") await happenedToLetterFrom(row.fromAddress, "read");
  if (row.box === "in" && row.fromAddress.toLowerCase() === row.mailbox)
    await happened(personId, "wren", "opened");
  const talk =
    row.thread === ""
      ? []
      : await db
          .select(headColumns)
          .from(messages)
          .where(
            and(
              eq(messages.mailbox, row.mailbox),
              eq(messages.thread, row.thread),
              isNull(messages.thrownAt),
            ),
          )
          .orderBy(asc(messages.receivedAt))
          .limit(100);
  const { html, text, to, cc, parts, problem, writtenWith } = await readLetter(row.raw);
  const [oldest] = talk;
  const first = oldest && oldest.id !== row.id ? oldest : null;
  return {
    ...toHead(row),
    read: true,
    to: to.length > 0 ? to : [{ name: "", address: row.mailbox }],
    cc,
    html,
    text,
    problem,
    writtenWith,
    parts: parts.map(({ id, name, type, bytes }) => ({
      id,
      name,
      type,
      weight: bytes.length,
      shown: html?.includes(`cid:${id}`) ?? false,
    })),
    raw: row.raw.subarray(0, shownOfWire).toString("latin1"),
    talk: talk.map(toHead),
    left: first && html !== null ? await leftOf(personId, first.id, html) : null,
  };
}

/** A link of a letter was followed. */
export async function linkFollowed(personId: string, letterId: string): Promise<void> {
  const { fromAddress } = await rowOf(personId, letterId);
  await happenedToLetterFrom(fromAddress, "followed");
}

async function setThrown(personId: string, letterId: string, thrownAt: number | null): Promise<void> {
  const { id } = await rowOf(personId, letterId);
  await (await database()).update(messages).set({ thrownAt }).where(eq(messages.id, id));
}

/** Throws a letter away; it can be taken back. */
export const throwLetter = (personId: string, letterId: string): Promise<void> =>
  setThrown(personId, letterId, Date.now());

export const takeLetterBack = (personId: string, letterId: string): Promise<void> =>
  setThrown(personId, letterId, null);

/** Empties every mailbox and every desk, for good; answers how many letters there were. */
export async function emptyMailroom(): Promise<number> {
  const db = await database();
  const [all] = await db.select({ count: count() }).from(messages);
  await db.batch([
    db.delete(messages),
    db.delete(drafts),
    db.delete(desks),
    db.delete(deskFiles),
    db.delete(rehearsals),
  ]);
  return all?.count ?? 0;
}
