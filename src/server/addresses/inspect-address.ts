/** Looking at a picture's address as a recipient's mail client would meet it, and saying what is wrong with it. */
import type { AddressReport, FetchFailure } from "@/core/links";
import { sniffType } from "@/core/pictures";
import { Refusal } from "../http/refusal";
import { imaging } from "../imaging/imaging";
import type { Fetched, FetchResult } from "../web/fetch-bounded";
import { readPage } from "../web/read-page";
import { fetchFromWeb } from "../web/web";

const failures: Readonly<Record<FetchFailure, string>> = {
  "not-an-address":
    "This is no web address: it begins with https:// or http://, and has no name or password in it.",
  "private-address":
    "This leads into a private network, where no recipient can follow: upload the picture here instead.",
  "no-such-host": "There is no server of that name: look at the spelling.",
  "no-connection": "No server answered there: try again later, or upload the picture here instead.",
  certificate:
    "The server's certificate is not in order, so mail clients refuse it: upload the picture here instead.",
  "too-slow":
    "It did not answer within 10 seconds, and no reader waits for that: upload the picture here instead.",
  "too-many-redirects": "It leads on and on, and never to a picture: copy the address of the picture itself.",
  "too-many-bytes":
    "It is larger than 20 MB, far too heavy for a signature: upload it here, and it is cut to size.",
};

type Judged = Pick<AddressReport, "verdict" | "message"> & { better?: string | null };

function judgePage(fetched: Fetched): Judged {
  const { signIn, picture } = readPage(fetched);
  if (signIn || fetched.status === 401)
    return {
      verdict: "restricted",
      message: "It asks to sign in, so recipients see nothing: share it with everyone, or upload it here.",
    };
  return {
    verdict: "page",
    message: picture
      ? "This is a page that shows a picture, and not the picture itself: use the picture's own address below."
      : "This is a web page and not a picture: open it, copy the address of the picture itself, and paste that.",
    better: picture,
  };
}

function judgeStatus(status: number): Judged {
  if (status === 401 || status === 403)
    return {
      verdict: "restricted",
      message: `It answers ${status}: it is not open to all. Share it with everyone, or upload the picture here.`,
    };
  if (status === 404 || status === 410)
    return {
      verdict: "gone",
      message: `It answers ${status}: there is no picture here any more. Find its new address, or upload the picture here.`,
    };
  return {
    verdict: "server-trouble",
    message: `The server answers ${status}: try again later, or upload the picture here.`,
  };
}

type Fetch = typeof fetchFromWeb;

/** Whether a page elsewhere, which webmail is, is kept from showing it. */
async function forbidsEmbedding(address: string, { headers }: Fetched, fetch: Fetch): Promise<boolean> {
  const policy = headers["cross-origin-resource-policy"]?.toLowerCase();
  if (policy === "same-origin" || policy === "same-site") return true;
  const again = await fetch(address, { headers: { referer: "https://webmail.example/letters" } });
  return again.ok && again.fetched.status >= 400;
}

/** Types that every kind of mail client draws. */
const mailSafe: readonly string[] = ["png", "jpeg", "gif"];

async function judge(
  address: string,
  fetched: Fetched,
  fetch: Fetch,
): Promise<Judged & { picture?: AddressReport["picture"] }> {
  const sniffed = sniffType(fetched.bytes);
  if (fetched.status >= 400 && sniffed !== "html") return judgeStatus(fetched.status);
  if (sniffed === "html")
    return fetched.status >= 400 && fetched.status !== 401 ? judgeStatus(fetched.status) : judgePage(fetched);
  let inspected: Awaited<ReturnType<typeof imaging.inspectPicture>>;
  try {
    inspected = await imaging.inspectPicture(
      fetched.bytes,
      // As it stands in the address: what is escaped in it need not be text.
      new URL(fetched.address).pathname.split("/").at(-1) || "it",
    );
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return { verdict: "not-a-picture", message: error.message };
  }
  const { type, width, height, frames } = inspected;
  const picture = { type, width, height, frames, bytes: fetched.bytes.length };
  if (!mailSafe.includes(type))
    return {
      verdict: "not-mail-safe",
      message: `It is a ${type.toUpperCase()}, which many mail clients do not draw: upload it here, and it is cut to a PNG.`,
      picture,
    };
  if (await forbidsEmbedding(address, fetched, fetch))
    return {
      verdict: "forbids-embedding",
      message:
        "It opens by itself, but forbids pages of others to show it, and webmail is one: upload the picture here.",
      picture,
    };
  const forGood = fetched.redirects.length > 0 && fetched.redirects.every(({ permanent }) => permanent);
  return forGood
    ? {
        verdict: "moved",
        message: "It is a picture and open to all, but has moved for good: use its new address below.",
        better: fetched.address,
        picture,
      }
    : { verdict: "open", message: "It is a picture, and open to all.", picture };
}

/** Never throws for what the other side does. `fetch` is the way out to the web. */
export async function inspectAddress(address: string, fetch: Fetch = fetchFromWeb): Promise<AddressReport> {
  const given = address.trim();
  const result: FetchResult = await fetch(given);
  if (!result.ok)
    return {
      address: given,
      verdict: result.failure,
      message: failures[result.failure],
      redirects: result.redirects.map(({ to }) => to),
      better: null,
      picture: null,
    };
  const { better = null, picture = null, ...judged } = await judge(given, result.fetched, fetch);
  return {
    address: given,
    ...judged,
    better,
    picture,
    redirects: result.fetched.redirects.map(({ to }) => to),
  };
}
