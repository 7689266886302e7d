import { defineConfig } from "@playwright/test";
import { serverPort } from "./tests/e2e/server";

export default defineConfig({
  testDir: "tests/e2e",
  globalSetup: "./tests/e2e/global-setup.ts",
  workers: 1,
  timeout: 60_000,
  reporter: process.env.STILL_LINE_E2E_REPORT
    ? [["list"], ["json", { outputFile: process.env.STILL_LINE_E2E_REPORT }]]
    : [["list"]],
  use: {
    baseURL: `http://127.0.0.1:${serverPort}`,
    viewport: { width: 1280, height: 800 },
    permissions: ["clipboard-read", "clipboard-write"],
    actionTimeout: 10_000,
    launchOptions: {
      executablePath: process.env.STILL_LINE_CHROMIUM || "/usr/bin/chromium",
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
      ],
    },
  },
});
