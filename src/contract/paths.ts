/** Paths of this application's own pages and drawings, as both sides write them. */
import type { DeskClientId } from "@/core/desks";
import { parseMail } from "@/core/links";

const invented = /^https?:\/\/((?:[a-z0-9-]+\.)*example)(\/[^?#]*)?(?:[?#].*)?$/i;

/** Asks a hosted loop for its first frame by itself, as this application draws what some clients show. */
export const firstFrame = "first-frame";

/**
 * Where a picture or page is drawn from on this application's own screens: addresses under `.example`, which exist
 * nowhere (RFC 2606), are played by its invented sites, which ask for no query. Any other address is drawn from itself.
 */
export function drawnFrom(address: string): string {
  const [whole, host = "", path = "/"] = invented.exec(address) ?? [];
  return whole === undefined ? address : `/invented-sites/${host.toLowerCase()}${path}`;
}

/** The client of a desk where nobody chose one. */
export const usualDesk: DeskClientId = "malthouse";

/** A place of a client of the Mailroom; the list of letters where none is named. */
export const deskPath = (
  personId: string,
  client: DeskClientId,
  place: "" | "write" | "settings" | `letters/${string}` = "",
): string => `/mailroom/${personId}/${client}${place === "" ? "" : `/${place}`}`;

/** Where a mail link is opened inside this application: a letter that the person begins; null when it is no mail link. */
export function letterPath(href: string, personId: string, client: DeskClientId = usualDesk): string | null {
  const mail = parseMail(href);
  if (!mail) return null;
  const { to, subject, body } = mail;
  const asked = Object.entries({ to: to[0] ?? "", subject, body }).filter(([, value]) => value);
  return `${deskPath(personId, client, "write")}?${new URLSearchParams(asked).toString()}`;
}
