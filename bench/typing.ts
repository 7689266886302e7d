/**
 * How long it takes from a key to the changed proofs on screen, and how long each view takes to open, in a
 * production build (`npm run build` first) on the demo: median and 95th percentile, beside an empty page of the
 * same server to compare with in one run.
 */
import path from "node:path";
import { chromium, type Page } from "playwright-core";
import { chromiumLaunch } from "../tests/e2e/browser";
import { fillDemo, startServer } from "../tests/e2e/server";

const port = 4394;
const keys = 120;

function summary(name: string, taken: readonly number[]): void {
  const sorted = [...taken].sort((one, other) => one - other);
  const at = (part: number): string => sorted[Math.floor(sorted.length * part)]!.toFixed(1).padStart(7);
  process.stdout.write(`${name.padEnd(30)} ${at(0.5)} ms median ${at(0.95)} ms p95\n`);
}

interface Watched {
  painted: Promise<number>;
}

/** In the page: from the next key until both proofs have been painted with what it changed; ms. */
function watchProofs(): void {
  const bodies = [...document.querySelectorAll<HTMLIFrameElement>("[data-stand-in] iframe")].map(
    (frame) => frame.contentDocument!.body,
  );
  (window as unknown as Watched).painted = new Promise((resolve, reject) => {
    let start = 0;
    addEventListener("keydown", () => (start = performance.now()), { capture: true, once: true });
    setTimeout(() => reject(new Error("The proofs did not change")), 5000);
    const waiting = new Set(bodies);
    for (const body of bodies) {
      const observer = new MutationObserver(() => {
        observer.disconnect();
        waiting.delete(body);
        // Two frames on: the first that can hold the change has been painted.
        if (waiting.size === 0)
          requestAnimationFrame(() => requestAnimationFrame(() => resolve(performance.now() - start)));
      });
      observer.observe(body, { childList: true, subtree: true, characterData: true });
    }
  });
}

/** Types letters and answers, for each, the time until both proofs have been painted with it. */
async function typing(page: Page): Promise<number[]> {
  await page.locator(".signature-editor p").nth(1).click();
  await page.keyboard.press("End");
  const taken: number[] = [];
  for (let key = 0; key < keys; key++) {
    await page.evaluate(watchProofs);
    await page.keyboard.press("abcdefghij"[key % 10]!);
    taken.push(await page.evaluate(() => (window as unknown as Watched).painted));
    // Long lines would measure wrapping and not typing.
    if (key % 20 === 19) for (let back = 0; back < 20; back++) await page.keyboard.press("Backspace");
  }
  return taken.slice(20);
}

async function opening(page: Page, address: string): Promise<number[]> {
  const taken: number[] = [];
  for (let run = 0; run < 8; run++) {
    const start = performance.now();
    await page.goto(address, { waitUntil: "load" });
    taken.push(performance.now() - start);
  }
  return taken.slice(1);
}

async function main(): Promise<void> {
  const data = path.resolve(".still-line/bench");
  await fillDemo(data, port);
  const server = await startServer(data, port);
  const browser = await chromium.launch(chromiumLaunch);
  try {
    const page = await browser.newPage({ baseURL: server.address, viewport: { width: 1280, height: 800 } });
    await page.goto("/");
    const bench = (await page.getByRole("link", { name: "Full", exact: true }).getAttribute("href"))!;
    summary("open: nothing there (baseline)", await opening(page, "/signatures/none"));
    for (const [name, address] of [
      ["open: Shelf", "/"],
      ["open: Bench", bench],
      ["open: Pictures", "/pictures"],
      ["open: Proof", `${bench}/proof`],
      ["open: Install", `${bench}/install`],
      ["open: Mailroom", "/mailroom"],
    ] as const)
      summary(name, await opening(page, address));
    await page.goto(bench);
    await page.waitForLoadState("networkidle");
    summary("key to painted proofs", await typing(page));
  } finally {
    await browser.close();
    await server.kill();
  }
}

await main();
