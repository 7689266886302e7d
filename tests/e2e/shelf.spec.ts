import type { Page } from "@playwright/test";
import { expect, test } from "./test";
import { choose, proof, shelfOf } from "./bench";

const card = (page: Page, name: string) =>
  page.getByRole("listitem").filter({ has: page.getByRole("heading", { name, exact: true }) });

test("the Shelf draws each signature as it really looks, with whose it is, its characters and its weight", async ({
  page,
}) => {
  await page.goto(shelfOf("Full"));
  await expect(page.getByRole("heading", { name: "Harrow Fen Seed Library" })).toBeVisible();
  const full = card(page, "Full");
  await expect(full).toContainText("for Tamsin Okafor");
  await expect(full).toContainText(/4,\d{3} characters · 3\d KB/);
  const drawn = full.locator("iframe").contentFrame();
  await expect(drawn.locator("body")).toContainText("Head of Germination");
  expect(
    await drawn
      .locator("img")
      .evaluateAll((all) => all.every((image) => (image as HTMLImageElement).naturalWidth > 0)),
  ).toBe(true);
  await page.goto(shelfOf("From last year"));
  await expect(card(page, "From last year")).toContainText("5 will break · 11 more");
  await page.goto(shelfOf("Short, for answers"));
  await expect(card(page, "Short, for answers")).toContainText("ready");
});

test("the Shelf is searched and put in order", async ({ page }) => {
  await page.goto("/");
  const names = page.getByRole("main").getByRole("heading", { level: 2 });
  const looked = page.getByRole("searchbox", { name: "Look for a signature" });
  await looked.fill("uzel");
  // Copies that other tests have made of it are found as well.
  await expect(names.filter({ hasNotText: /^From last year/ })).toHaveCount(0);
  await expect(names.first()).toBeVisible();
  await expect(page.getByText(/^\d of \d+ signatures$/)).toBeVisible();
  await looked.fill("no such words");
  await page.getByRole("button", { name: "Show all of them" }).click();
  await expect(looked).toHaveValue("");
  await page.getByRole("radio", { name: "findings" }).click();
  await expect(names.first()).toHaveText(/^From last year/);
  await page.getByRole("radio", { name: "name", exact: true }).click();
  await expect(page).toHaveURL(/order=name/);
  const shown = await names.allTextContents();
  expect(shown).toEqual(
    [...shown].sort((one, other) => one.localeCompare(other, undefined, { numeric: true })),
  );
});

test("a signature is renamed, duplicated, deleted and taken back", async ({ page }) => {
  await page.goto(shelfOf("Press desk"));
  await card(page, "Press desk").getByRole("button", { name: "Duplicate Press desk" }).click();
  await expect(card(page, "Press desk, copy")).toBeVisible();
  await page.getByRole("button", { name: "Rename Press desk, copy" }).click();
  await page.getByRole("textbox", { name: "New name" }).fill("Press desk, summer");
  await page.keyboard.press("Enter");
  await expect(card(page, "Press desk, summer")).toBeVisible();
  await page.getByRole("button", { name: "Delete Press desk, summer" }).click();
  await expect(card(page, "Press desk, summer")).toBeHidden();
  await page.getByRole("button", { name: "Take it back" }).click();
  await expect(card(page, "Press desk, summer")).toBeVisible();
  await page.reload();
  await expect(card(page, "Press desk, summer")).toBeVisible();
});

test("a signature is drawn for the person that is chosen", async ({ page }) => {
  await page.goto(shelfOf("Short, for answers"));
  await page.getByRole("link", { name: "Short, for answers", exact: true }).click();
  await expect(page.locator(".signature-editor")).toContainText("Tamsin Okafor");
  await choose(page.getByRole("combobox", { name: "drawn for" }), "Ada Quill");
  await expect(page.locator(".signature-editor")).toContainText("Ada Quill");
  const shown = proof(page, "webmail-inline");
  // Ada has no phone of her own, so the fallback stands there.
  await expect(shown).toContainText("+44 1632 960100");
  await choose(page.getByRole("combobox", { name: "drawn for" }), "Tamsin Okafor");
  await expect(shown).toContainText("Tamsin Okafor");
});

test("what is not there is said plainly, with a way on", async ({ page }) => {
  const answer = await page.goto("/signatures/nothing");
  expect(answer!.status()).toBe(404);
  await page.getByRole("link", { name: "To the Shelf" }).click();
  await expect(page.getByRole("heading", { name: "Harrow Fen Seed Library" })).toBeVisible();
});
