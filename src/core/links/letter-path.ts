/** Where a mail link is opened inside this application: a new letter in the Mailroom. */
import { parseMail } from "./mail";

/** The path of a letter that the person begins, with what the link asks for; null when it is no mail link. */
export function letterPath(href: string, personId: string): string | null {
  const mail = parseMail(href);
  if (!mail) return null;
  const { to, subject, body } = mail;
  const asked = Object.entries({ to: to[0]!, subject, body }).filter(([, value]) => value);
  return `/mailroom/${personId}/new?${new URLSearchParams(asked).toString()}`;
}
