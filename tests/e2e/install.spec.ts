import { execFileSync } from "node:child_process";
import { mkdtemp, readFile, writeFile } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import AxeBuilder from "@axe-core/playwright";
import { unzipSync } from "fflate";
import type { Page } from "@playwright/test";
import { savedDocument } from "./bench";
import { expect, test } from "./test";

async function openInstall(page: Page, name = "Full"): Promise<void> {
  await page.goto("/");
  const href = await page.getByRole("link", { name, exact: true }).getAttribute("href");
  await page.goto(`${href}/install`);
}

/** The kit of the kind that is shown. */
async function downloadKit(page: Page): Promise<{ name: string; bytes: Uint8Array }> {
  const downloading = page.waitForEvent("download");
  await page.getByRole("link", { name: /^Download / }).click();
  const download = await downloading;
  return { name: download.suggestedFilename(), bytes: new Uint8Array(await readFile(await download.path())) };
}

test("each kind of client has its steps and its kit, and pictures are carried or stay at their addresses", async ({
  page,
}) => {
  await openInstall(page);
  const kinds = page.getByRole("radiogroup", { name: "Kind of client" });
  await kinds.getByRole("radio", { name: "Desktop, document engine" }).click();
  const section = page.getByRole("region", { name: "Desktop, document engine" });
  await expect(section.getByRole("listitem")).toHaveCount(5);
  const kit = await downloadKit(page);
  expect(kit.name).toBe("full-for-desktop-document.zip");
  const files = unzipSync(kit.bytes);
  const names = Object.keys(files);
  expect(names.slice(0, 3)).toEqual(["full.htm", "full.rtf", "full.txt"]);
  expect(names.filter((name) => /^full-pictures\/[a-z0-9-]+\.png$/.test(name))).toHaveLength(7);
  expect([...(files["full-pictures/tamsin-okafor.png"] ?? [])].slice(1, 4)).toEqual([80, 78, 71]);

  await section.getByRole("radio", { name: "Pictures at their addresses" }).click();
  expect(Object.keys(unzipSync((await downloadKit(page)).bytes))).toEqual([
    "full.htm",
    "full.rtf",
    "full.txt",
  ]);

  await kinds.getByRole("radio", { name: "Desktop, browser engine" }).click();
  const archive = await downloadKit(page);
  expect(archive.name).toBe("full.webarchive");
  expect(new TextDecoder("latin1").decode(archive.bytes.slice(0, 8))).toBe("bplist00");

  // By key as well.
  await kinds.getByRole("radio", { name: "Desktop, browser engine" }).focus();
  await page.keyboard.press("ArrowRight");
  await expect(kinds.getByRole("radio", { name: "Desktop, independent" })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Desktop, independent" })).toBeVisible();
  const { violations } = await new AxeBuilder({ page }).exclude("iframe").analyze();
  expect(violations).toEqual([]);
});

test("the file that holds everything begins the very signature again, its pictures taken in", async ({
  page,
}) => {
  await openInstall(page);
  const own = JSON.stringify(await savedDocument(page));
  await page.getByRole("radio", { name: "Desktop, independent" }).click();
  const { name, bytes } = await downloadKit(page);
  await page.goto("/start");
  await page
    .locator("input[type=file]")
    .setInputFiles({ name, mimeType: "text/html", buffer: Buffer.from(bytes) });
  await expect(page.getByRole("heading", { name: "What you have already" })).toBeVisible();
  await page.getByRole("button", { name: "Start with it" }).click();
  await expect(page.getByRole("textbox", { name: "Signature", exact: true })).toBeVisible();
  const again = JSON.stringify(await savedDocument(page));
  const shape = (document: string): string => document.replace(/"source":"[^"]*"/g, '"source":""');
  expect(shape(again)).toBe(shape(own));
});

test("the command line writes the same files, byte for byte", async ({ page, site }, { parallelIndex }) => {
  await openInstall(page);
  const folder = await mkdtemp(path.join(os.tmpdir(), "kit-"));
  const file = path.join(folder, "full.json");
  await writeFile(file, JSON.stringify(await savedDocument(page)));
  const [, id] = /signatures\/([^/]+)/.exec(page.url()) ?? [];
  for (const kind of ["desktop-document", "anything", "webmail"]) {
    const answer = await page.request.get(`/api/signatures/${id ?? ""}/kits/${kind}`);
    const served = unzipSync(await answer.body());
    const out = path.join(folder, kind);
    const written = execFileSync(
      process.execPath,
      [
        ...["dist/still-line.mjs", "kit", file, "--for", kind, "--out", out, "--name", "Full"],
        ...["--person", "demo/people/tamsin-okafor.json", "--base", site.address],
        ...["--data", `.still-line/e2e-${parallelIndex}`],
      ],
      { encoding: "utf8" },
    );
    expect(
      written
        .trim()
        .split("\n")
        .map((each) => path.relative(out, each)),
      kind,
    ).toEqual(Object.keys(served));
    for (const [name, bytes] of Object.entries(served))
      expect(Buffer.compare(await readFile(path.join(out, name)), Buffer.from(bytes)), name).toBe(0);
  }
});
