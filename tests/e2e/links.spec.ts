import AxeBuilder from "@axe-core/playwright";
import type { Page } from "@playwright/test";
import { openCopy, setMeasure } from "./bench";
import { expect, test } from "./test";

/** Opens the Links of a copy of a demo signature. */
async function openLinks(page: Page, name: string): Promise<void> {
  await openCopy(page, name);
  await page.goto(`${page.url()}/links`);
}

const row = (page: Page, said: string) => page.getByRole("row").filter({ hasText: said });

test("every web link is walked, what moved is mended, and the mend is taken back", async ({ page }) => {
  await openLinks(page, "Growing season");
  await page.getByRole("button", { name: "Walk 9 links" }).click();
  // The slow one is still out when all the others have answered.
  await expect(page.getByRole("status").filter({ hasText: "8 of 9 answered" })).toBeVisible();
  await expect(row(page, "Workshops")).toContainText("Waiting…");
  for (const [said, answer] of [
    ["Visit us", "Answers"],
    ["Seed list", "Moved"],
    ["Field diary", "Another host"],
    ["rota", "Asks to sign in"],
    ["Minutes", "Refused"],
    ["Bulletin", "Not found"],
    ["Old shop", "Certificate trouble"],
    ["Workshops", "Timed out"],
  ] as const)
    await expect(row(page, said)).toContainText(answer);
  await expect(page.getByRole("link", { name: /^Links/ })).toContainText("7");

  await page.getByRole("button", { name: "Lead to https://harrowfen.example/collections" }).click();
  await expect(row(page, "Seed list")).toContainText("harrowfen.example/collections");
  await expect(page.getByText("Saved · version 2")).toBeVisible();
  await page.getByRole("button", { name: "Take the last change back" }).click();
  await expect(row(page, "Seed list")).toContainText("harrowfen.example/seed-list");
  // What answered is kept.
  await page.reload();
  await expect(row(page, "Minutes")).toContainText("Refused");
});

test("destinations are put in order by a column and walked by the arrow keys", async ({ page }) => {
  await openLinks(page, "Growing season");
  const said = page.getByRole("row").locator("td:first-child > span:first-child");
  const asWritten = await said.allInnerTexts();
  const header = page.getByRole("columnheader", { name: "What leads there" });
  const inOrder = header.getByRole("button");
  await inOrder.click();
  await expect(header).toHaveAttribute("aria-sort", "ascending");
  const ascending = await said.allInnerTexts();
  const words = new Intl.Collator("en", { sensitivity: "base" });
  expect(ascending).toEqual([...asWritten].sort((one, other) => words.compare(one, other)));
  await inOrder.click();
  await expect(header).toHaveAttribute("aria-sort", "descending");
  expect(await said.allInnerTexts()).toEqual([...ascending].reverse());
  await inOrder.click();
  await expect(header).not.toHaveAttribute("aria-sort", /./);
  expect(await said.allInnerTexts()).toEqual(asWritten);

  await page.getByRole("columnheader", { name: "Address" }).getByRole("button").focus();
  await page.keyboard.press("ArrowDown");
  const first = row(page, "Visit us").getByRole("button", { name: "harrowfen.example/visit" });
  await expect(first).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("textbox", { name: "Address of Visit us" })).toBeFocused();
  await page.keyboard.press("Escape");
  await expect(first).toBeFocused();
  await page.keyboard.press("End");
  await expect(row(page, "Visit us").getByRole("button", { name: "Open Visit us" })).toBeFocused();
  await page.keyboard.press("ArrowUp");
  await expect(page.getByRole("columnheader", { name: "Opened by hand" }).getByRole("button")).toBeFocused();
});

test("a walk is stopped, and keeps what answered until then", async ({ page }) => {
  await openLinks(page, "Growing season");
  await page.getByRole("button", { name: "Walk 9 links" }).click();
  await expect(page.getByRole("status").filter({ hasText: "8 of 9 answered" })).toBeVisible();
  await page.getByRole("button", { name: "Stop" }).click();
  await expect(page.getByRole("button", { name: "Walk 9 links" })).toBeVisible();
  await expect(row(page, "Visit us")).toContainText("Answers");
});

