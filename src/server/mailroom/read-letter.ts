/** A letter as it is read from its bytes. Whatever these are, something is read: what is wrong is said beside it. */
import PostalMime, { type Address, type Email } from "postal-mime";
import type { LetterPart } from "@/contract";
import type { MailAddress } from "@/core/mailroom";

/** A file of a letter, its bytes with it. */
export interface ReadPart extends Omit<LetterPart, "weight" | "shown"> {
  readonly bytes: Uint8Array;
}

export interface ReadLetter {
  readonly messageId: string;
  /** Of the letters that it follows, the first one first (RFC 5322, 3.6.4). */
  readonly references: readonly string[];
  readonly from: MailAddress;
  readonly to: readonly MailAddress[];
  readonly cc: readonly MailAddress[];
  readonly subject: string;
  readonly writtenWith: string;
  readonly html: string | null;
  readonly text: string;
  readonly parts: readonly ReadPart[];
  readonly problem: string | null;
}

/** How deep parts may lie in parts, and how long all headers may be; what is beyond is not read. */
const bounds = { maxNestingDepth: 50, maxHeadersSize: 256 * 1024 } as const;

/** More of a letter than this is shown cut off; UTF-16 units. */
const longestBody = 1_000_000;
const mostParts = 200;

const bare = (id: string | undefined): string => id?.trim().replace(/^<|>$/g, "") ?? "";

const names = (addresses: readonly Address[] | undefined): readonly MailAddress[] =>
  (addresses ?? [])
    .flatMap((each) => (each.group ? each.group : [each]))
    .map(({ name, address }) => ({ name, address: address ?? "" }));

function partsOf({ attachments }: Email): readonly ReadPart[] {
  return attachments.slice(0, mostParts).map(({ filename, mimeType, contentId, content }, index) => ({
    id: bare(contentId) || `part-${index + 1}`,
    name: filename ?? "",
    type: mimeType,
    bytes: typeof content === "string" ? new TextEncoder().encode(content) : new Uint8Array(content),
  }));
}

const cut = (text: string): string => (text.length > longestBody ? text.slice(0, longestBody) : text);

function problemOf({ html, text, attachments, from }: Email): string | null {
  const said = [
    (html?.length ?? 0) > longestBody || (text?.length ?? 0) > longestBody
      ? "It is longer than anybody reads: its beginning is shown."
      : null,
    attachments.length > mostParts
      ? `It has ${attachments.length.toLocaleString("en")} parts: the first ${mostParts} are listed.`
      : null,
    from?.address ? null : "It does not say from whom it is.",
  ].filter((each) => each !== null);
  return said.length === 0 ? null : said.join(" ");
}

const unreadable: ReadLetter = {
  messageId: "",
  references: [],
  from: { name: "", address: "" },
  to: [],
  cc: [],
  subject: "",
  writtenWith: "",
  html: null,
  text: "",
  parts: [],
  problem: "This letter cannot be read: its parts are not where it says. What came is below.",
};

/** Never rejects. */
export async function readLetter(raw: Uint8Array): Promise<ReadLetter> {
  try {
    const email = await PostalMime.parse(raw, bounds);
    const [from] = names(email.from ? [email.from] : []);
    const mailer = email.headers.find(({ key }) => key === "x-mailer")?.value ?? "";
    return {
      messageId: bare(email.messageId),
      references: [...`${email.references ?? ""} ${email.inReplyTo ?? ""}`.matchAll(/<([^<>\s]+)>/g)].flatMap(
        ([, id]) => id ?? [],
      ),
      from: from ?? unreadable.from,
      to: names(email.to),
      cc: names(email.cc),
      subject: email.subject ?? "",
      writtenWith: mailer,
      html: email.html ? cut(email.html) : null,
      text: cut(email.text ?? ""),
      parts: partsOf(email),
      problem: problemOf(email),
    };
  } catch {
    return unreadable;
  }
}

/** What a letter says, its HTML as it is: addresses in it are broken by its encoding, so it is read as a client would. */
export async function textOfLetter(raw: Uint8Array): Promise<string> {
  const { html, text } = await readLetter(raw);
  return `${html ?? ""} ${text}`;
}
