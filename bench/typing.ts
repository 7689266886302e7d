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

/** From the key, in ms: when the proofs held what it changed, and when the frame with it had been painted. */
interface Taken {
  readonly changed: number;
  readonly painted: number;
}

interface Watched {
  taken: Promise<Taken>;
}

/** In the page: from the next key until the proofs have been painted with what it changed; ms. */
function watchProofs(): void {
  const bodies = [...document.querySelectorAll<HTMLIFrameElement>("[data-stand-in] iframe")].map(
    (frame) => frame.contentDocument!.body,
  );
  (window as unknown as Watched).taken = new Promise((resolve, reject) => {
    let start = 0;
    addEventListener("keydown", () => (start = performance.now()), { capture: true, once: true });
    setTimeout(() => reject(new Error("The proofs did not change")), 5000);
    const waiting = new Set(bodies);
    for (const body of bodies) {
      const observer = new MutationObserver(() => {
        observer.disconnect();
        waiting.delete(body);
        if (waiting.size > 0) return;
        const changed = performance.now() - start;
        // A message sent from inside a frame is taken up once that frame has been painted.
        const channel = new MessageChannel();
        channel.port1.onmessage = () => resolve({ changed, painted: performance.now() - start });
        requestAnimationFrame(() => channel.port2.postMessage(null));
      });
      observer.observe(body, { childList: true, subtree: true, characterData: true });
    }
  });
}

/** The stages that the application leaves in the browser's timeline. */
const stages = ["edit", "compile", "receive", "draw"] as const;
type Stage =
  | (typeof stages)[number]
  | "views and events between them"
  | "waiting for the frame, painting"
  | "key to painted proofs";

/** What one key took, in ms by stage. */
async function stagesOfKey(page: Page): Promise<Record<string, number>> {
  return page.evaluate(() => {
    const sums: Record<string, number> = {};
    for (const { name, duration } of performance.getEntriesByType("measure"))
      sums[name.replace("still-line ", "")] = (sums[name.replace("still-line ", "")] ?? 0) + duration;
    performance.clearMeasures();
    return sums;
  });
}

/** Types letters and answers, for each stage and key, the time until the proofs have been painted with it. */
async function typing(page: Page): Promise<ReadonlyMap<Stage, readonly number[]>> {
  await page.locator(".signature-editor p").nth(1).click();
  await page.keyboard.press("End");
  const taken = new Map<Stage, number[]>();
  const add = (stage: Stage, ms: number): void => void taken.set(stage, [...(taken.get(stage) ?? []), ms]);
  for (let key = 0; key < keys; key++) {
    await page.evaluate(watchProofs);
    await stagesOfKey(page);
    await page.keyboard.press("abcdefghij"[key % 10]!);
    const { changed, painted } = await page.evaluate(() => (window as unknown as Watched).taken);
    const sums = await stagesOfKey(page);
    if (key >= 20) {
      for (const stage of stages) add(stage, sums[stage] ?? 0);
      const named = stages.reduce((sum, stage) => sum + (sums[stage] ?? 0), 0);
      add("views and events between them", changed - named);
      add("waiting for the frame, painting", painted - changed);
      add("key to painted proofs", painted);
    }
    // Long lines would measure wrapping and not typing.
    if (key % 20 === 19) for (let back = 0; back < 20; back++) await page.keyboard.press("Backspace");
  }
  return taken;
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
      ["open: Links", `${bench}/links`],
      ["open: Proof", `${bench}/proof`],
      ["open: Install", `${bench}/install`],
      ["open: Mailroom", "/mailroom"],
    ] as const)
      summary(name, await opening(page, address));
    await page.goto(bench);
    await page.waitForLoadState("networkidle");
    for (const [stage, ms] of await typing(page)) summary(stage, ms);
  } finally {
    await browser.close();
    await server.kill();
  }
}

await main();
