import type { Page } from "@playwright/test";
import { expect, test } from "./test";
import { cell, insertPart, openCopy, proof, setMeasure, startBlank } from "./bench";

const texts = (page: Page): Promise<string[]> =>
  page.locator(".signature-editor .ProseMirror > table > tbody > tr > td").allTextContents();

/** Types a letter into each cell, row by row. */
async function typeLetters(page: Page, letters: string): Promise<void> {
  await cell(page, 1, 1).click();
  for (const [index, letter] of [...letters].entries()) {
    if (index > 0) await page.keyboard.press("Tab");
    await page.keyboard.type(letter);
  }
}

/** Drags with the pointer from the middle of one thing to the middle of another. */
async function drag(page: Page, from: { x: number; y: number }, to: { x: number; y: number }): Promise<void> {
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move((from.x + to.x) / 2, (from.y + to.y) / 2, { steps: 3 });
  await page.mouse.move(to.x, to.y, { steps: 3 });
  await page.mouse.up();
}

async function middle(page: Page, name: RegExp): Promise<{ x: number; y: number }> {
  const box = (await page.getByRole("button", { name }).boundingBox())!;
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

test("rows and columns are selected, moved, inserted and deleted on the rules and by key", async ({
  page,
}) => {
  await startBlank(page, 2, 3);
  await typeLetters(page, "ABCDEF");
  await drag(page, await middle(page, /^Column 3, /), await middle(page, /^Column 1, /));
  expect(await texts(page)).toEqual(["C", "A", "B", "F", "D", "E"]);
  await drag(page, await middle(page, /^Row 2, /), await middle(page, /^Row 1, /));
  expect(await texts(page)).toEqual(["F", "D", "E", "C", "A", "B"]);

  await page.getByRole("button", { name: /^Column 2, / }).click();
  await expect(page.locator(".selectedCell")).toHaveText(["D", "A"]);
  await page.keyboard.press("Alt+ArrowLeft");
  expect(await texts(page)).toEqual(["D", "F", "E", "A", "C", "B"]);
  await page.keyboard.press("Alt+Shift+ArrowRight");
  await page.keyboard.type("new");
  expect(await texts(page)).toEqual(["D", "new", "F", "E", "A", "", "C", "B"]);
  await page.keyboard.press("Alt+Shift+C");
  expect(await texts(page)).toEqual(["D", "F", "E", "A", "C", "B"]);

  // The menu says what is possible here, and its keys.
  await page.getByRole("button", { name: "Table", exact: true }).click();
  await expect(page.getByRole("menuitem", { name: /^Split the cell/ })).toBeDisabled();
  await page.getByRole("menuitem", { name: /^Insert a row below/ }).click();
  await page.keyboard.type("low");
  await expect(cell(page, 2, 2)).toHaveText("low");
});

test("a block of cells is selected by Shift and the pointer, merged, measured and split", async ({
  page,
}) => {
  await startBlank(page, 2, 3);
  await typeLetters(page, "ABCDEF");
  await cell(page, 1, 1).click();
  await cell(page, 2, 2).click({ modifiers: ["Shift"] });
  await expect(page.locator(".selectedCell")).toHaveText(["A", "B", "D", "E"]);
  await setMeasure(page, "Padding top", "5");
  await page.getByRole("radio", { name: "In the middle of the cell" }).click();
  await page.getByRole("textbox", { name: "Background of the cell" }).fill("F3EFE4");
  await page.keyboard.press("Enter");
  // Its own cells, and not those of the gaps that stand in them.
  const shown = proof(page, "webmail-inline").locator("> table > tbody > tr > td");
  for (const index of [0, 1, 3, 4]) {
    await expect(shown.nth(index)).toHaveAttribute("valign", "middle");
    await expect(shown.nth(index)).toHaveAttribute("bgcolor", "#F3EFE4");
  }
  await expect(shown.nth(2)).toHaveAttribute("valign", "top");
  await page.getByRole("radio", { name: "Border between the columns" }).click();
  await setMeasure(page, "Width of the border between the columns", "0.5");
  await expect(shown.first()).toHaveAttribute("style", /border-right:0\.5px solid/);
  await expect(shown.nth(1)).not.toHaveAttribute("style", /border-(left|right)/);

  // A field keeps its keys to itself, and one cell alone is not merged with anything.
  await page.keyboard.press("Alt+Shift+M");
  await cell(page, 1, 1).click();
  await expect(page.locator(".selectedCell")).toHaveCount(0);
  await page.keyboard.press("Escape");
  await page.keyboard.press("Escape");
  await expect(page.locator(".selectedCell")).toHaveText(["A"]);
  await page.keyboard.press("Alt+Shift+M");
  await expect(page.locator(".signature-editor td")).toHaveCount(6);
  await page.getByRole("button", { name: "Undo" }).click();

  await page.getByRole("button", { name: "Select the whole table" }).click();
  await page.keyboard.press("Alt+Shift+M");
  await expect(page.locator(".signature-editor td")).toHaveCount(1);
  await expect(page.locator(".signature-editor p")).toHaveText(["A", "B", "C", "D", "E", "F"]);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.locator(".signature-editor td")).toHaveCount(6);
});

