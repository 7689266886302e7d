/**
 * One picture of each main view, 1280 × 800 px, from the demo's data: `npm run screenshots`. Starts a server of
 * its own on a fresh demo and ends it again.
 */
import path from "node:path";
import { chromium, type Page } from "playwright-core";
import { chromiumLaunch } from "../tests/e2e/browser";
import { fillDemo, startServer } from "../tests/e2e/server";

const folder = path.resolve("docs/screenshots");
const port = 4393;

async function openSignature(page: Page, name: string, station = ""): Promise<void> {
  await page.goto("/");
  const href = await page.getByRole("link", { name, exact: true }).getAttribute("href");
  await page.goto(`${href}${station}`);
}

async function openProof(page: Page): Promise<void> {
  await openSignature(page, "Press desk", "/proof");
  await page.getByRole("heading", { name: /^Still in/ }).waitFor();
}

/** Installs the full signature at one desk and sends a letter from there, as the Mailroom's pictures need. */
async function rehearse(page: Page): Promise<void> {
  await openSignature(page, "Full", "/install");
  await page.getByRole("button", { name: "Copy the signature" }).click();
  await page.goto("/mailroom/tamsin-okafor/preferences");
  await page.getByRole("textbox", { name: "What goes under your letters" }).click();
  await page.keyboard.press("Control+V");
  await page.getByRole("button", { name: "Keep it" }).click();
  await page.getByRole("status").filter({ hasText: "Kept" }).waitFor();
}

async function writeLetter(page: Page): Promise<void> {
  await page.goto("/mailroom/tamsin-okafor/new?to=ifor@harrowfen.example");
  await page.getByRole("textbox", { name: "About" }).fill("The second tray");
  await page.getByRole("textbox", { name: "The letter" }).locator("div").first().click();
  await page.keyboard.press("Control+Home");
  await page.keyboard.type("Dear Ifor, it came up on Tuesday, eleven days early.");
  await page.getByRole("button", { name: "Hand it over" }).click();
  await page.getByRole("link", { name: /^Sit at/ }).click();
  await page.getByRole("link", { name: /The second tray/ }).click();
  await page.getByRole("heading", { name: "The second tray" }).waitFor();
}

const editedCell = (page: Page, row: number, column: number) =>
  page
    .locator(".signature-editor .ProseMirror > table > tbody > tr")
    .nth(row - 1)
    .locator("> td")
    .nth(column - 1);

/** The source beside the sheet, with an icon marked on both sides. */
async function showSource(page: Page): Promise<void> {
  await openMeasured(page);
  await page.getByRole("button", { name: "Source", exact: true }).click();
  await page.locator(".cm-line").first().waitFor();
  await page.getByRole("textbox", { name: "Signature", exact: true }).locator("p").first().click();
  await page.locator(".cm-line", { hasText: "Tamsin Okafor</b>" }).click();
  await page.locator(".marked-part").waitFor();
}

/** A letter with a signature that somebody built by hand a year ago. */
const oldLetter = `From: Ifor Pell <ifor@harrowfen.example>
Subject: The gate
MIME-Version: 1.0
Content-Type: text/html; charset=utf-8

<html><head><style>
.card{display:flex;gap:14px;align-items:center;font-family:Verdana,Geneva,sans-serif;font-size:12px;line-height:18px;color:#4F554A}
.name{font-size:16px;line-height:22px;font-weight:bold;color:#3F5B2E}
.card img{border-radius:6px} a{color:#3F5B2E;text-decoration:none} a:hover{text-decoration:underline}
@media (max-width:480px){.card{display:block}}
</style></head><body style="font-family:Arial,sans-serif;font-size:14px;color:#333333">
<p>Dear Tamsin,</p><p>the gate is mended, and the key is at the Front Desk.</p><p>-- </p>
<div class="card"><img src="https://reedbasket.example/pictures/seed-jars.png" width="130" height="60" alt="Seed jars">
<div><div class="name">Ifor Pell</div><div>Porter</div>
<div>Find us behind the church: <a href="https://harrowfen.example/visit">harrowfen.example</a></div>
<div><a href="mailto:ifor@harrowfen.example">ifor@harrowfen.example</a></div></div></div>
</body></html>
`;

async function bringOld(page: Page): Promise<void> {
  await page.goto("/start");
  await page.locator("input[type=file]").setInputFiles({
    name: "the-gate.eml",
    mimeType: "message/rfc822",
    buffer: Buffer.from(oldLetter),
  });
  await page.getByRole("status").filter({ hasText: "stand where they stood" }).waitFor();
}

