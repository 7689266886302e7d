/** Opening a link from these screens as a recipient would. */
import { parseMail } from "@/core/links";
import { drawnFrom } from "@/core/pictures";

/**
 * Where a link is opened: pages at invented addresses (RFC 2606) on the stand-in web, letters at the Mailroom of the
 * person, and everything else where it leads.
 */
export function openedAt(href: string, personId: string | null): string {
  const mail = parseMail(href);
  if (mail && personId) {
    const asked = Object.entries({ to: mail.to[0]!, subject: mail.subject, body: mail.body });
    return `/mailroom/${personId}/new?${new URLSearchParams(asked.filter(([, value]) => value)).toString()}`;
  }
  return drawnFrom(href.replace(/^(https?:\/\/[^/?#]*\bexample(?:\/[^?#]*)?)[?#].*$/i, "$1"));
}

/** Opens it in a new window; what other programs open, such as a phone number, stays in this one. */
export function openLink(href: string, personId: string | null): void {
  const address = openedAt(href, personId);
  if (/^(?:tel|sms|mailto):/i.test(address)) window.location.assign(address);
  else window.open(address, "_blank", "noopener");
}
