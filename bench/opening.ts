/** Opening a view of the application in a browser, as a benchmark does: how long it takes until it is drawn, and what is sent for it. */
import type { Page } from "playwright-core";
import type { TestServer } from "../tests/e2e/server";

/** Openings of which the middle one counts. */
export const times = 7;

export interface Opening {
  /** Until what is in the window is drawn; ms. */
  readonly drawn: number;
  /** Everything that was sent to a browser that had nothing of it, as it came over the wire; bytes. */
  readonly sent: number;
}

async function open(page: Page, address: string, isDrawn: () => boolean, cached: boolean): Promise<Opening> {
  const wire = await page.context().newCDPSession(page);
  await wire.send("Network.enable");
  await wire.send("Network.setCacheDisabled", { cacheDisabled: !cached });
  let sent = 0;
  wire.on("Network.loadingFinished", ({ encodedDataLength }) => (sent += encodedDataLength));
  await page.goto(address, { waitUntil: "commit" });
  await page.waitForFunction(isDrawn, undefined, { polling: "raf" });
  const drawn = await page.evaluate(() => performance.now());
  await page.waitForLoadState("load");
  await wire.detach();
  return { drawn, sent };
}

export const middle = (values: readonly number[]): number =>
  [...values].sort((one, other) => one - other)[Math.floor(values.length / 2)] ?? 0;

/** `isDrawn` is asked in the page. */
export async function opened(page: Page, address: string, isDrawn: () => boolean): Promise<Opening> {
  // By the first the server warms up, and all is sent.
  const { sent } = await open(page, address, isDrawn, false);
  const drawn: number[] = [];
  for (let time = 0; time < times; time += 1) drawn.push((await open(page, address, isDrawn, true)).drawn);
  return { drawn: middle(drawn), sent };
}

export const told = ({ drawn, sent }: Opening): string =>
  `${drawn.toFixed(0)} ms, ${(sent / 1e6).toFixed(2)} MB`;

/** Opens a view of the demo's own data and of much more of it, and tells both. */
export async function compareOpenings(
  page: Page,
  what: string,
  place: string,
  [few, many]: readonly [TestServer, TestServer],
  isDrawn: () => boolean,
): Promise<void> {
  const small = await opened(page, `${few.address}${place}`, isDrawn);
  const large = await opened(page, `${many.address}${place}`, isDrawn);
  process.stdout.write(
    `${what}: ${told(small)}; ${told(large)} (${(large.drawn / small.drawn).toFixed(1)} ×)\n`,
  );
}
