import { unzipSync } from "fflate";
import AxeBuilder from "@axe-core/playwright";
import { expect, test } from "./test";
import { cell, openCopy, proof, startBlank, waitUntilSaved } from "./bench";

test("the short form leaves out what is marked, is proofed and installed, and follows the full one", async ({
  page,
}) => {
  await openCopy(page, "Press desk");
  const address = page.url();
  await page.locator(".signature-editor [data-still-line^=button]").click();
  await page.getByRole("checkbox", { name: "Replies leave this part out" }).check();
  await page.getByRole("button", { name: /^Row 1, / }).click();
  await page.getByRole("checkbox", { name: "Replies leave this row out" }).check();
  const shown = proof(page, "webmail-inline");
  await expect(shown.locator("img")).toHaveCount(1);
  await page.getByRole("radio", { name: "In replies" }).click();
  await expect(shown.locator("img")).toHaveCount(0);
  await expect(shown).not.toContainText("Pictures for the press");
  await expect(shown).toContainText("Siobhán Ní Chaoimh");
  // Both changes may go in one save.
  await waitUntilSaved(page, 1);

  await page.goto(`${address}/proof`);
  await page.getByRole("radio", { name: "Light" }).click();
  await page.getByRole("radio", { name: "In replies" }).click();
  const proofed = proof(page, "desktop-document");
  await expect(proofed).not.toContainText("Pictures for the press");
  await page.goto(`${address}/install`);
  await page.getByRole("radio", { name: "In replies" }).click();
  await page.getByRole("button", { name: "Copy the source" }).click();
  const short = await page.evaluate(() => navigator.clipboard.readText());
  expect(short).not.toMatch(/<img|Pictures for the press/);
  const kit = page.getByRole("link", { name: /^Download/ });
  const files = await page.request.get((await kit.getAttribute("href")) ?? "");
  expect(Object.keys(unzipSync(await files.body()))).toContainEqual(
    expect.stringMatching(/^press-desk-.*in-replies\.html$/),
  );

  // A change of the full form is a change of the short one.
  await page.goto(address);
  await cell(page, 2, 1).getByText("Seed sent with a letter").click();
  await page.keyboard.press("Control+End");
  await page.keyboard.type(" Thank you.");
  await page.getByRole("radio", { name: "In replies" }).click();
  await expect(shown).toContainText("Thank you.");
});

test("versions are kept by themselves and by name, compared, and gone back to", async ({ page }) => {
  await startBlank(page, 1, 1);
  await cell(page, 1, 1).click();
  await page.keyboard.type("Before");
  await waitUntilSaved(page, 1);
  await page.getByRole("button", { name: "Versions" }).click();
  const dialog = page.getByRole("dialog", { name: "Versions" });
  const kept = dialog.getByRole("list", { name: "Kept versions" });
  // The blank table, from before the first change.
  await expect(kept.getByRole("button", { name: /^Version 1/ })).toBeVisible();
  await dialog.getByRole("textbox", { name: "Keep the present one under a name" }).fill("With a word");
  await page.keyboard.press("Enter");
  await expect(kept.getByRole("button", { name: /^With a word/ })).toBeVisible();
  await page.keyboard.press("Escape");

  await cell(page, 1, 1).click();
  await page.keyboard.press("Control+A");
  await page.keyboard.type("After");
  await waitUntilSaved(page, 2);
  await page.keyboard.press("Alt+Shift+V");
  await kept.getByRole("button", { name: /^With a word/ }).click();
  await expect(
    dialog
      .getByTitle(/^With a word/)
      .contentFrame()
      .locator("body"),
  ).toContainText("Before");
  await expect(dialog.getByTitle("On the sheet now").contentFrame().locator("body")).toContainText("After");
  await dialog.getByRole("button", { name: "Go back to this one" }).click();
  await expect(cell(page, 1, 1)).toHaveText("Before");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(cell(page, 1, 1)).toHaveText("After");
});

