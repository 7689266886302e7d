/**
 * The stand-in post office: a small SMTP server (RFC 5321) on loopback that takes mail for the people of the
 * directory and puts it into their mailboxes. It starts with the application and passes nothing on.
 */
import { randomUUID } from "node:crypto";
import type { AddressInfo } from "node:net";
import PostalMime from "postal-mime";
import { SMTPServer, type SMTPServerDataStream, type SMTPServerSession } from "smtp-server";
import { database } from "../database/database";
import { messages } from "../database/schema";
import { findPersonByMail } from "../people/people";

/** Largest message that is taken; bytes. */
const largestMessage = 5 * 1024 * 1024;

const holder = globalThis as typeof globalThis & { stillLinePostOffice?: Promise<number> };

async function deliver(raw: Buffer, mailboxes: readonly string[]): Promise<void> {
  const parsed = await PostalMime.parse(raw);
  await (await database()).insert(messages).values(
    mailboxes.map((mailbox) => ({
      id: randomUUID(),
      mailbox: mailbox.toLowerCase(),
      fromAddress: parsed.from?.address ?? "",
      fromName: parsed.from?.name ?? "",
      subject: parsed.subject ?? "",
      raw: raw.toString("utf8"),
      receivedAt: Date.now(),
    })),
  );
}

async function collect(stream: SMTPServerDataStream): Promise<Buffer> {
  const chunks: Buffer[] = [];
  for await (const chunk of stream) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks);
}

const reply = (code: number, message: string): Error =>
  Object.assign(new Error(message), { responseCode: code });

async function take(stream: SMTPServerDataStream, session: SMTPServerSession): Promise<void> {
  const raw = await collect(stream);
  if (stream.sizeExceeded) throw reply(552, "The message is too large");
  await deliver(
    raw,
    session.envelope.rcptTo.map(({ address }) => address),
  );
}

async function open(): Promise<number> {
  const server = new SMTPServer({
    name: "mailroom.harrowfen.example",
    banner: "Still Line stand-in post office",
    size: largestMessage,
    // Loopback only: nobody signs in, and there is no certificate to offer.
    disabledCommands: ["AUTH", "STARTTLS"],
    onRcptTo({ address }, _session, done) {
      findPersonByMail(address).then(
        (person) => done(person ? null : reply(550, "Nobody here has that address")),
        (error: Error) => done(error),
      );
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
