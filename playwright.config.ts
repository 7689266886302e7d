import { defineConfig } from "@playwright/test";
import { chromiumLaunch } from "./tests/e2e/browser";
import { serverPort } from "./tests/e2e/server";

export default defineConfig({
  testDir: "tests/e2e",
  globalSetup: "./tests/e2e/global-setup.ts",
  workers: 1,
  // One that passes only then is printed as flaky, and mended before anything else.
  retries: process.env.STILL_LINE_E2E_REPORT ? 1 : 0,
  // Long enough for a busy machine: what is fast is measured by the benchmarks, not here.
  timeout: 120_000,
  expect: { timeout: 15_000 },
  reporter: process.env.STILL_LINE_E2E_REPORT
    ? [["list"], ["json", { outputFile: process.env.STILL_LINE_E2E_REPORT }]]
    : [["list"]],
  use: {
    baseURL: `http://127.0.0.1:${serverPort}`,
    viewport: { width: 1280, height: 800 },
    permissions: ["clipboard-read", "clipboard-write"],
    actionTimeout: 15_000,
    launchOptions: chromiumLaunch,
  },
});
