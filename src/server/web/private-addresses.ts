/** Addresses that only this machine or its network reaches (RFC 6890 and its registries, by `ipaddr.js`). */
import ipaddr from "ipaddr.js";

/** True for anything but a plain public address; also for what is no address at all. */
export function isPrivateAddress(address: string): boolean {
  if (!ipaddr.isValid(address)) return true;
  // An IPv4 address inside an IPv6 one is judged as itself.
  return ipaddr.process(address).range() !== "unicast";
}
