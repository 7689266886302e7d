/** Fetching from the web within limits: redirects one by one, each address judged anew, bytes and time bounded. */
import type { FetchFailure } from "@/core/links";
import { PrivateAddressError, type Transport } from "./transport";

export interface Fetched {
  /** The address that answered in the end. */
  readonly address: string;
  /** Where it led on the way, in order, and whether each said that it is for good. */
  readonly redirects: readonly { readonly to: string; readonly permanent: boolean }[];
  readonly status: number;
  readonly headers: Readonly<Record<string, string>>;
  readonly bytes: Uint8Array;
}

export type FetchResult =
  | { readonly ok: true; readonly fetched: Fetched }
  | { readonly ok: false; readonly failure: FetchFailure; readonly redirects: Fetched["redirects"] };

export interface FetchLimits {
  readonly bytes: number;
  /** For all of it together; ms. */
  readonly time: number;
  readonly redirects: number;
  /** Whether what is larger is cut off there, and not refused. */
  readonly cutOff?: boolean;
}

export interface FetchRequest {
  readonly method?: "GET" | "HEAD";
  /** Sent with every request, beside our own. */
  readonly headers?: Readonly<Record<string, string>>;
  /** Stops it before its time is over; it then ends as `too-slow`. */
  readonly signal?: AbortSignal;
}

const redirecting = new Set([301, 302, 303, 307, 308]);
const forGood = new Set([301, 308]);

const asked = {
  accept: "image/*,*/*;q=0.5",
  "user-agent": "StillLine/0.1 (looks where signatures lead)",
};

function failureOf(error: unknown, signal: AbortSignal): FetchFailure {
  if (error instanceof PrivateAddressError) return "private-address";
  // A body that is cut off by the time limit fails as a broken connection.
  if (signal.aborted) return "too-slow";
  const { code } = error as { code?: string };
  if (code === "ENOTFOUND" || code === "EAI_AGAIN") return "no-such-host";
  if (/CERT|TLS|SSL|ALTNAME/.test(code ?? "")) return "certificate";
  return "no-connection";
}

async function readUpTo(
  body: AsyncIterable<Uint8Array>,
  { bytes: most, cutOff = false }: FetchLimits,
): Promise<Uint8Array | null> {
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of body) {
    size += chunk.length;
    chunks.push(chunk);
    if (size > most) return cutOff ? Buffer.concat(chunks).subarray(0, most) : null;
  }
  return Buffer.concat(chunks);
}

/** Web addresses without a name or password in them. */
function webAddress(address: string): URL | null {
  if (!URL.canParse(address)) return null;
  const url = new URL(address);
  return /^https?:$/.test(url.protocol) && url.username === "" && url.password === "" ? url : null;
}

/** Never throws for what the other side does. */
export async function fetchBounded(
  address: string,
  transport: Transport,
  limits: FetchLimits,
  { method = "GET", headers = {}, signal: stopped }: FetchRequest = {},
): Promise<FetchResult> {
  const redirects: { to: string; permanent: boolean }[] = [];
  const fail = (failure: FetchFailure): FetchResult => ({ ok: false, failure, redirects });
  const inTime = AbortSignal.timeout(limits.time);
  const signal = stopped ? AbortSignal.any([inTime, stopped]) : inTime;
  let url = webAddress(address);
  try {
    for (;;) {
      if (!url) return fail("not-an-address");
      const answer = await transport(url, { method, headers: { ...asked, ...headers }, signal });
      const target = answer.headers.location;
      if (redirecting.has(answer.status) && target) {
        answer.close();
        if (redirects.length === limits.redirects) return fail("too-many-redirects");
        url = URL.canParse(target, url.href) ? webAddress(new URL(target, url).href) : null;
        redirects.push({ to: url?.href ?? target, permanent: forGood.has(answer.status) });
        continue;
      }
      const bytes = await readUpTo(answer.body, limits);
      answer.close();
      if (!bytes) return fail("too-many-bytes");
      const { status, headers: own } = answer;
      return { ok: true, fetched: { address: url.href, redirects, status, headers: own, bytes } };
    }
  } catch (error) {
    return fail(failureOf(error, signal));
  }
}
