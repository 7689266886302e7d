/**
 * The stand-in web: invented hosts under `.example`, which exist nowhere (RFC 2606), answered by this application so
 * that everything about addresses can be tried without a network.
 */
import { demoSites } from "./demo-sites";
import { fileShare } from "./file-share";
import type { Transport, WebAnswer } from "./transport";
import { webSpace } from "./web-space";

export interface StandInAnswer {
  readonly status: number;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: Uint8Array | string;
  /** Time that passes before it answers; ms. */
  readonly after?: number;
  /** Whether it answers HEAD with 405, as some servers do. */
  readonly refusesHead?: boolean;
  /** The code of the error with which the connection ends before any answer. */
  readonly breaks?: "CERT_HAS_EXPIRED" | "ECONNREFUSED";
}

export type StandInHost = (
  url: URL,
  headers: Readonly<Record<string, string>>,
) => Promise<StandInAnswer> | StandInAnswer;

const hosts: Readonly<Record<string, StandInHost>> = {
  ...demoSites,
  "reedbasket.example": fileShare,
  "sedgeweb.example": webSpace,
};

/** Whether an address belongs to the stand-in web. */
export const isStandIn = ({ hostname }: URL): boolean =>
  hostname === "example" || hostname.endsWith(".example");

/** What an invented address answers; null where no host of that name is played. */
export async function standInAnswer(
  url: URL,
  headers: Readonly<Record<string, string>>,
): Promise<StandInAnswer | null> {
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

async function* once(body: Uint8Array | string): AsyncIterable<Uint8Array> {
  yield typeof body === "string" ? new TextEncoder().encode(body) : body;
}

/** Requests to invented hosts are answered here, all others go on to another transport. */
export const withStandIns =
  (elsewhere: Transport): Transport =>
  async (url, request): Promise<WebAnswer> => {
    if (!isStandIn(url)) return elsewhere(url, request);
    const answer = await standInAnswer(url, request.headers);
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
