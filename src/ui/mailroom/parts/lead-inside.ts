/**
 * Addresses under `.example` exist nowhere (RFC 2606), so the Mailroom leads them to pages of its own; mail
 * addresses lead to a new letter.
 */
import { letterPath } from "@/contract";
import type { DeskClientId } from "@/core/desks";

/** Where a link of a letter leads inside the Mailroom of a person at a client, or null for an address of the real network. */
export function leadInside(href: string, personId: string, client?: DeskClientId): string | null {
  const letter = letterPath(href, personId, client);
  if (letter) return letter;
  if (!URL.canParse(href)) return null;
  const { protocol, hostname, pathname, search } = new URL(href);
  const demo = /^https?:$/.test(protocol) && (hostname === "example" || hostname.endsWith(".example"));
  return demo ? `/mailroom/web/${hostname}${pathname}${search}` : null;
}
