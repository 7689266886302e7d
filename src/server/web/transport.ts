/** One request to the web and its answer, with the body still to be read. */
import type { Readable } from "node:stream";
import { lookup } from "node:dns";
import http from "node:http";
import https from "node:https";
import { isIP, type LookupFunction } from "node:net";
import { isPrivateAddress } from "@/core/addresses";

export interface WebAnswer {
  readonly status: number;
  /** Names in lower case. */
  readonly headers: Readonly<Record<string, string>>;
  readonly body: AsyncIterable<Uint8Array>;
  /** Ends it without reading on. */
  readonly close: () => void;
}

export interface WebRequest {
  readonly method: "GET" | "HEAD";
  readonly headers: Readonly<Record<string, string>>;
  readonly signal: AbortSignal;
}

export type Transport = (url: URL, request: WebRequest) => Promise<WebAnswer>;

/** A host that leads into this machine or its network. */
export class PrivateAddressError extends Error {
  constructor(readonly host: string) {
    super(`${host} leads into a private network`);
    this.name = "PrivateAddressError";
  }
}

/**
 * Looks a name up, and refuses it if any of its addresses is private. The connection is made to the address that was
 * looked at, so that a name cannot lead elsewhere a moment later.
 */
const publicLookup: LookupFunction = (host, options, done) => {
  lookup(host, { ...options, all: true }, (error, found) => {
    if (error) return done(error, "", 0);
    const addresses = found as { address: string; family: number }[];
    const [first] = addresses;
    if (!first || addresses.some(({ address }) => isPrivateAddress(address)))
      return done(new PrivateAddressError(host), "", 0);
    return options.all ? done(null, addresses, 0) : done(null, first.address, first.family);
  });
};

/** The real network. `allowPrivate` is for the one host that the user's own server is known by. */
export const network =
  (allowPrivate: (url: URL) => boolean = () => false): Transport =>
  (url, { method, headers, signal }) =>
    new Promise((resolve, reject) => {
      const open = allowPrivate(url);
      const bare = url.hostname.replace(/^\[|\]$/g, "");
      // A number is never looked up, so it is judged here.
      if (!open && isIP(bare) && isPrivateAddress(bare)) return reject(new PrivateAddressError(bare));
      const { request } = url.protocol === "https:" ? https : http;
      const sent = request(
        url,
        { method, headers, signal, agent: false, ...(open ? {} : { lookup: publicLookup }) },
        (answer: http.IncomingMessage & Readable) =>
          resolve({
            status: answer.statusCode ?? 0,
            headers: Object.fromEntries(
              Object.entries(answer.headers).map(([name, value]) => [name, [value].flat().join(", ")]),
            ),
            body: answer,
            close: () => answer.destroy(),
          }),
      );
      sent.on("error", reject);
      sent.end();
    });
