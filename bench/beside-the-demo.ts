/** The demo's own data and a folder with more of it, each behind a server, and a browser that opens both. */
import { cp, mkdtemp, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { chromium, type Page } from "playwright-core";
import { chromiumLaunch } from "../tests/e2e/browser";
import { fillDemo, serverPort, startServer, type TestServer } from "../tests/e2e/server";

/** `fill` adds to the folder that STILL_LINE_DATA names; everything is taken away afterwards. Ends the process. */
export async function besideTheDemo(
  fill: () => Promise<void>,
  measure: (page: Page, few: TestServer, many: TestServer) => Promise<void>,
): Promise<never> {
  const folder = await mkdtemp(path.join(os.tmpdir(), "still-line-bench-"));
  const [few, many] = [path.join(folder, "few"), path.join(folder, "many")];
  const browser = await chromium.launch(chromiumLaunch);
  const servers: TestServer[] = [];
  try {
    await fillDemo(few, serverPort);
    await cp(few, many, { recursive: true });
    process.env.STILL_LINE_DATA = many;
    await fill();
    const own = await startServer(few, serverPort);
    servers.push(own);
    const large = await startServer(many, serverPort + 1);
    servers.push(large);
    await measure(await browser.newPage({ viewport: { width: 1280, height: 800 } }), own, large);
  } finally {
    await browser.close();
    for (const server of servers) await server.kill();
    await rm(folder, { recursive: true, force: true });
  }
  process.exit(0);
}