test("a signature becomes a pattern of one's own, which others start from until it is taken away", async ({
  page,
}) => {
  await page.goto("/start");
  await page.getByRole("button", { name: "Start from Three columns" }).click();
  await expect(page.getByRole("textbox", { name: "Name of the signature" })).toHaveValue(/^Three columns/);
  await expect(page.locator(".drawn-picture-place")).toHaveText(["120 × 60"]);
  await page.keyboard.press("F2");
  await page.keyboard.type("save as");
  await page.keyboard.press("Enter");
  await page.getByRole("textbox", { name: "Name of the pattern" }).fill("House style");
  await page.keyboard.press("Enter");
  await expect(page.getByText("“House style” is a pattern now.")).toBeVisible();
  await page.goto("/start");
  await page.getByRole("button", { name: "Start from House style" }).click();
  await expect(page.locator(".signature-editor td")).toHaveCount(3);
  await page.goto("/start");
  await page.getByRole("button", { name: "Take the pattern House style away" }).click();
  await expect(page.getByRole("button", { name: "Start from House style" })).toBeHidden();
});

test("a place for a picture is filled, and keeps its size", async ({ page }) => {
  await page.goto("/start");
  await page.getByRole("button", { name: "Start from Photo left" }).click();
  await page.locator(".drawn-picture-place").dblclick();
  await page.getByRole("button", { name: /^bram-uzel/ }).click();
  const placed = cell(page, 1, 1).locator("img[alt]:not([alt=''])");
  await expect(placed).toHaveAttribute("width", "96");
  await expect(placed).toHaveAttribute("height", "96");
  await expect(proof(page, "webmail-inline").locator("img")).toHaveCount(1);
});

test("every action is found by its name, and every key is on the sheet of keys", async ({ page }) => {
  await openCopy(page, "Full");
  await page.keyboard.press("F1");
  const keys = page.getByRole("dialog", { name: "Keys" });
  await expect(keys.getByText("Move the column to the left")).toBeVisible();
  await expect(keys.getByText("Alt Shift M")).toBeVisible();
  await page.keyboard.press("Escape");
  await page.keyboard.press("F2");
  await page.keyboard.type("divid");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("navigation", { name: "What is selected" })).toContainText("divider");
  await page.keyboard.press("F2");
  await page.keyboard.type("zzz");
  await expect(page.getByText("Nothing here has that name.")).toBeVisible();
});

test("what opens over the Bench passes axe as well", async ({ page }) => {
  await openCopy(page, "Full");
  await cell(page, 1, 2).getByText("Tamsin Okafor").click();
  const opened: readonly (readonly [name: string, open: () => Promise<unknown>])[] = [
    ["keys", () => page.keyboard.press("F1")],
    ["put in or do", () => page.keyboard.press("F2")],
    ["versions", () => page.keyboard.press("Alt+Shift+V")],
    ["save as a pattern", () => page.keyboard.press("Alt+Shift+K")],
    ["place a picture", () => page.keyboard.press("Alt+Shift+P")],
    ["colour", () => page.getByRole("button", { name: "Pick text colour" }).click()],
    ["font", () => page.getByRole("button", { name: /^Font: / }).click()],
    ["letters", () => page.getByRole("button", { name: "How your letters are set" }).click()],
    ["table menu", () => page.getByRole("button", { name: "Table", exact: true }).click()],
  ];
  for (const [name, open] of opened) {
    await open();
    await expect(page.locator("[role=dialog], [role=menu]")).toBeVisible();
    const { violations } = await new AxeBuilder({ page })
      .include("[role=dialog], [role=menu]")
      .exclude("iframe")
      .analyze();
    expect(
      violations.map(({ id, nodes }) => `${name}, ${id}: ${nodes.map(({ html }) => html).join(" ")}`),
    ).toEqual([]);
    await page.keyboard.press("Escape");
    await expect(page.locator("[role=dialog], [role=menu]")).toBeHidden();
  }
});
