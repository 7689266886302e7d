/**
 * The stand-in post office: a small SMTP server (RFC 5321) on loopback that takes mail for the people of the
 * directory and puts it into their mailboxes. It starts with the application and passes nothing on.
 */
import { randomUUID } from "node:crypto";
import type { AddressInfo } from "node:net";
import { SMTPServer, type SMTPServerDataStream, type SMTPServerSession } from "smtp-server";
import { database } from "../database/database";
import { messages } from "../database/schema";
import { mailboxesAt } from "../mailroom/mailboxes";
import { readLetter } from "../mailroom/read-letter";

/** What the post office takes at most. */
const bounds = {
  /** Bytes of a message. */
  size: 10 * 1024 * 1024,
  /** Recipients of a message. */
  recipients: 50,
  connections: 40,
  /** How long a connection may say nothing; ms. */
  silence: 60_000,
} as const;

const holder = globalThis as typeof globalThis & { stillLinePostOffice?: Promise<number> };

/** How much of a letter's text is searched; UTF-16 units. */
const searched = 4000;

type Box = (typeof messages.$inferSelect)["box"];

/** Puts a message into mailboxes, whatever it is: what cannot be read is opened with a sentence that says so. */
async function deliver(raw: Buffer, mailboxes: readonly string[], box: Box): Promise<void> {
  const { messageId, references, from, to, cc, subject, text, html } = await readLetter(raw);
  const words = text || (html ?? "").replace(/<[^<>]*>/g, " ");
  const now = Date.now();
  const letter = {
    box,
    messageId,
    thread: references[0] ?? messageId,
    fromAddress: from.address,
    fromName: from.name,
    recipients: [...to, ...cc]
      .map(({ name, address }) => name || address)
      .join(", ")
      .slice(0, 2000),
    subject,
    words: words.replace(/\s+/g, " ").trim().slice(0, searched),
    raw,
    receivedAt: now,
    readAt: box === "sent" ? now : null,
  };
  await (
    await database()
  )
    .insert(messages)
    .values(mailboxes.map((mailbox) => ({ id: randomUUID(), mailbox, ...letter })));
}

/** Keeps a message among those that were sent from a mailbox. */
export const fileAsSent = (raw: Buffer, mailbox: string): Promise<void> => deliver(raw, [mailbox], "sent");

/** What comes in; what is beyond the bound is read, since the other side goes on sending, and not kept. */
async function collect(stream: SMTPServerDataStream): Promise<Buffer> {
  const chunks: Buffer[] = [];
  for await (const chunk of stream) if (!stream.sizeExceeded) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks);
}

const reply = (code: number, message: string): Error =>
  Object.assign(new Error(message), { responseCode: code });

async function take(stream: SMTPServerDataStream, session: SMTPServerSession): Promise<void> {
  const raw = await collect(stream);
  if (stream.sizeExceeded) throw reply(552, "The message is over 10 MB");
  const reached = await mailboxesAt(session.envelope.rcptTo.map(({ address }) => address));
  await deliver(raw, [...new Set([...reached.values()].flat())], "in");
}

async function checkRecipient(address: string, session: SMTPServerSession): Promise<void> {
  // Too many of them are tried again later with the rest (RFC 5321, 4.5.3.1.10).
  if (session.envelope.rcptTo.length >= bounds.recipients)
    throw reply(452, `A message goes to at most ${bounds.recipients}`);
  if ((await mailboxesAt([address])).get(address)?.length === 0)
    throw reply(550, "Nobody here has that address");
}

async function open(): Promise<number> {
  const server = new SMTPServer({
    name: "mailroom.harrowfen.example",
    banner: "Still Line stand-in post office",
    size: bounds.size,
    maxClients: bounds.connections,
    socketTimeout: bounds.silence,
    // Loopback only: nobody signs in, and there is no certificate to offer.
    disabledCommands: ["AUTH", "STARTTLS"],
    onRcptTo({ address }, session, done) {
      checkRecipient(address, session).then(() => done(), done);
    },
    onData(stream, session, done) {
      take(stream, session).then(
        () => done(),
        (error: Error) => done(error),
      );
    },
  });
  // A client that drops its connection is no reason to end the application.
  server.on("error", (error) => process.stderr.write(`post office: ${error.message}\n`));
  await new Promise<void>((resolve, reject) => {
    server.once("error", reject);
    server.listen(Number(process.env.STILL_LINE_SMTP_PORT || 0), "127.0.0.1", () => {
      server.off("error", reject);
      resolve();
    });
  });
  return (server.server.address() as AddressInfo).port;
}

/** Starts the post office once a process, and answers with its port. */
export function openPostOffice(): Promise<number> {
  holder.stillLinePostOffice ??= open();
  return holder.stillLinePostOffice;
}
