/**
 * One picture of each main view, 1280 × 800 px, from the demo's data: `npm run screenshots`. Starts a server of
 * its own on a fresh demo and ends it again.
 */
import path from "node:path";
import { chromium, type Page } from "playwright-core";
import { choose, shelfOf } from "../tests/e2e/bench";
import { chromiumLaunch } from "../tests/e2e/browser";
import { fillDemo, startServer } from "../tests/e2e/server";

const folder = path.resolve("docs/screenshots");
const port = 4393;

async function openSignature(page: Page, name: string, station = ""): Promise<void> {
  await page.goto(shelfOf(name));
  const href = await page.getByRole("link", { name, exact: true }).getAttribute("href");
  await page.goto(`${href}${station}`);
}

async function openProof(page: Page): Promise<void> {
  await openSignature(page, "Press desk", "/proof");
  await page.getByRole("heading", { name: /^Still in/ }).waitFor();
}

/** Whose details fit, and for whom it is still, once all of them have been tried. */
async function tryEverybody(page: Page): Promise<void> {
  await openSignature(page, "Full", "/proof");
  await page.getByRole("button", { name: "Everybody" }).click();
  await page.getByRole("heading", { name: /^Still in every proof for/ }).waitFor();
  await page.getByRole("progressbar").waitFor({ state: "hidden" });
  // Nothing is pointed at.
  await page.mouse.move(0, 0);
}

/** Places a kit in the file client's folder in a rehearsal, which is half done then. */
async function rehearseInFolder(page: Page): Promise<void> {
  await openSignature(page, "Full", "/install");
  await page.getByRole("radio", { name: "Desktop, document engine" }).click();
  await page.getByRole("button", { name: "Rehearse it in the Mailroom" }).click();
  await choose(page.getByRole("combobox", { name: "Place the kit of" }), "Full");
  await page.getByText("7 pictures beside it").waitFor();
  await page.locator(".granary iframe").contentFrame().getByText("Tamsin Okafor").first().waitFor();
  await page.waitForLoadState("networkidle");
  await page.waitForTimeout(600);
  await choose(page.getByRole("combobox", { name: /^Fresh leaves of tamsin/ }), "full");
  await page.getByText("3 of 6 done").waitFor();
  await page.evaluate(() => {
    scrollTo(0, 0);
  });
}

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

/** A line that was idle may have been closed by the server just as it is asked on again. */
const idle = { maxRetries: 3 };

const secretOf = async (page: Page, id: string): Promise<string> =>
  ((await (await page.request.post(`/api/people/${id}/page`, idle)).json()) as { secret: string }).secret;

/** A page on which something was installed, and something is asked to be corrected. */
async function openOwnPage(page: Page): Promise<void> {
  await page.goto(`/mine/${await secretOf(page, "tamsin-okafor")}`);
  await page.getByRole("button", { name: "I have put it in" }).click();
  await page.getByText(/^Webmail: what you put in on/).waitFor();
  await page.getByRole("textbox", { name: "Title" }).fill("Head of Germination and Viability");
  await page.getByRole("button", { name: "Ask for it to be corrected" }).click();
  await page.getByText(/^Waits for the office/).waitFor();
  await page.goto("/people");
  await page.goto(`/mine/${await secretOf(page, "tamsin-okafor")}`);
}

/** Pages that were written to, opened and copied from, as far as each. */
async function showPages(page: Page): Promise<void> {
  await page.goto("/people/pages");
  await page.getByRole("button", { name: "Write to them" }).click();
  await page.getByRole("button", { name: "Rehearse it" }).click();
  await page.getByText("21 letters to the Mailroom.").waitFor();
  for (const id of ["ada-quill", "anjali-rao", "aurelien-dubreuil", "bram-uzel"]) {
    const at = `/api/mine/${await secretOf(page, id)}`;
    await page.request.post(`${at}/opened`, idle);
    if (id !== "anjali-rao") await page.request.post(`${at}/copied`, idle);
  }
  await page.goto("/people/pages");
}

/** Installs of several kinds, of which two are out of date. */
async function showInstalls(page: Page): Promise<void> {
  const install = { form: "full", use: "both", by: "Jo Li", note: "" };
  const places = [
    ["Full", "webmail", "tamsin@harrowfen.example"],
    ["Full", "phone", "Tamsin’s phone"],
    ["Press desk", "desktop-document", "press desk, left machine"],
    ["Press desk", "desktop-browser", "press desk, laptop"],
    ["Right to left", "webmail", "front desk"],
  ] as const;
  for (const [name, kind, account] of places) {
    await openSignature(page, name);
    const [, id = ""] = /signatures\/([^/#?]+)/.exec(page.url()) ?? [];
    const saved = `/api/signatures/${id}`;
    const { revision } = (await (await page.request.get(`${saved}?after=0`)).json()) as { revision: number };
    await page.request.post(`${saved}/installs`, { data: { ...install, kind, account, revision } });
  }
  await openSignature(page, "Press desk");
  const [, id = ""] = /signatures\/([^/#?]+)/.exec(page.url()) ?? [];
  const answer = await page.request.get(`/api/signatures/${id}?after=0`);
  const { document, revision } = (await answer.json()) as {
    document: { attrs: object };
    revision: number;
  };
  const changed = { ...document, attrs: { ...document.attrs, textColor: "#2E3A2B" } };
  await page.request.put(`/api/signatures/${id}`, { data: { document: changed, revision } });
  await page.goto("/installs");
}

/** A walk of which all but the slow link have answered. */
async function walkLinks(page: Page): Promise<void> {
  await openSignature(page, "Growing season", "/links");
  await page.getByRole("button", { name: "Walk 9 links" }).click();
  await page.getByText("8 of 9 answered").waitFor();
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

/** A list of the office's own, with somebody who comes, two who change and one line that cannot be read. */
const ownList = [
  "Who;Job title;Team;E-mail;Office phone",
  "Tamsin Okafor;Director of Germination;Germination Lab;tamsin@harrowfen.example;+44 1632 960118",
  "Ifor Pell;Seed Curator;Collections;ifor@harrowfen.example;+44 1632 960129",
  "Hedy Marsh;Keeper of Labels;Cold Store;hedy@harrowfen.example;+44 1632 960151",
  "Jo Li;Intern;Press",
].join("\r\n");

async function bringInList(page: Page): Promise<void> {
  await page.goto("/people/bring-in");
  await page.waitForLoadState("networkidle");
  await page.locator("input[type=file]").setInputFiles({
    ...{ name: "staff.csv", mimeType: "text/csv" },
    buffer: Buffer.from(ownList),
  });
  await page.getByRole("tab", { name: /change/ }).click();
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
  ["pictures", (page) => page.goto("/pictures")],
  ["pictures-cut", cutCircle],
  ["links", walkLinks],
  ["proof", openProof],
  ["proof-everybody", tryEverybody],
  ["install", (page) => openSignature(page, "Full", "/install")],
  ["people", (page) => page.goto("/people")],
  ["people-list", bringInList],
  ["portraits", (page) => page.goto("/people/portraits")],
  ["who-gets-what", (page) => page.goto("/people/signatures")],
  ["own-page", openOwnPage],
  ["pages", showPages],
  ["mailroom-rehearsal", rehearseInFolder],
  ["installs", showInstalls],
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