test("no borders at all, then one vertical border in the logo's own colour: three actions", async ({
  page,
}) => {
  await openCopy(page, "Full");
  await cell(page, 1, 1).locator("img").first().click();
  await page
    .getByRole("navigation", { name: "What is selected" })
    .getByRole("button", { name: "cell 1" })
    .click();
  await page.getByRole("button", { name: "No borders at all" }).click();
  const first = proof(page, "webmail-inline").locator("td").first();
  await expect(first).not.toHaveAttribute("style", /border-(left|right)/);
  await page.getByRole("button", { name: "Pick colour of the border" }).click();
  await page.getByRole("list", { name: "Of the brand" }).getByRole("button", { name: "#C08A2B" }).click();
  await expect(first).toHaveAttribute("style", /border-right:1\.5px solid #C08A2B/);
});

test("widths, heights and the most it may be wide are dragged and nudged on the rules", async ({ page }) => {
  await startBlank(page, 2, 2);
  const limit = page.getByRole("slider", { name: "The most it may be wide" });
  await limit.focus();
  await page.keyboard.press("Shift+ArrowLeft");
  await expect(limit).toHaveAttribute("aria-valuenow", "595");
  const edge = page.getByRole("slider", { name: "Lower edge of row 1" });
  await edge.focus();
  await page.keyboard.press("Shift+ArrowDown");
  await page.keyboard.press("ArrowDown");
  await expect(edge).toHaveAttribute("aria-valuenow", "24");
  await expect(proof(page, "webmail-inline").locator("td").first()).toHaveAttribute("height", "24");
  await cell(page, 1, 1).click();
  await page.getByRole("button", { name: "As high as it needs" }).click();
  await expect(proof(page, "webmail-inline").locator("td").first()).not.toHaveAttribute("height", /./);
});

test("the longest details of the directory are tried, and the signature's own person stays", async ({
  page,
}) => {
  await openCopy(page, "Full");
  await page.getByRole("button", { name: "try the longest" }).click();
  await expect(cell(page, 1, 2)).toContainText("Maximiliana Oyelaran-Featherstonehaugh");
  await expect(proof(page, "desktop-document")).toContainText("Featherstonehaugh");
  await page.getByRole("button", { name: /^tried with/ }).click();
  await expect(cell(page, 1, 2)).toContainText("Tamsin Okafor");
  await expect(page.getByRole("combobox", { name: "drawn for" })).toHaveText("Tamsin Okafor");
});

test("each detail is tried at its widest, chosen by key", async ({ page }) => {
  await openCopy(page, "Full");
  await page.getByRole("button", { name: "Which of the longest details to try" }).press("Enter");
  await expect(page.getByRole("menuitem", { name: /^The widest name Maximiliana/ })).toBeVisible();
  await page.getByRole("menuitem", { name: /^Every detail at its widest/ }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: "tried with the widest of each" })).toBeVisible();
  // Her title, and a department that is not hers.
  await expect(cell(page, 1, 2)).toContainText("Provenance and Viability Monitoring·Germination Lab");
  await page.getByRole("button", { name: "tried with the widest of each" }).click();
  await expect(cell(page, 1, 2)).toContainText("Tamsin Okafor");
});

test("a nested table has rows and columns of its own, and goes with its last one", async ({ page }) => {
  await startBlank(page, 1, 1);
  await cell(page, 1, 1).click();
  await insertPart(page, "Nested table");
  await page.keyboard.type("in");
  await page.keyboard.press("Alt+Shift+ArrowDown");
  await page.keyboard.type("under");
  const nested = proof(page, "webmail-inline").locator("table table td");
  await expect(nested).toHaveText(["in", "", "under", ""]);
  await expect(
    page.getByRole("complementary", { name: "Parts" }).getByRole("button", { name: "Nested table" }),
  ).toBeDisabled();
  await page.keyboard.press("Alt+Shift+R");
  await page.keyboard.press("Alt+Shift+R");
  await expect(proof(page, "webmail-inline").locator("table table")).toHaveCount(0);
  // Dropped, it is as wide as the room in the cell, padding left aside.
  await setMeasure(page, "Padding left", "20");
  await page
    .getByRole("complementary", { name: "Parts" })
    .getByRole("button", { name: "Nested table" })
    .dragTo(cell(page, 1, 1));
  await expect(proof(page, "webmail-inline").locator("table table").last()).toHaveAttribute("width", "290");
});