async function chooseIcons(page: Page): Promise<void> {
  await openSignature(page, "Full");
  await editedCell(page, 1, 2).locator(".drawn-icon-row img[src^='/h/']").first().click();
  await page.getByRole("button", { name: "icon row", exact: true }).click();
  await page.getByRole("button", { name: "Add icons" }).click();
  const dialog = page.getByRole("dialog", { name: "Icons for the row" });
  await dialog
    .getByRole("textbox", { name: "Paste the address of a page" })
    .fill("https://sowcast.example/https://sowcast.example/harrowfen desk@harrowfen.example");
  await dialog.getByRole("button", { name: "Take it" }).click();
  await dialog.getByRole("radio", { name: "Drawn" }).click();
}

/** A walk of which all but the slow link have answered. */
async function walkLinks(page: Page): Promise<void> {
  await openSignature(page, "Growing season", "/links");
  await page.getByRole("button", { name: "Walk 9 links" }).click();
  await page.getByText("8 of 9 answered").waitFor();
}

async function openVersions(page: Page): Promise<void> {
  await openSignature(page, "Short, for answers");
  await editedCell(page, 1, 1).getByText("Tamsin Okafor").click();
  await page.getByRole("button", { name: "Italic" }).click();
  await page.getByRole("status").filter({ hasText: "version 2" }).waitFor();
  await page.getByRole("button", { name: "Versions" }).click();
  await page.getByRole("list", { name: "Kept versions" }).getByRole("button").first().waitFor();
}

async function cutCircle(page: Page): Promise<void> {
  await openSignature(page, "Full");
  await page
    .locator('.signature-editor img[alt^="Portrait"], .signature-editor img[width="96"]')
    .first()
    .click();
  await page.getByRole("button", { name: "Cut it" }).click();
  await page.getByText("looks the same").waitFor();
}

async function makeLoop(page: Page): Promise<void> {
  await page.goto("/pictures/loops/new");
  await page.getByRole("button", { name: /tamsin-okafor/ }).click();
  await page.getByRole("button", { name: "Go on" }).click();
  await page.getByRole("region", { name: "Weight" }).getByText("64 colours").waitFor();
  await page
    .getByRole("button", { name: /in the file|KB$/ })
    .first()
    .waitFor();
}

async function lookAtAddress(page: Page): Promise<void> {
  await page.goto("/pictures/addresses");
  await page.getByRole("button", { name: "Fetch a test picture" }).click();
  await page.getByText("only this machine or its network").waitFor();
  await page.getByLabel("Address of a picture").fill("https://reedbasket.example/2019/seed-jars.png");
  await page.getByRole("button", { name: "Look at it" }).click();
  await page.getByText("has moved for good").waitFor();
}

async function openMeasured(page: Page): Promise<void> {
  await openSignature(page, "Full");
  await page.locator("[data-stand-in] [data-still]").first().waitFor();
}

const views: readonly (readonly [name: string, open: (page: Page) => Promise<unknown>])[] = [
  ["shelf", (page) => page.goto("/")],
  ["start", (page) => page.goto("/start")],
  ["start-existing", bringOld],
  ["bench", openMeasured],
  ["bench-icons", chooseIcons],
  ["bench-right-to-left", (page) => openSignature(page, "Right to left")],
  ["versions", openVersions],
  ["pictures", (page) => page.goto("/pictures")],
  ["pictures-cut", cutCircle],
  ["pictures-loop", makeLoop],
  ["pictures-addresses", lookAtAddress],
  ["pictures-signature", (page) => openSignature(page, "From last year", "/pictures")],
  ["links", walkLinks],
  ["proof", openProof],
  ["install", (page) => openSignature(page, "Full", "/install")],
  ["mailroom", (page) => page.goto("/mailroom")],
  ["mailroom-preferences", rehearse],
  ["mailroom-letter", writeLetter],
  // The source stays open in this browser.
  ["bench-source", showSource],
];

async function main(): Promise<void> {
  const data = path.resolve(".still-line/screenshots");
  await fillDemo(data, port);
  const server = await startServer(data, port);
  const browser = await chromium.launch(chromiumLaunch);
  try {
    const page = await browser.newPage({
      baseURL: server.address,
      viewport: { width: 1280, height: 800 },
      permissions: ["clipboard-read", "clipboard-write"],
    });
    for (const [name, open] of views) {
      await open(page);
      // What lies below the window is never loaded.
      await page.waitForFunction(() =>
        [...document.images].every(
          (image) => image.complete || image.getBoundingClientRect().top > innerHeight,
        ),
      );
      await page.evaluate(() => document.fonts.ready);
      await page.waitForTimeout(600);
      await page.screenshot({ path: path.join(folder, `${name}.png`) });
    }
  } finally {
    await browser.close();
    await server.kill();
  }
}

await main();
