/** Playwright's `test`, whose pages are handed over once they have come to life. */
import path from "node:path";
import { test as base, type Page } from "@playwright/test";
import { fillDemo, serverPort, startServer, type TestServer } from "./server";

export { expect } from "@playwright/test";

/**
 * Waits until React has taken over every control that the server drew. Before that, a click, a drop or a key does
 * nothing, and a field that is filled may be emptied again: a person is slower than that, a test is not.
 */
async function waitForLife(page: Page): Promise<void> {
  await page.waitForFunction(() => {
    if (!document.querySelector('script[src*="/_next/"]')) return true;
    const controls = [...document.querySelectorAll("main button, main input, main select, main textarea")];
    return controls
      .filter((control) => !control.closest(".ProseMirror, .cm-editor"))
      .every((control) => Object.keys(control).some((key) => key.startsWith("__reactProps$")));
  });
}

/** A page that is waited for whenever it is opened or reloaded, and whose further windows are as well. */
function lively(page: Page): Page {
  const goto = page.goto.bind(page);
  page.goto = async (...told) => {
    const answer = await goto(...told);
    await waitForLife(page);
    return answer;
  };
  const reload = page.reload.bind(page);
  page.reload = async (...told) => {
    const answer = await reload(...told);
    await waitForLife(page);
    return answer;
  };
  return page;
}

/** The ports of one worker's servers are so far from those of the next. */
const portsOfWorker = 10;

export const test = base.extend<object, { site: TestServer }>({
  /** The server that the tests of one worker share, on a demo of its own: workers never see each other's changes. */
  site: [
    // Playwright reads from the first argument which fixtures it needs.
    // eslint-disable-next-line no-empty-pattern
    async ({}, handOver, { parallelIndex }) => {
      const port = serverPort + portsOfWorker * parallelIndex;
      const data = path.resolve(`.still-line/e2e-${parallelIndex}`);
      await fillDemo(data, port);
      const server = await startServer(data, port);
      await handOver(server);
      await server.kill();
    },
    { scope: "worker" },
  ],
  baseURL: async ({ site }, handOver) => handOver(site.address),
  context: async ({ context }, handOver) => {
    const newPage = context.newPage.bind(context);
    context.newPage = async () => lively(await newPage());
    await handOver(context);
  },
});
