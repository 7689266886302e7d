import { mkdtemp, mkdir, readFile, writeFile } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import AxeBuilder from "@axe-core/playwright";
import type { Page } from "@playwright/test";
import { expect, test } from "./test";
import { cell, openCopy, picturesOf, setMeasure, startBlank, tabTo } from "./bench";

async function expectNoViolations(page: Page, where: string, include = "body"): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).include(include).exclude("iframe").analyze();
  expect(
    violations.map(({ id, nodes }) => `${where}, ${id}: ${nodes.map(({ html }) => html).join(" ")}`),
  ).toEqual([]);
}

test("every panel of the cutting room and the loop room passes axe, and fits the window", async ({
  page,
}) => {
  await openCopy(page, "Full");
  await page.locator(".signature-editor img").first().click();
  await page.getByRole("button", { name: "Cut it" }).click();
  const dialog = page.getByRole("dialog", { name: /^Cut / });
  for (const panel of ["Crop and frame", "Size", "Colour", "File"]) {
    await dialog.getByRole("radio", { name: panel, exact: true }).click();
    if (panel === "Colour")
      for (const step of [/^Clear/, /^Tint/, /^Plate/, /^Fill/])
        await dialog.getByRole("checkbox", { name: step }).check();
    await expectNoViolations(page, panel, "[role=dialog]");
  }
  expect(await page.evaluate(() => document.documentElement.scrollHeight)).toBeLessThanOrEqual(800);
  await page.keyboard.press("Escape");

  await page.keyboard.press("Alt+Shift+P");
  for (const shelf of ["Cuts and loops", "An address elsewhere"]) {
    await page.getByRole("radio", { name: shelf }).click();
    await expectNoViolations(page, shelf, "[role=dialog]");
  }

  await page.goto("/pictures/loops/new");
  await page.getByRole("button", { name: /layla-mansour/ }).click();
  await page.getByRole("button", { name: "Go on" }).click();
  await expect(page.getByRole("region", { name: "Weight" })).toContainText("frames");
  await expectNoViolations(page, "loop");
  await page.getByRole("radio", { name: "Its crop" }).click();
  await expectNoViolations(page, "crop of a loop");
  expect(await page.evaluate(() => document.documentElement.scrollHeight)).toBeLessThanOrEqual(800);
});

test("a portrait is cut to a circle with a ring by keyboard only", async ({ page }) => {
  await page.goto(picturesOf("anjali-rao.jpg"));
  await tabTo(page, "Cut anjali-rao.jpg");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Cut anjali-rao.jpg" })).toBeVisible();
  await tabTo(page, /^Crop: arrow keys/);
  await tabTo(page, "Circle");
  await page.keyboard.press("Enter");
  await tabTo(page, /A ring around it/);
  await page.keyboard.press("Space");
  await tabTo(page, "Ring width");
  await page.keyboard.press("ArrowUp");
  await expect(page.getByRole("textbox", { name: "Ring width" })).toHaveValue("2.5");
  await tabTo(page, "Crop width");
  await page.keyboard.type("400");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("textbox", { name: "Crop height" })).toHaveValue("400");
  await expect(page.getByRole("region", { name: "Result" })).toContainText(
    /looks the same.*PNG, \d+ colours/,
  );
  await tabTo(page, "Keep this cut");
  await page.keyboard.press("Enter");
  await expect(page.getByText(/^anjali-rao\.png is kept/)).toBeVisible();
});

test("a whole folder is uploaded, and what a file system left in it is not", async ({ page }) => {
  const folder = await mkdtemp(path.join(os.tmpdir(), "still-line-folder-"));
  await mkdir(path.join(folder, "icons"));
  const icon = await readFile("demo/pictures/originals/found-plotline.png");
  for (const [name, mark] of [
    ["Seed tray.png", "one"],
    ["icons/Seed tray.png", "two"],
    [".hidden.png", "three"],
  ] as const)
    await writeFile(path.join(folder, name), Buffer.concat([icon, Buffer.from(mark)]));
  await page.goto("/pictures");
  await page.getByLabel("A whole folder").setInputFiles(folder);
  await expect(page.getByRole("button", { name: "Rename Seed tray.png" })).toHaveCount(2);
  await expect(page.getByText(".hidden.png")).toBeHidden();
});

test("an upload is stopped, and says so", async ({ page }) => {
  await page.goto("/pictures");
  // Nothing is answered, so that it can be stopped in the middle.
  await page.route("**/api/pictures", () => undefined);
  await page.getByLabel("Upload pictures").setInputFiles({
    name: "slow.png",
    mimeType: "image/png",
    buffer: await readFile("demo/pictures/originals/found-web.png"),
  });
  await page.getByRole("button", { name: "Stop the upload of slow.png" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "stopped" })).toHaveText("The upload was stopped.");
});

test("a picture elsewhere that is gone is a finding of its signature, until its address is mended", async ({
  page,
}) => {
  await startBlank(page, 1, 1);
  await cell(page, 1, 1).click();
  await page.keyboard.press("Alt+Shift+P");
  await page.getByRole("radio", { name: "An address elsewhere" }).click();
  await page.getByLabel("Address of a picture").fill("https://reedbasket.example/2019/seed-jars.png");
  await page.getByRole("button", { name: "Look at it" }).click();
  await page.getByRole("button", { name: "Place it" }).click();
  await expect(page.getByRole("status").filter({ hasText: /^Saved/ })).toBeVisible();
  await page.goto(`${page.url()}/pictures`);
  const findings = page.getByRole("complementary", { name: "Findings" });
  await expect(findings).toContainText("has moved for good");
  const elsewhere = page.getByRole("region", { name: "Pictures elsewhere" });
  await expect(elsewhere).toContainText("https://reedbasket.example/2019/seed-jars.png");
  await elsewhere.getByRole("button", { name: "Look again" }).click();
  await expect(elsewhere).toContainText("PNG · 520 × 240 px");
});

test("nonsense in a field changes nothing and is said beside it", async ({ page }) => {
  await page.goto(picturesOf("bram-uzel.jpg"));
  await page.getByRole("link", { name: "Cut bram-uzel.jpg" }).click();
  const width = page.getByRole("textbox", { name: "Crop width" });
  const before = await width.inputValue();
  for (const nonsense of ["-1", "words", "99999", "1.5"]) {
    await setMeasure(page, "Crop width", nonsense);
    await expect(page.getByRole("alert").filter({ hasText: "1 to 1200" })).toBeVisible();
    await page.keyboard.press("Escape");
    await expect(width).toHaveValue(before);
  }
  await page.reload();
  await expect(width).toHaveValue(before);
});

test("a picture that is here already is said to be so, under the name that it has", async ({ page }) => {
  await page.goto("/pictures");
  await page.getByLabel("Upload pictures").setInputFiles({
    name: "my logo.png",
    mimeType: "image/png",
    buffer: await readFile("demo/pictures/originals/harrow-fen-logo.png"),
  });
  await expect(page.getByText("“my logo.png” is here already, as “harrow-fen-logo.png”.")).toBeVisible();
});
