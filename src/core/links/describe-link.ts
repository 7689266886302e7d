/** What a link is, and where it leads in the words of people. */
import { wordTable } from "../values";
import { endingOf, readHostedPath } from "../addresses";
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

const fileKinds = wordTable<LinkKind>({ ics: "calendar file", vcf: "contact card" });

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
  const hosted = readHostedPath(href);
  if (hosted) {
    const { fileName } = hosted;
    return { kind: fileKinds[endingOf(fileName)] ?? "file", shown: fileName, detail: "" };
  }
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
  const [, host, rest = ""] = /^https?:\/\/(?:www\.)?([^/?#]*)(.*)$/is.exec(href) ?? [];
  if (host === undefined) return /^mailto:/i.test(href) ? href.toLowerCase() : href;
  return `${host.toLowerCase()}${rest.replace(/\/(?=$|[?#])/, "")}`;
}
