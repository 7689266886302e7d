/** Hosts that only this machine or this network can reach (RFC 1918, RFC 6761, RFC 4193). */
export function isPrivateHost(address: string): boolean {
  let host: string;
  try {
    host = new URL(address).hostname.toLowerCase();
  } catch {
    return true;
  }
  return (
    host === "localhost" ||
    host.endsWith(".localhost") ||
    host.endsWith(".local") ||
    !/[.:]/.test(host) ||
    /^(127|10|0)\.|^192\.168\.|^169\.254\.|^172\.(1[6-9]|2\d|3[01])\./.test(host) ||
    /^\[(::1?|f[cd].*|fe80.*)\]$/.test(host)
  );
}
