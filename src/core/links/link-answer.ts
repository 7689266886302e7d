/** What answered at a link, judged as a recipient would meet it. */
import type { FetchFailure } from "./address-report";

export type LinkVerdict =
  "answers" | "moved" | "other-host" | "sign-in" | "refused" | "not-found" | "server-trouble" | FetchFailure;

export interface LinkAnswer {
  /** The address that was asked. */
  readonly address: string;
  readonly verdict: LinkVerdict;
  /** What is so, in one sentence. */
  readonly message: string;
  /** Addresses that it led through, in order. */
  readonly redirects: readonly string[];
  /** The address to use instead, or null. */
  readonly better: string | null;
}

/** What came back in the end. */
export interface Response {
  readonly status: number;
  /** The address that answered. */
  readonly address: string;
  readonly redirects: readonly { readonly to: string; readonly permanent: boolean }[];
  /** Whether the page asks for a password. */
  readonly asksToSignIn: boolean;
}

const failures: Readonly<Record<FetchFailure, string>> = {
  "not-an-address": "This is no address that can be opened.",
  "private-address": "It leads into a private network, where no recipient can follow.",
  "no-such-host": "There is no server of that name: look at the spelling.",
  "no-connection": "No server answered there.",
  certificate: "Its certificate is not in order, so browsers warn recipients away.",
  "too-slow": "It did not answer within 10 seconds.",
  "too-many-redirects": "It leads on and on, and never to a page.",
  "too-many-bytes": "It answers with more than a page holds.",
};

/** The part of a host that its owner registered: its last two labels, or three under a short second one. */
function ownerOf(address: string): string {
  if (!URL.canParse(address)) return address;
  const labels = new URL(address).hostname.split(".");
  const [second = "", first = ""] = labels.slice(-2);
  return labels.slice(labels.length > 2 && second.length <= 3 && first.length === 2 ? -3 : -2).join(".");
}

const hostOf = (address: string): string => (URL.canParse(address) ? new URL(address).hostname : address);

/** Judges an answer to a web address. */
export function judgeAnswer(address: string, response: Response): LinkAnswer {
  const redirects = response.redirects.map(({ to }) => to);
  const judged = (verdict: LinkVerdict, message: string, better: string | null = null): LinkAnswer => ({
    address,
    verdict,
    message,
    redirects,
    better,
  });
  const { status } = response;
  if (response.asksToSignIn || status === 401)
    return judged("sign-in", "It asks to sign in, which most recipients cannot.");
  if (status === 404 || status === 410)
    return judged("not-found", `It answers ${status}: there is nothing there.`);
  if (status === 403 || status === 451)
    return judged("refused", `It answers ${status}: it is not open to all.`);
  if (status >= 400) return judged("server-trouble", `It answers ${status}: look again later.`);
  if (ownerOf(response.address) !== ownerOf(address))
    return judged("other-host", `It ends at another host, ${hostOf(response.address)}.`, response.address);
  const forGood = redirects.length > 0 && response.redirects.every(({ permanent }) => permanent);
  if (forGood) return judged("moved", "It has moved for good.", response.address);
  return judged("answers", redirects.length > 0 ? "It answers, after leading on." : "It answers.");
}

/** The answer of an address that could not be fetched. */
export const failedAnswer = (
  address: string,
  failure: FetchFailure,
  redirects: readonly string[],
): LinkAnswer => ({ address, verdict: failure, message: failures[failure], redirects, better: null });
