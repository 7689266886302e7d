import { chromium } from "playwright-core";
import { compile } from "@/core/compile";
import { drawnFontRules } from "@/core/signature";
import { chromiumLaunch } from "./browser";
import { fillDemo, startServer } from "./server";
import { randomDocuments } from "./random-documents";
import { differences, drawnBoxes } from "./drawn-boxes";
const port = 4577;
await fillDemo("/tmp/h/data", port);
const server = await startServer("/tmp/h/data", port);
const browser = await chromium.launch(chromiumLaunch);
const context = await browser.newContext();
await context.addInitScript("window.__name=(f)=>f");
const page = await context.newPage();
await page.goto(server.address + "/pictures");
const source = await page.evaluate(async () => {
  const { entries } = await (await fetch("/api/pictures")).json();
  return entries.flatMap((e: any) => e.cuts)[0].source;
});
const show = process.argv.slice(2).map(Number);
const docs = randomDocuments(Math.max(...show, 30) + 1, 20261126, source);
await page.goto(server.address + "/start");
await page.waitForTimeout(1200);
await page.locator('[data-row="1"][data-column="1"]').click();
await page.waitForSelector(".ProseMirror");
await page.waitForTimeout(800);
const id = /signatures\/([^/]+)/.exec(page.url())![1];
let revision = 1;
for (const n of show) {
  const doc = docs[n]!;
  const html = compile(doc, { destination: "webmail-paste", person: null, base: server.address });
  revision = await page.evaluate(
    async ({ id, body }) => {
      const a = await fetch(`/api/signatures/${id}`, {
        method: "PUT",
        headers: { "content-type": "application/json" },
        body,
      });
      const { revision } = await a.json();
      new BroadcastChannel("still-line saves").postMessage({ id, revision });
      return revision;
    },
    { id, body: JSON.stringify({ document: doc.toJSON(), revision }) },
  );
  await page.waitForFunction(
    (r) =>
      [...document.querySelectorAll("[role=status]")].some((e) => e.textContent!.includes(`version ${r}`)),
    revision,
  );
  const sheet = await drawnBoxes(page.locator(".signature-editor"));
  console.log("=== doc", n);
  for (const mode of ["<!DOCTYPE html>", ""]) {
    const sent = await context.newPage();
    await sent.route("**/as-sent", (r) =>
      r.fulfill({
        contentType: "text/html",
        body: `${mode}<style>${drawnFontRules("/fonts")} body{margin:0}</style><div class=one style="width:1600px">${html}</div>`,
      }),
    );
    await sent.goto(server.address + "/as-sent");
    await sent.evaluate(() => document.fonts.ready);
    console.log(
      mode || "quirks",
      differences(sheet, await drawnBoxes(sent.locator(".one")), 1).join("\n   "),
    );
    await sent.close();
  }
  if (process.env.EV) {
    const list = (sel: string) => {
      const root = document.querySelector(sel)!;
      const out = [] as any[];
      const w = document.createTreeWalker(root.querySelector("table")!, NodeFilter.SHOW_TEXT);
      const o = root.querySelector("table")!.getBoundingClientRect();
      for (let n = w.nextNode(); n; n = w.nextNode()) {
        const r = document.createRange();
        r.selectNodeContents(n);
        for (const q of r.getClientRects()) {
          const cs = getComputedStyle(n.parentElement!);
          out.push(
            [
              n.nodeValue,
              Math.round((q.left - o.left) * 10) / 10,
              Math.round((q.top - o.top) * 10) / 10,
              Math.round(q.width * 10) / 10,
              cs.fontSize,
              cs.fontFamily.slice(0, 9),
              cs.fontWeight,
              cs.lineHeight,
              n.parentElement!.localName,
            ].join(" "),
          );
        }
      }
      return out;
    };
    const sent = await context.newPage();
    await sent.route("**/as-sent", (r) =>
      r.fulfill({
        contentType: "text/html",
        body: `<!DOCTYPE html><style>${drawnFontRules("/fonts")} body{margin:0}</style><div class=one style="width:1600px">${html}</div>`,
      }),
    );
    await sent.goto(server.address + "/as-sent");
    await sent.evaluate(() => document.fonts.ready);
    const A = await page.evaluate(list, ".ProseMirror"),
      B = await sent.evaluate(list, ".one");
    console.log("SHEET\n" + A.join("\n") + "\nSENT\n" + B.join("\n"));
  }
  if (process.env.HTML) {
    console.log(JSON.stringify(doc.toJSON()));
    console.log(html);
    console.log(await page.locator(".ProseMirror").innerHTML());
  }
}
await browser.close();
await server.kill();
process.exit(0);
