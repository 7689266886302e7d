/** The three browser engines of Debian, each opening one page and answering what it draws. */
import { spawn } from "node:child_process";
import { existsSync } from "node:fs";
import { chromium } from "playwright-core";
import puppeteer from "puppeteer-core";
import { Builder, Capabilities } from "selenium-webdriver";
import { chromiumLaunch } from "../../tests/e2e/browser";
import { measuring, type Measured } from "./measure-page";

export interface Engine {
  readonly name: string;
  /** Programs that it needs, and the Debian package that each is in. */
  readonly needs: Readonly<Record<string, string>>;
  /** Sets letters on whole px, so that each may be half a px from its place and the next as much further. */
  readonly wholeLetters?: boolean;
  /** What some pages draw, by their addresses. */
  readonly measure: (addresses: readonly string[]) => Promise<readonly (readonly Measured[])[]>;
}

const viewport = { width: 1700, height: 900 } as const;
const read = (answer: unknown): readonly Measured[] => JSON.parse(String(answer)) as Measured[];

/** What the drivers' pages have in common. */
interface OpenedPage {
  goto: (address: string) => Promise<unknown>;
  evaluate: (text: string) => Promise<unknown>;
}

async function measureEach(
  page: OpenedPage,
  addresses: readonly string[],
): Promise<readonly (readonly Measured[])[]> {
  const all: (readonly Measured[])[] = [];
  for (const address of addresses) {
    await page.goto(address);
    all.push(read(await page.evaluate(measuring)));
  }
  return all;
}

const blink: Engine = {
  name: "Chromium",
  needs: { "/usr/bin/chromium": "chromium" },
  async measure(addresses) {
    const browser = await chromium.launch(chromiumLaunch);
    try {
      return await measureEach(await browser.newPage({ viewport }), addresses);
    } finally {
      await browser.close();
    }
  },
};

const gecko: Engine = {
  name: "Firefox",
  needs: { "/usr/bin/firefox-esr": "firefox-esr" },
  async measure(addresses) {
    const browser = await puppeteer.launch({
      browser: "firefox",
      executablePath: "/usr/bin/firefox-esr",
      headless: true,
      defaultViewport: viewport,
    });
    try {
      return await measureEach(await browser.newPage(), addresses);
    } finally {
      await browser.close();
    }
  },
};

/** A screen that nobody sees, for a browser that has no other way. */
const display = ":87";
const driverPort = 4387;

const webKit: Engine = {
  name: "WebKitGTK",
  wholeLetters: true,
  needs: {
    "/usr/bin/WebKitWebDriver": "webkit2gtk-driver",
    "/usr/bin/Xvfb": "xvfb",
    "/usr/lib/x86_64-linux-gnu/webkit2gtk-4.1/MiniBrowser": "libwebkit2gtk-4.1-0",
  },
  async measure(addresses) {
    const env = { ...process.env, DISPLAY: display, WEBKIT_DISABLE_SANDBOX_THIS_IS_DANGEROUS: "1" };
    const screen = spawn("/usr/bin/Xvfb", [display, "-screen", "0", "1800x1000x24"], { stdio: "ignore" });
    const driver = spawn("/usr/bin/WebKitWebDriver", [`--port=${driverPort}`], { env, stdio: "ignore" });
    try {
      const capabilities = new Capabilities();
      capabilities.setBrowserName("MiniBrowser");
      capabilities.set("webkitgtk:browserOptions", {
        binary: "/usr/lib/x86_64-linux-gnu/webkit2gtk-4.1/MiniBrowser",
        args: ["--automation"],
      });
      await listening();
      const browser = await new Builder()
        .usingServer(`http://127.0.0.1:${driverPort}`)
        .withCapabilities(capabilities)
        .build();
      try {
        await browser.manage().window().setRect({ x: 0, y: 0, width: 1760, height: 980 });
        return await measureEach(
          {
            goto: (address) => browser.get(address),
            evaluate: (text) => browser.executeScript(`return ${text}`),
          },
          addresses,
        );
      } finally {
        await browser.quit();
      }
    } finally {
      driver.kill();
      screen.kill();
    }
  },
};

/** Until the driver answers; it takes a moment to start. */
async function listening(): Promise<void> {
  for (let tried = 0; tried < 100; tried++) {
    try {
      if ((await fetch(`http://127.0.0.1:${driverPort}/status`)).ok) return;
    } catch {
      // Not yet.
    }
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error("WebKitWebDriver does not answer");
}

export const engines: readonly Engine[] = [blink, gecko, webKit];

/** The Debian packages that are missing for an engine. */
export const missingFor = ({ needs }: Pick<Engine, "needs">): readonly string[] => [
  ...new Set(Object.entries(needs).flatMap(([file, name]) => (existsSync(file) ? [] : [name]))),
];
