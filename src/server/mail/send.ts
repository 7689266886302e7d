/** Sending: a message built as MIME (RFC 2045 to 2049) as its client writes it, and handed to the post office over SMTP. */
import { randomUUID } from "node:crypto";
import { convert } from "html-to-text";
import nodemailer from "nodemailer";
import MailComposer from "nodemailer/lib/mail-composer";
import type { DeskClient } from "@/core/desks";
import { messagePage } from "@/core/mail";
import type { MailAddress } from "@/core/mailroom";
import { Refusal } from "../http/refusal";
import { mailboxesAt } from "../mailroom/mailboxes";
import { fileAsSent, openPostOffice } from "./post-office";

/** A picture that a letter carries and shows. */
export interface AttachedPicture {
  /** Its content id (RFC 2392). */
  readonly id: string;
  readonly name: string;
  readonly type: string;
  readonly bytes: Uint8Array;
}

export interface OutgoingMessage {
  readonly client: DeskClient;
  readonly from: MailAddress;
  readonly to: readonly MailAddress[];
  readonly cc: readonly MailAddress[];
  readonly subject: string;
  /** The body's HTML, signature included. */
  readonly html: string;
  readonly pictures: readonly AttachedPicture[];
  /** Ids of the letter that it answers, and of all that it follows. */
  readonly inReplyTo: string;
  readonly references: readonly string[];
  /** The mailbox that keeps it among what was sent. */
  readonly keptBy: string;
}

/** The plain part of a message: its words in reading order, with link targets the words do not show. */
export const plainPart = (html: string): string =>
  convert(html, {
    wordwrap: false,
    selectors: [
      { selector: "a", options: { hideLinkHrefIfSameAsText: true, linkBrackets: ["<", ">"] } },
      { selector: "img", format: "skip" },
      { selector: "table", format: "block" },
      { selector: "tr", format: "block", options: { leadingLineBreaks: 1, trailingLineBreaks: 1 } },
      { selector: "td", format: "block", options: { leadingLineBreaks: 1, trailingLineBreaks: 1 } },
    ],
  });

/** What is typed is set as the client sets it. */
const typeset = ({ type: { family, size, color } }: DeskClient, html: string): string =>
  `<div style="font-family:${family};font-size:${size}px;color:${color}">${html}</div>`;

/** A file's name in ASCII: encoded words may not stand where a parameter is quoted (RFC 2047, 5), and many write them there. */
const plainName = (name: string): string =>
  name
    .normalize("NFKD")
    .replace(/\p{M}+/gu, "")
    .replace(/[^A-Za-z0-9._-]+/g, "-");

/** The letter as its bytes; nodemailer folds and encodes the header values. */
async function compose({
  client,
  from,
  to,
  cc,
  subject,
  html,
  pictures,
  inReplyTo,
  references,
}: OutgoingMessage): Promise<Buffer> {
  const page = messagePage(typeset(client, html));
  return new MailComposer({
    from,
    to: [...to],
    cc: [...cc],
    subject,
    text: plainPart(html),
    html: page,
    textEncoding: client.encoding,
    messageId: `<${randomUUID()}@${client.id}.harrowfen.example>`,
    ...(inReplyTo === "" ? {} : { inReplyTo: `<${inReplyTo}>` }),
    ...(references.length === 0 ? {} : { references: references.map((id) => `<${id}>`).join(" ") }),
    headers: { "X-Mailer": `${client.name} (a stand-in)` },
    attachments: pictures.map(({ id, name, type, bytes }) => ({
      cid: id,
      filename: plainName(name) || false,
      contentType: type,
      contentDisposition: "inline",
      content: Buffer.from(bytes),
    })),
    disableFileAccess: true,
    disableUrlAccess: true,
  })
    .compile()
    .build();
}

/** What the post office said against it, as a sentence. */
function refused(error: unknown): Refusal {
  const { response } = error as { response?: string };
  const said = (response ?? "it does not answer").replace(/^\d{3}[ -]/, "").trim();
  return new Refusal(422, "refused", `The post office did not take it: ${said}.`);
}

/** Hands a message to the post office, as it is. Refuses with its words what it does not take. */
export async function carry(from: string, to: readonly string[], raw: Buffer): Promise<void> {
  const transport = nodemailer.createTransport({
    host: "127.0.0.1",
    port: await openPostOffice(),
    ignoreTLS: true,
    disableFileAccess: true,
    disableUrlAccess: true,
  });
  try {
    await transport.sendMail({ envelope: { from, to: [...to] }, raw });
  } catch (error) {
    throw refused(error);
  } finally {
    transport.close();
  }
}

/** Resolves once the post office has taken the message for everybody, and it is filed among what was sent. */
export async function sendMessage(message: OutgoingMessage): Promise<void> {
  const to = [...new Set([...message.to, ...message.cc].map(({ address }) => address))];
  // One who is not there must not leave the others with a letter that is then sent again.
  const unknown = [...(await mailboxesAt(to))].flatMap(([address, boxes]) =>
    boxes.length === 0 ? [address] : [],
  );
  if (unknown.length > 0)
    throw new Refusal(
      422,
      "unknown",
      `Nobody here has the address ${unknown.join(", ")}. The letter was not sent.`,
    );
  const raw = await compose(message);
  await carry(message.from.address, to, raw);
  await fileAsSent(raw, message.keptBy);
}
