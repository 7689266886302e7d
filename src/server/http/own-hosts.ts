/**
 * The names that Still Line answers to. Another site can have its own name lead to this machine (DNS rebinding), and a
 * browser would then let its pages read and change everything here; under such a name nothing is answered. Hosted pictures
 * and files are for everybody, and answered under any name.
 */
import os from "node:os";

/** Who may be asked for, from the environment. */
export interface HostSettings {
  /** The name or address that it listens on (`--host`). */
  readonly listening: string;
  /** More names of its own (`STILL_LINE_HOSTS`, with commas between), without ports. */
  readonly named: readonly string[];
  /** The name under which only people's own pages are shown (`STILL_LINE_PAGES_HOST`), without a port; null for none. */
  readonly pages: string | null;
  /** Whether a proxy in front says which host was asked (`STILL_LINE_BEHIND_PROXY=1`). */
  readonly proxied: boolean;
}

/** A host as it stands in an address, read like a browser does: lower case, numbers in their plain form. Null for none. */
function readHost(host: string): URL | null {
  const address = `http://${host}`;
  return /^[^\s/\\?#@]+$/.test(host) && URL.canParse(address) ? new URL(address) : null;
}

const nameOf = (host: string): string | null => readHost(host)?.hostname.replace(/\.$/, "") ?? null;

/** IPv6 addresses stand in brackets only in addresses. */
const bracketed = (host: string): string =>
  host.includes(":") && !host.startsWith("[") ? `[${host}]` : host;

export const hostSettings = (environment: NodeJS.ProcessEnv = process.env): HostSettings => ({
  listening: nameOf(bracketed(environment.STILL_LINE_HOST || "127.0.0.1")) ?? "127.0.0.1",
  named: (environment.STILL_LINE_HOSTS ?? "")
    .split(",")
    .map((name) => nameOf(bracketed(name.trim())))
    .filter((name) => name !== null),
  pages: nameOf(bracketed((environment.STILL_LINE_PAGES_HOST ?? "").trim())),
  proxied: environment.STILL_LINE_BEHIND_PROXY === "1",
});

/** Names of this machine for itself (RFC 6761, 6.3; RFC 1122, 3.2.1.3; RFC 4291, 2.5.3). */
const isLoopback = (name: string): boolean =>
  /(?:^|\.)localhost$/.test(name) || /^127\.[\d.]+$/.test(name) || name === "[::1]";

const everyAddress = new Set(["0.0.0.0", "[::]"]);

/** A number is nobody's to give to another machine, unlike a name. */
const isNumber = (name: string): boolean => /^[\d.]+$|^\[/.test(name);

/** Whether a host, as a request names it, is one that this application answers to. */
export function isOwnHost(host: string, settings: HostSettings): boolean {
  const name = nameOf(host);
  if (name === null) return false;
  if (isLoopback(name) || name === settings.listening || settings.named.includes(name)) return true;
  return everyAddress.has(settings.listening) && (isNumber(name) || name === os.hostname().toLowerCase());
}

/** Whether what a page of this origin asks for (WHATWG Fetch, 3.2) is asked for by one of our own. */
function isOwnOrigin(origin: string, asked: string, { named }: HostSettings): boolean {
  if (!URL.canParse(origin)) return false;
  const { host, hostname } = new URL(origin);
  return host === readHost(asked)?.host || named.includes(hostname);
}

/** Whether a path is one of people's own pages, or of what is asked for on them. */
const isOwnPage = (path: string): boolean => /^\/(?:api\/)?mine\/[^/]/.test(path);

/** The host that was asked; what a proxy says of it counts only where one is said to stand in front. */
function askedHost(request: Request, { proxied }: HostSettings): string {
  // The last one is what the nearest proxy says.
  const forwarded = proxied ? request.headers.get("x-forwarded-host")?.split(",").at(-1)?.trim() : null;
  return forwarded || (request.headers.get("host") ?? new URL(request.url).host);
}

/** Why a request is not answered, and with which status: 421 is for what was sent to another host (RFC 9110, 15.5.20). */
const refusals = {
  "other-host": {
    status: 421,
    message:
      "Still Line answers only to names of its own, and was asked under another. Open it at the address that it printed when it started, or have STILL_LINE_HOSTS name this one.",
  },
  "not-here": { status: 404, message: "There is nothing at this address." },
  "other-site": { status: 403, message: "Changes are taken from Still Line's own pages only." },
} as const;

type Reason = keyof typeof refusals;

/** Why a request is not ours: it was sent to another host, or by a page of another site that changes something. */
export function whyNotOurs(request: Request, settings = hostSettings()): Reason | null {
  const asked = askedHost(request, settings);
  if (settings.pages !== null && nameOf(asked) === settings.pages) {
    if (!isOwnPage(new URL(request.url).pathname)) return "not-here";
  } else if (!isOwnHost(asked, settings)) return "other-host";
  const origin = request.headers.get("origin");
  if (origin === null || request.method === "GET" || request.method === "HEAD") return null;
  return isOwnOrigin(origin, asked, settings) ? null : "other-site";
}

/** What a request that is not ours is answered with; null for one that is. */
export function refusalOf(
  request: Request,
): { code: Reason; status: 421 | 404 | 403; message: string } | null {
  const code = whyNotOurs(request);
  return code && { code, ...refusals[code] };
}
