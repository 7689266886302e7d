/**
 * Invented sites: made-up web hosts under `.example`, which exist nowhere (RFC 2606), answered by this application so
 * that everything about addresses can be tried without a network.
 */
import { wordTable } from "@/core/values";
import { Readable } from "node:stream";
import type { Transport, WebAnswer } from "../web/transport";
import { demoSites } from "./demo-sites";
import { fileShare } from "./file-share";
import type { InventedSite, SiteAnswer } from "./site";
import { webSpace } from "./web-space";

const hosts = wordTable<InventedSite>({
  ...demoSites,
  "reedbasket.example": fileShare,
  "sedgeweb.example": webSpace,
});

/** Whether an address is an invented one. */
export const isInvented = ({ hostname }: URL): boolean =>
  hostname === "example" || hostname.endsWith(".example");

/** What an invented address answers; null where no host of that name is played. */
export async function siteAnswer(
  url: URL,
  headers: Readonly<Record<string, string>>,
): Promise<SiteAnswer | null> {
  const host = hosts[url.hostname];
  return host ? host(url, headers) : null;
}

const wait = (time: number, signal: AbortSignal): Promise<void> =>
  new Promise((resolve, reject) => {
    const timer = setTimeout(resolve, time);
    signal.addEventListener("abort", () => {
      clearTimeout(timer);
      reject(signal.reason as Error);
    });
  });

const once = (body: Uint8Array | string): AsyncIterable<Uint8Array> =>
  Readable.from([typeof body === "string" ? new TextEncoder().encode(body) : body]);

/** Requests to invented hosts are answered here, all others go on to another transport. */
export const withInventedSites =
  (elsewhere: Transport): Transport =>
  async (url, request): Promise<WebAnswer> => {
    if (!isInvented(url)) return elsewhere(url, request);
    const answer = await siteAnswer(url, request.headers);
    if (!answer) throw Object.assign(new Error(`No host ${url.hostname}`), { code: "ENOTFOUND" });
    if (answer.after) await wait(answer.after, request.signal);
    if (answer.breaks) throw Object.assign(new Error(`${url.host} broke off`), { code: answer.breaks });
    const head = request.method === "HEAD";
    return {
      status: head && answer.refusesHead ? 405 : answer.status,
      headers: answer.headers,
      body: once(head ? "" : answer.body),
      close: () => undefined,
    };
  };