test("last year's faults are mended: doubled addresses, missing alt texts, icons of three sizes", async ({
  page,
}) => {
  await openLinks(page, "From last year");
  await expect(row(page, "www.harrowfen.example")).toContainText("https://https://harrowfen.example");
  await page.getByRole("button", { name: "Lead to https://harrowfen.example", exact: true }).click();
  await expect(row(page, "www.harrowfen.example")).not.toContainText("https://https://");
  await page.getByRole("button", { name: /^Mend \d at once$/ }).click();
  await expect(row(page, "Hedgepost")).toContainText("hedgepost.example/harrowfen");
  await expect(page.getByText("no alt text")).toHaveCount(0);
  await expect(page.getByText("The icons are")).toHaveCount(0);

  // What no machine can know is left to a person: an address is changed where it stands.
  await page.getByRole("button", { name: "harrowfen/cold-store" }).click();
  const field = page.getByRole("textbox", { name: "Address of harrowfen.example/cold-store" });
  await field.fill("javascript:alert(1)");
  await field.press("Enter");
  await expect(page.getByText("A link can lead to a page, a mail address")).toBeVisible();
  await field.fill("Harrowfen.example/cold-store.");
  await field.press("Enter");
  await expect(row(page, "harrowfen.example/cold-store").first()).toBeVisible();
  await expect(page.getByText("Its host is in small letters now.")).toBeVisible();
  await expect(page.getByText(/Every address is well written|Every link is as it should be/)).toBeVisible();

  await page.getByRole("link", { name: "Build" }).click();
  await expect(page.locator(".signature-editor .drawn-icon-row img[src^='/h/']")).toHaveCount(3);
});

test("each link is opened by hand, a letter with its subject, and that is written down", async ({ page }) => {
  await openLinks(page, "Growing season");
  await page.getByRole("button", { name: "Open each" }).click();
  const dialog = page.getByRole("dialog", { name: "Open each" });
  for (let link = 0; link < 8; link++) await dialog.getByRole("button", { name: "Next" }).click();
  await expect(dialog).toContainText("Ask for seed");
  await expect(dialog).toContainText("“Seed request”, with a text");
  const [letter] = await Promise.all([
    page.waitForEvent("popup"),
    dialog.getByRole("button", { name: "Open it" }).click(),
  ]);
  await expect(letter.getByRole("textbox", { name: "About" })).toHaveValue("Seed request");
  await expect(letter.getByRole("textbox", { name: "The letter" })).toContainText("Dear library,");
  await letter.close();
  await expect(dialog.getByText("Seen by you", { exact: true })).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(row(page, "Ask for seed")).toContainText("ago");
});

test("every link is drawn alike and gets its campaign, in what is installed", async ({ page }) => {
  await openLinks(page, "Growing season");
  const address = page.url().replace(/\/links$/, "");
  await page.getByRole("radio", { name: "All links" }).click();
  await setMeasure(page, "Colour", "#A3262A");
  await page.getByRole("checkbox", { name: "underlined" }).check();
  await page.getByRole("button", { name: "Draw all links so" }).click();
  await expect(page.getByText("Saved · version 2")).toBeVisible();
  await page.getByRole("textbox", { name: "Source" }).fill("signature");
  await page.getByRole("textbox", { name: "Campaign" }).fill("Open Store");
  await page.getByRole("button", { name: "Add them" }).click();
  await expect(page.getByText("Saved · version 3")).toBeVisible();
  // The addresses of the document stay as they are.
  await expect(row(page, "Visit us")).not.toContainText("utm_source");

  await page.goto(`${address}/install`);
  await page.getByRole("button", { name: "Copy the source" }).click();
  await expect
    .poll(() => page.evaluate(() => navigator.clipboard.readText()))
    .toContain('href="https://harrowfen.example/visit?utm_source=signature&amp;utm_campaign=Open%20Store"');
  const source = await page.evaluate(() => navigator.clipboard.readText());
  const links = source.match(/<a [^>]*>/g)!;
  expect(links).toHaveLength(11);
  for (const link of links) expect(link).toContain('style="color:#A3262A;text-decoration:underline"');
});

test("how it reads with pictures blocked and aloud", async ({ page }) => {
  await openLinks(page, "Full");
  await page.getByRole("radio", { name: "How it reads" }).click();
  const blocked = page.getByTitle("The signature with its pictures blocked").contentFrame().locator("body");
  await expect(blocked).toContainText("Harrow Fen on Plotline");
  await expect(blocked.locator("img")).toHaveCount(0);
  await expect(page.getByRole("listitem").filter({ hasText: "link, Harrow Fen on Plotline" })).toBeVisible();
  const { violations } = await new AxeBuilder({ page }).exclude("iframe").analyze();
  expect(violations.map(({ id }) => id)).toEqual([]);
  await page.getByRole("radio", { name: "All links" }).click();
  expect((await new AxeBuilder({ page }).exclude("iframe").analyze()).violations.map(({ id }) => id)).toEqual(
    [],
  );
});
