/** Walking links: each is opened as a recipient would open it, and what answered is judged. */
import pLimit from "p-limit";
import { failedAnswer, judgeAnswer, type LinkAnswer } from "@/core/links";
import { sniffType } from "@/core/pictures";
import type { Fetched } from "../web/fetch-bounded";
import { readPage } from "../web/read-page";
import { fetchPage } from "../web/web";

type Fetch = typeof fetchPage;

/** Links that are opened at the same time, so that no server feels stormed. */
const atOnce = 4;

/** HEAD is enough for a file; a page is read as well, since it may ask to sign in. */
const isFile = ({ status, headers }: Fetched): boolean =>
  status < 400 && headers["content-type"] !== undefined && !/html/i.test(headers["content-type"]);

const asksToSignIn = (fetched: Fetched): boolean =>
  sniffType(fetched.bytes) === "html" && readPage(fetched).signIn;

/** Opens one link. Never throws for what the other side does. */
export async function walkLink(
  address: string,
  signal?: AbortSignal,
  fetch: Fetch = fetchPage,
): Promise<LinkAnswer> {
  const stop = signal ? { signal } : {};
  const head = await fetch(address, { method: "HEAD", ...stop });
  // A server that does not speak HTTP well enough for HEAD may still answer GET; one that is not there does not.
  if (!head.ok && head.failure !== "no-connection")
    return failedAnswer(
      address,
      head.failure,
      head.redirects.map(({ to }) => to),
    );
  const result = head.ok && isFile(head.fetched) ? head : await fetch(address, { method: "GET", ...stop });
  if (!result.ok)
    return failedAnswer(
      address,
      result.failure,
      result.redirects.map(({ to }) => to),
    );
  const { fetched } = result;
  return judgeAnswer(address, { ...fetched, asksToSignIn: asksToSignIn(fetched) });
}

/**
 * Opens links, at most four at once, and hands each answer on as it comes. Once stopped it opens no further ones,
 * and what was on its way is not handed on.
 */
export async function walkLinks(
  addresses: readonly string[],
  onAnswer: (answer: LinkAnswer) => void | Promise<void>,
  signal: AbortSignal,
  fetch: Fetch = fetchPage,
): Promise<void> {
  const limit = pLimit(atOnce);
  await Promise.all(
    [...new Set(addresses)].map((address) =>
      limit(async () => {
        if (signal.aborted) return;
        const answer = await walkLink(address, signal, fetch);
        if (!signal.aborted) await onAnswer(answer);
      }),
    ),
  );
}
