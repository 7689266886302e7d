/**
 * Hosts and addresses that only this machine or its network reaches (RFC 6890 and its registries, by `ipaddr.js`;
 * RFC 6761 and RFC 6762 for names).
 */
import ipaddr from "ipaddr.js";

/** True for anything but a plain public IP address; also for what is no address at all. */
export function isPrivateAddress(address: string): boolean {
  if (!ipaddr.isValid(address)) return true;
  // An IPv4 address inside an IPv6 one is judged as itself.
  return ipaddr.process(address).range() !== "unicast";
}

/** Names that are never in the public name system. */
const privateName = /(?:^|\.)(?:localhost|local|internal|home\.arpa)\.?$/;

/** What a URL's host looks like where it is a number (WHATWG URL 3.5); asking the package of a name costs ten times more. */
const numbered = /:|^[\d.]+$/;

/** Whether a web address leads to a host that recipients cannot reach; also for what is no address. Never throws. */
export function isPrivateHost(address: string): boolean {
  if (!URL.canParse(address)) return true;
  const host = new URL(address).hostname.toLowerCase().replace(/^\[|\]$/g, "");
  if (numbered.test(host)) return isPrivateAddress(host);
  return !host.includes(".") || privateName.test(host);
}
