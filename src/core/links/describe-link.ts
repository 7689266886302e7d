/** What a link is, and where it leads in the words of people. */
import { parseMail } from "./mail";
import { parsePhone, shownNumber } from "./phone";

export type LinkKind =
  "page" | "mail" | "phone" | "text message" | "calendar file" | "contact card" | "file" | "other";

export interface DescribedLink {
  readonly kind: LinkKind;
  /** Where it leads, as people write it. */
  readonly shown: string;
  /** What comes with it: a subject, the text of a message, an extension; or empty. */
  readonly detail: string;
}

const hosted = /^\/h\/[0-9a-f]{20}\/([a-z0-9-]+\.([a-z0-9]+))$/;

/** A host in ASCII stays so: letters that look alike lead astray. Never throws. */
export function describeLink(href: string): DescribedLink {
  const mail = parseMail(href);
  if (mail)
    return {
      kind: "mail",
      shown: mail.to.join(", "),
      detail: [mail.subject && `“${mail.subject}”`, mail.body && "with a text"]
        .filter((part) => part)
        .join(", "),
    };
  const phone = parsePhone(href);
  if (phone)
    return {
      kind: phone.kind === "call" ? "phone" : "text message",
      shown: shownNumber(phone.number),
      detail: phone.extension ? `ext. ${phone.extension}` : phone.message && `“${phone.message}”`,
    };
  const file = hosted.exec(href);
  if (file)
    return {
      kind: file[2] === "ics" ? "calendar file" : file[2] === "vcf" ? "contact card" : "file",
      shown: file[1]!,
      detail: "",
    };
  if (/^https?:\/\//i.test(href))
    return {
      kind: "page",
      // Where an address holds another, each beginning is shown.
      shown: href.replace(/^https:\/\/(?!.*:\/\/)/i, "").replace(/^([^/?#]+)\/$/, "$1"),
      detail: "",
    };
  return { kind: "other", shown: href, detail: "" };
}

/** Whether two addresses lead to the same place: case of the host, a last slash and the scheme's s apart. */
export function sameDestination(one: string, other: string): boolean {
  return compared(one) === compared(other);
}

/** What `sameDestination` compares. */
export function compared(href: string): string {
  const found = /^https?:\/\/(?:www\.)?([^/?#]*)(.*)$/is.exec(href);
  if (!found) return /^mailto:/i.test(href) ? href.toLowerCase() : href;
  return `${found[1]!.toLowerCase()}${found[2]!.replace(/\/(?=$|[?#])/, "")}`;
}
