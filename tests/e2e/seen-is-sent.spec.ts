import { readdir, readFile } from "node:fs/promises";
import path from "node:path";
import type { Page } from "@playwright/test";
import type { Node } from "prosemirror-model";
import type { Catalogue } from "@/contract";
import { compile } from "@/core/compile";
import { readPerson } from "@/core/people";
import { drawnFontRules, parseSignature } from "@/core/signature";
import { startBlank } from "./bench";
import { differences, drawnBoxes } from "./drawn-boxes";
import { isPlain, randomDocuments } from "./random-documents";
import { expect, test } from "./test";

const count = Number(process.env.STILL_LINE_SEEN || 200);

/** A page that shows HTML as it is sent, in standards or in quirks mode, with the fonts that the sheet has. */
async function sentPage(page: Page, all: readonly string[], doctype: string): Promise<Page> {
  const sent = await page.context().newPage();
  await sent.route("**/as-sent", (route) =>
    route.fulfill({
      contentType: "text/html; charset=utf-8",
      body:
        `${doctype}<style>${drawnFontRules("/fonts")} body{margin:0} div.one{width:1600px}</style>` +
        all.map((html) => `<div class="one">${html}</div>`).join(""),
    }),
  );
  await sent.goto(new URL("/as-sent", page.url()).href);
  await sent.evaluate(() => document.fonts.ready);
  return sent;
}

/** Saves a document as another window of this browser does, and waits until this one has taken it in. */
async function saveElsewhere(page: Page, id: string, document: Node, over: number): Promise<number> {
  const revision = await page.evaluate(
    async ({ id, body }) => {
      const answer = await fetch(`/api/signatures/${id}`, {
        method: "PUT",
        headers: { "content-type": "application/json" },
        body,
      });
      const { revision } = (await answer.json()) as { revision: number };
      new BroadcastChannel("still-line saves").postMessage({ id, revision });
      return revision;
    },
    { id, body: JSON.stringify({ document: document.toJSON() as object, revision: over }) },
  );
  await expect(page.getByRole("status").filter({ hasText: `version ${revision}` })).toBeVisible();
  return revision;
}

const folder = path.resolve("demo");
const readDemo = async (...names: readonly string[]): Promise<unknown> =>
  JSON.parse(await readFile(path.join(folder, ...names), "utf8"));

test("what the sheet shows is what is sent: boxes of cells, words and pictures, in standards and in quirks mode", async ({
  page,
}) => {
  test.setTimeout(600_000);
  await page.goto("/pictures");
  const source = await page.evaluate(async () => {
    const { entries } = (await (await fetch("/api/pictures")).json()) as Catalogue;
    return entries.flatMap(({ cuts }) => cuts)[0]?.source ?? "";
  });
  expect(source).toMatch(/^\/h\//);
  const documents = randomDocuments(count, 20261126, source);
  await startBlank(page, 1, 1);
  const id = /signatures\/([^/]+)/.exec(page.url())?.[1] ?? "";
  const base = new URL(page.url()).origin;
  const compiled = documents.map((document) =>
    compile(document, { destination: "webmail-paste", person: null, base }),
  );
  const pages = [
    ["standards", await sentPage(page, compiled, "<!DOCTYPE html>")],
    ["quirks", await sentPage(page, compiled, "")],
  ] as const;
  const sheet = page.locator(".signature-editor");

  const apart: string[] = [];
  let revision = 1;
  for (const [index, document] of documents.entries()) {
    revision = await saveElsewhere(page, id, document, revision);
    // Nobody types anywhere.
    await page.getByRole("button", { name: "signature", exact: true }).focus();
    for (const [mode, sent] of pages) {
      if (mode === "quirks" && !isPlain(document)) continue;
      const wanted = await drawnBoxes(sent.locator(".one").nth(index));
      let found: readonly string[] = [];
      // Fonts that are asked for with a document come a moment after it.
      await expect
        .poll(async () => (found = differences(await drawnBoxes(sheet), wanted, 1)).length)
        .toBe(0)
        .catch(
          () => void apart.push([`document ${index} in ${mode} mode`, ...found.slice(0, 4)].join("\n  ")),
        );
    }
  }
  expect(apart.length ? `${apart.length} differ:\n${apart.join("\n")}` : "").toBe("");
});

test("each signature of the demo is as high in quirks mode as in standards mode, and as on the Bench", async ({
  page,
}) => {
  const files = await readdir(path.join(folder, "signatures"));
  expect(files.length).toBeGreaterThan(3);
  const person = readPerson(await readDemo("people", "tamsin-okafor.json"));
  await startBlank(page, 1, 1);
  const id = /signatures\/([^/]+)/.exec(page.url())?.[1] ?? "";
  const base = new URL(page.url()).origin;
  await page.evaluate(
    async ({ id, name }) => {
      const { people } = (await (await fetch("/api/people")).json()) as {
        people: { id: string; person: { name: string } }[];
      };
      const personId = people.find((known) => known.person.name === name)?.id;
      await fetch(`/api/signatures/${id}`, {
        method: "PATCH",
        headers: { "content-type": "application/json" },
        body: JSON.stringify({ personId }),
      });
    },
    { id, name: person.name },
  );
  await page.reload();
  let revision = 1;
  for (const file of files) {
    const document = parseSignature(await readDemo("signatures", file));
    revision = await saveElsewhere(page, id, document, revision);
    await page.getByRole("button", { name: "signature", exact: true }).focus();
    const html = compile(document, { destination: "webmail-paste", person, base });
    for (const doctype of ["<!DOCTYPE html>", ""]) {
      const sent = await sentPage(page, [html], doctype);
      const [, height] = (await drawnBoxes(sent.locator(".one"))).size;
      await expect
        .poll(async () => Math.abs((await drawnBoxes(page.locator(".signature-editor"))).size[1] - height), {
          message: `${file} is ${height} px high with doctype “${doctype}”`,
          timeout: 3000,
        })
        .toBeLessThan(1);
      await sent.close();
    }
  }
});
