import { defineConfig } from "@playwright/test";
import { chromiumLaunch } from "./tests/e2e/browser";

export default defineConfig({
  testDir: "tests/e2e",
  workers: 2,
  // One that passes only then is printed as flaky, and mended before anything else.
  retries: process.env.STILL_LINE_E2E_REPORT ? 1 : 0,
  // Long enough for a busy machine: what is fast is measured by the benchmarks, not here.
  timeout: 120_000,
  expect: { timeout: 15_000 },
  reporter: process.env.STILL_LINE_E2E_REPORT
    ? [["list"], ["json", { outputFile: process.env.STILL_LINE_E2E_REPORT }]]
    : [["list"]],
  use: {
    // One test allows it: what a worker answers, no test can stand in for.
    serviceWorkers: "block",
    viewport: { width: 1280, height: 800 },
    permissions: ["clipboard-read", "clipboard-write"],
    actionTimeout: 15_000,
    launchOptions: chromiumLaunch,
  },
});
