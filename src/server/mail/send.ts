/** Sending: a message built as MIME (RFC 2045 to 2049) and handed to the post office over SMTP. */
import { convert } from "html-to-text";
import nodemailer from "nodemailer";
import { messagePage } from "@/core/mail";
import { openPostOffice } from "./post-office";

export interface OutgoingMessage {
  readonly from: { readonly name: string; readonly address: string };
  readonly to: { readonly name: string; readonly address: string };
  readonly subject: string;
  /** The body's HTML, signature included. */
  readonly html: string;
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

/** Resolves once the post office has taken the message. nodemailer folds and encodes the header values. */
export async function sendMessage({ from, to, subject, html }: OutgoingMessage): Promise<void> {
  const transport = nodemailer.createTransport({
    host: "127.0.0.1",
    port: await openPostOffice(),
    ignoreTLS: true,
    disableFileAccess: true,
    disableUrlAccess: true,
  });
  try {
    await transport.sendMail({ from, to, subject, text: plainPart(html), html: messagePage(html) });
  } finally {
    transport.close();
  }
}
