/** Opening a link from these screens as a recipient would. */
import { letterPath, drawnFrom } from "@/contract";

/**
 * Where a link is opened: pages at invented addresses (RFC 2606) on the invented sites, letters at the Mailroom of the
 * person, and everything else where it leads.
 */
function openedAt(href: string, personId: string | null): string {
  const letter = personId && letterPath(href, personId);
  return letter || drawnFrom(href);
}

/** Opens it in a new window; what other programs open, such as a phone number, stays in this one. */
export function openLink(href: string, personId: string | null): void {
  const address = openedAt(href, personId);
  if (/^(?:tel|sms|mailto):/i.test(address)) window.location.assign(address);
  else window.open(address, "_blank", "noopener");
}
