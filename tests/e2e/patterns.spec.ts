import { readFileSync } from "node:fs";
import type { Page } from "@playwright/test";
import { expect, test } from "./test";
import { compile } from "@/core/compile";
import { readPerson } from "@/core/people";
import { picturesOf, starterPatterns } from "@/core/signature";
import { cell, insertPart, setMeasure, startBlank, tabTo, waitUntilSaved, choose } from "./bench";

const personName = "Kwame Asante-Whitlock";
const person = readPerson(JSON.parse(readFileSync("demo/people/kwame-asante.json", "utf8")));

/** A pattern's own HTML, and the places of its pictures, which are not compiled. */
function patternOf(id: string): { html: string; places: string[] } {
  const { document } = starterPatterns.find((pattern) => pattern.id === id)!;
  return {
    html: compile(document, { destination: "webmail-paste", person, base: "https://p.example" }),
    places: picturesOf(document).map(({ node }) => `${node.attrs.width} × ${node.attrs.height}`),
  };
}

/** What is on the sheet once it is saved: its source as it is installed, and the places of its pictures. */
async function builtOn(page: Page): Promise<{ html: string; places: string[] }> {
  const places = await page.locator(".drawn-picture-place").allTextContents();
  await waitUntilSaved(page, 1);
  await expect(page.getByRole("status").filter({ hasText: /^Saved/ })).toBeVisible();
  await page.goto(`${page.url()}/install`);
  await page.getByRole("button", { name: "Show the source" }).click();
  const source = (await page.getByLabel("Source", { exact: true }).textContent())!;
  // What stands beside the parts says what HTML cannot: which fields they are of, and what does not show.
  expect(source).toMatch(/ data-still="/);
  return { html: source.replace(/ data-still="[^"]*"/g, ""), places };
}

async function drawnFor(page: Page): Promise<void> {
  await cell(page, 1, 1).evaluate((element) => Object.assign(element, { drawnBefore: true }));
  await choose(page.getByRole("combobox", { name: "drawn for" }), personName);
  // The sheet is drawn anew for another person: what is dropped before that is dropped on what goes.
  await expect
    .poll(() => cell(page, 1, 1).evaluate((element) => "drawnBefore" in element), { timeout: 15_000 })
    .toBe(false);
}

/** Drags a part from the left onto a place of the sheet: into an empty cell, or under what is in it. */
async function dragPart(page: Page, name: string, row: number, column: number): Promise<void> {
  const target = cell(page, row, column);
  // The sheet is drawn anew for another person, and a cell that has just been replaced measures nothing.
  let [height, width] = [0, 0];
  await expect(async () => {
    ({ height, width } = (await target.boundingBox())!);
    expect(height).toBeGreaterThan(0);
  }).toPass();
  await page
    .getByRole("complementary", { name: "Parts" })
    .getByRole("button", { name, exact: true })
    .dragTo(target, { targetPosition: { x: Math.min(60, width / 2), y: height - 2 } });
}

/** Puts the name into an empty cell, bold, larger and in the signature's accent. */
async function dragName(page: Page, row: number, column: number): Promise<void> {
  await dragPart(page, "Name", row, column);
  await cell(page, row, column).getByText(personName).click();
  await page.getByRole("button", { name: "Bold" }).click();
  await setMeasure(page, "Text size", "16");
  await page.getByRole("textbox", { name: "Text colour" }).fill("#1F5B57");
  await page.keyboard.press("Enter");
}

/** Selects the whole cell that a point of it is clicked in, by the breadcrumb. */
async function selectCell(page: Page, row: number, column: number): Promise<void> {
  await cell(page, row, column).click();
  await page
    .getByRole("navigation", { name: "What is selected" })
    .getByRole("button", { name: `cell ${column}` })
    .click();
}

async function drawBorder(page: Page, side: string, width: string, color?: string): Promise<void> {
  await page.getByRole("radio", { name: `Border ${side}` }).click();
  await setMeasure(page, `Width of the border ${side}`, width);
  if (!color) return;
  await page.getByRole("textbox", { name: "Colour of the border" }).fill(color);
  await page.keyboard.press("Enter");
}

test.describe("starter patterns built by pointer from a blank table are the pattern, byte for byte", () => {
  test("photo left", async ({ page }) => {
    await startBlank(page, 1, 2);
    await drawnFor(page);
    await dragPart(page, "Picture place", 1, 1);
    await dragName(page, 1, 2);
    await dragPart(page, "Title · Department", 1, 2);
    await dragPart(page, "Spacer", 1, 2);
    await setMeasure(page, "Height", "6");
    await dragPart(page, "Phone | Mail", 1, 2);
    await insertPart(page, "Line of text");
    await insertPart(page, "Web");
    await selectCell(page, 1, 1);
    await drawBorder(page, "at the right", "1.5");
    expect(await builtOn(page)).toEqual(patternOf("photo-left"));
  });

  test("logo over text", async ({ page }) => {
    await startBlank(page, 2, 1);
    await drawnFor(page);
    await dragPart(page, "Picture place", 1, 1);
    await setMeasure(page, "Width", "160");
    await setMeasure(page, "Height", "56");
    await dragName(page, 2, 1);
    await dragPart(page, "Title · Department", 2, 1);
    for (const field of ["Phone", "Mail"]) {
      await insertPart(page, "Line of text");
      await insertPart(page, field);
    }
    await setMeasure(page, "Padding top", "10");
    await selectCell(page, 1, 1);
    await setMeasure(page, "Padding bottom", "10");
    await drawBorder(page, "at the bottom", "1", "#D9D5C8");
    expect(await builtOn(page)).toEqual(patternOf("logo-over-text"));
  });

  test("disclaimer across all columns", async ({ page }) => {
    await startBlank(page, 1, 2);
    await drawnFor(page);
    await dragPart(page, "Picture place", 1, 1);
    await dragName(page, 1, 2);
    await dragPart(page, "Title · Department", 1, 2);
    await dragPart(page, "Phone | Mail", 1, 2);
    await insertPart(page, "Line of text");
    await insertPart(page, "Web");
    // Both cells at once, by the row's number on the rule.
    await page.getByRole("button", { name: /^Row 1, / }).click();
    await setMeasure(page, "Padding bottom", "10");
    await dragPart(page, "Disclaimer across", 1, 1);
    await drawBorder(page, "at the top", "1", "#D9D5C8");
    expect(await builtOn(page)).toEqual(patternOf("disclaimer-across"));
  });

  test("short reply", async ({ page }) => {
    await startBlank(page, 1, 1);
    await drawnFor(page);
    await dragPart(page, "Sign-off", 1, 1);
    await insertPart(page, "Line of text");
    await insertPart(page, "Name");
    await cell(page, 1, 1).getByText(personName).click();
    await page.getByRole("button", { name: "Bold" }).click();
    await dragPart(page, "Title, Department", 1, 1);
    expect(await builtOn(page)).toEqual(patternOf("short-reply"));
  });

  test("no pictures", async ({ page }) => {
    await startBlank(page, 1, 2);
    await drawnFor(page);
    await dragName(page, 1, 1);
    await insertPart(page, "Line of text");
    await insertPart(page, "Title");
    await cell(page, 1, 1).getByText(person.title).click();
    await page.getByRole("button", { name: "Capitals" }).click();
    await setMeasure(page, "Text size", "11");
    await insertPart(page, "Line of text");
    await insertPart(page, "Department");
    await page.getByRole("button", { name: "Even out" }).click();
    await setMeasure(page, "Padding left", "12");
    await drawBorder(page, "at the left", "4");
    await drawBorder(page, "at the right", "1", "#D9D5C8");
    await dragPart(page, "Phone", 1, 2);
    for (const field of ["Mail", "Address"]) {
      await insertPart(page, "Line of text");
      await insertPart(page, field);
    }
    expect(await builtOn(page)).toEqual(patternOf("no-pictures"));
  });
});

test("one line is built without a pointer, and is the pattern, byte for byte", async ({ page }) => {
  const press = (keys: string): Promise<void> => page.keyboard.press(keys);
  const put = async (name: string): Promise<void> => {
    await press("F2");
    await page.keyboard.type(name);
    await expect(page.getByRole("option", { selected: true })).toHaveText(name);
    await press("Enter");
    await expect(page.getByRole("dialog")).toBeHidden();
  };
  await page.goto("/start");
  await tabTo(page, /^Start a blank table of 1 × 2/);
  await press("ArrowLeft");
  await press("Enter");
  await expect(page.getByRole("textbox", { name: "Signature", exact: true })).toBeVisible();
  await tabTo(page, "drawn for");
  await press("Enter");
  await page.keyboard.type(personName);
  await expect(page.getByRole("option", { selected: true })).toContainText(personName);
  await press("Enter");
  await expect(page.getByRole("combobox", { name: "drawn for" })).toHaveText("Kwame Asante-Whitlock");
  await tabTo(page, "Signature");

  for (const [index, name] of ["Name", "Title", "Phone", "Mail"].entries()) {
    if (index > 0) await put("Separator");
    await put(name);
    // The field before the cursor is selected, and no longer takes the line with it.
    await press("ArrowLeft");
    await press("F6");
    await tabTo(page, "Empty, it takes its whole line with it");
    await press("Space");
    await expect(page.getByRole("checkbox", { name: /^Empty/ })).not.toBeChecked();
    await press("F6");
    await press("F6");
    await press("F6");
    await press("ArrowRight");
  }
  // The browser tells of a moved cursor a moment after the key.
  await expect(async () => {
    await press("Control+Home");
    await expect(page.getByRole("navigation", { name: "What is selected" })).not.toContainText("field", {
      timeout: 500,
    });
    await press("ArrowRight");
    await expect(page.getByRole("navigation", { name: "What is selected" })).toContainText("field", {
      timeout: 500,
    });
  }).toPass();
  await press("Control+b");
  await press("ArrowRight");
  await press("F6");
  await tabTo(page, "Width of column 1");
  await page.keyboard.type("560");
  await press("Enter");
  expect(await builtOn(page)).toEqual(patternOf("one-line"));
});
