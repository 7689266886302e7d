/**
 * What each view loads on a first visit: script, style and fonts as they are sent, compressed, and how long it takes
 * until its controls answer. What a worker loads beside it is not counted. `npm run build` first.
 */
import { mkdtemp, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { chromium, type Browser } from "playwright-core";
import { chromiumLaunch } from "../tests/e2e/browser";
import { fillDemo, startServer } from "../tests/e2e/server";

const port = Number(process.env.STILL_LINE_BENCH_PORT || 4395);
const kinds = ["Script", "Stylesheet", "Font"] as const;
type Kind = (typeof kinds)[number];

interface Weight {
  readonly bytes: Readonly<Record<Kind, number>>;
  /** ms. */
  readonly life: number;
}

async function weigh(browser: Browser, address: string): Promise<Weight> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const session = await page.context().newCDPSession(page);
  const bytes: Record<Kind, number> = { Script: 0, Stylesheet: 0, Font: 0 };
  const asked = new Map<string, string>();
  session.on("Network.responseReceived", ({ requestId, type }) => asked.set(requestId, type));
  session.on("Network.loadingFinished", ({ requestId, encodedDataLength }) => {
    const kind = kinds.find((each) => each === asked.get(requestId));
    if (kind) bytes[kind] += encodedDataLength;
  });
  await session.send("Network.enable");
  const begun = performance.now();
  await page.goto(address);
  await page.waitForFunction(() =>
    [...document.querySelectorAll("button, input, a")]
      .filter((control) => !control.closest(".ProseMirror"))
      .every((control) => Object.keys(control).some((key) => key.startsWith("__reactProps$"))),
  );
  const life = performance.now() - begun;
  // What is loaded at once and not ahead of time: dialogs come when the page has been idle.
  const atOnce = { ...bytes };
  await page.close();
  return { bytes: atOnce, life };
}

const kilobytes = (bytes: number): string => `${Math.round(bytes / 1024)} KB`.padStart(8);

async function main(): Promise<void> {
  const data = await mkdtemp(path.join(os.tmpdir(), "still-line-weight-"));
  await fillDemo(data, port);
  const server = await startServer(data, port);
  const browser = await chromium.launch(chromiumLaunch);
  try {
    const shelf = await browser.newPage();
    await shelf.goto(server.address);
    const href = await shelf.locator("h2 a").first().getAttribute("href");
    await shelf.goto(`${server.address}/pictures`);
    const cut = await shelf.locator('a[href*="/pictures/cut/"]').first().getAttribute("href");
    await shelf.close();
    const views: Readonly<Record<string, string>> = {
      "an empty page": "/nothing-is-here",
      Shelf: "/",
      Start: "/start",
      Bench: href ?? "",
      Links: `${href}/links`,
      "Pictures of it": `${href}/pictures`,
      Proof: `${href}/proof`,
      Install: `${href}/install`,
      Pictures: "/pictures",
      "Cutting room": cut ?? "",
      Mailroom: "/mailroom",
      "A desk": "/mailroom/ada-quill/malthouse",
      "Writing there": "/mailroom/ada-quill/malthouse/write",
      "Its settings": "/mailroom/ada-quill/wren/settings",
    };
    process.stdout.write(`${"".padEnd(16)}  script   style   fonts  answers after\n`);
    for (const [name, address] of Object.entries(views)) {
      const { bytes, life } = await weigh(browser, server.address + address);
      process.stdout.write(
        `${name.padEnd(15)} ${kinds.map((kind) => kilobytes(bytes[kind])).join("")}  ${life.toFixed(0)} ms\n`,
      );
    }
  } finally {
    await browser.close();
    await server.kill();
    await rm(data, { recursive: true, force: true });
  }
}

await main();
