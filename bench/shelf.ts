/**
 * How long the Shelf and Pictures take to open with 500 signatures and 2,000 pictures, beside the demo's own few, what they send for it,
 * how long a search takes, and all of that while hosted pictures are asked for at 50 connections. All in one run, to be compared
 * in it.
 */
import autocannon from "autocannon";
import type { TestServer } from "../tests/e2e/server";
import { besideTheDemo } from "./beside-the-demo";
import { fillLargeShelf } from "./large-shelf";
import { compareOpenings, opened, times, told } from "./opening";

const sizes = { signatures: 500, pictures: 2000 } as const;
/** What is in the window is drawn: no item is on its way, every frame has its signature, and every picture is there. */
const isDrawn = (): boolean => {
  const items = [...document.querySelectorAll('[role="listitem"]')].filter(
    (item) => item.getBoundingClientRect().top < innerHeight,
  );
  return (
    items.length > 0 &&
    items.every(
      (item) =>
        !item.querySelector('[role="status"]') &&
        [...item.querySelectorAll("iframe")].every((frame) =>
          frame.contentDocument?.querySelector("table"),
        ) &&
        [...item.querySelectorAll("img")].every(({ complete }) => complete),
    )
  );
};

/** Asks for a hosted picture of the demo as fast as it is given out, while something is done. Resolves with how many a second. */
async function whileLoaded(server: TestServer, action: () => Promise<void>): Promise<number> {
  const shelf = await (await fetch(server.address)).text();
  const picture = /\/h\/[0-9a-f]{20}\/[a-z0-9-]+\.png/.exec(shelf)?.[0] ?? "";
  const [running, ended] = await new Promise<[autocannon.Instance, Promise<autocannon.Result>]>((begun) => {
    const result = new Promise<autocannon.Result>((resolve, reject) => {
      const instance = autocannon(
        { url: `${server.address}${picture}`, connections: 50, duration: 600 },
        (error: Error | null, found) => (error ? reject(error) : resolve(found)),
      );
      queueMicrotask(() => begun([instance, result]));
    });
  });
  await action();
  running.stop();
  return (await ended).requests.average;
}

const rows = [
  ["the Shelf", "/"],
  ["the Shelf by findings", "/?order=findings"],
  ["the Shelf, looked through for “okafor”", "/?look=okafor"],
  ["Pictures", "/pictures"],
  ["Pictures, looked through for “logo”", "/pictures?look=logo"],
] as const;

await besideTheDemo(
  () => fillLargeShelf(sizes.signatures, sizes.pictures),
  async (page, few, many) => {
    process.stdout.write(
      `the demo's own, and ${sizes.signatures} signatures with ${sizes.pictures} pictures; the median of ${times} openings, drawn and sent\n`,
    );
    for (const [what, place] of rows) await compareOpenings(page, what, place, [few, many], isDrawn);
    const asked = await whileLoaded(many, async () => {
      for (const [what, place] of [rows[0], rows[3]])
        process.stdout.write(
          `${what}, while pictures are given out: ${told(await opened(page, `${many.address}${place}`, isDrawn))}\n`,
        );
    });
    process.stdout.write(`hosted pictures meanwhile: ${asked.toFixed(0)} a second\n`);
  },
);
