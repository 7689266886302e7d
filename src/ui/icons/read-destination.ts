/** What is typed for an icon's destination: a handle of its network, or any address. */
import { readLink, readNetworkPage, type NetworkKind } from "@/core/links";

export type Destination =
  | {
      readonly ok: true;
      readonly href: string;
      /** The network whose page it is, or null. */
      readonly network: NetworkKind | null;
      readonly changes: readonly string[];
    }
  | { readonly ok: false; readonly message: string };

/** `network` is the one that the icon stands for, or null; `callingCode` that of numbers without one. */
export function readDestination(
  networks: readonly NetworkKind[],
  network: NetworkKind | null,
  typed: string,
  callingCode: string | null,
): Destination {
  const page = readNetworkPage(networks, network, typed);
  if (page) {
    const whole = /[./]/.test(typed) ? readLink(typed) : null;
    return { ok: true, href: page.href, network: page.kind, changes: whole?.ok ? whole.changes : [] };
  }
  const reading = readLink(typed, { callingCode });
  return reading.ok ? { ...reading, network: null } : reading;
}

/** The glyph that stands for a destination. */
export function glyphFor(href: string, network: NetworkKind | null): string {
  if (network) return network.glyph;
  if (/^mailto:/i.test(href)) return "mail";
  if (/^tel:/i.test(href)) return "phone";
  if (/^sms:/i.test(href)) return "chat";
  return "web";
}
