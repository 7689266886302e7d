import type { Locator, Page } from "@playwright/test";
import { cell, choose, insertPart, proof, startBlank } from "./bench";
import { expect, test } from "./test";

const sheet = (page: Page) => page.getByRole("textbox", { name: "Signature", exact: true });
const breadcrumb = (page: Page) => page.getByRole("navigation", { name: "What is selected" });

test("what opens over the Bench gives the focus back to the sheet, and what is typed next goes on there", async ({
  page,
}) => {
  await startBlank(page);
  await expect(sheet(page)).toBeFocused();
  await page.keyboard.type("Ada");
  for (const [keys, name] of [
    ["F2", "Put in or do"],
    ["F1", "Keys"],
    ["Alt+Shift+V", "Versions"],
    ["Alt+Shift+K", "Save as a pattern"],
    ["Alt+Shift+P", "Place a picture"],
  ] as const) {
    await page.keyboard.press(keys);
    await expect(page.getByRole("dialog", { name })).toBeVisible();
    await page.keyboard.press("Escape");
    await expect(page.getByRole("dialog", { name })).toBeHidden();
    await expect(sheet(page)).toBeFocused();
  }
  await page.keyboard.type(" Quill");
  await expect(cell(page, 1, 1)).toHaveText("Ada Quill");

  // What was opened by a button gives it back to the button.
  const keys = page.getByRole("button", { name: "Keys", exact: true });
  await keys.click();
  await page.keyboard.press("Escape");
  await expect(keys).toBeFocused();
});

test("a link is asked for by key, set, and typing goes on; every measure is found by its name", async ({
  page,
}) => {
  await startBlank(page, 1, 2);
  await page.keyboard.type("Seeds");
  await page.keyboard.press("Control+K");
  // Nothing is selected that could lead anywhere, and that is said.
  await expect(page.getByText("Select text or a picture that should lead somewhere.")).toBeVisible();
  await expect(page.getByRole("dialog", { name: "Link" })).toHaveCount(0);
  await page.keyboard.press("Shift+Home");
  // The browser tells the editor of a selection a frame later: sooner than a person presses the next key.
  await expect(page.getByRole("button", { name: "Link", exact: true })).toBeEnabled();
  await page.keyboard.press("Control+K");
  const address = page.getByRole("textbox", { name: "Address" });
  await expect(address).toBeFocused();
  await page.keyboard.press("Escape");
  await expect(sheet(page)).toBeFocused();
  await page.keyboard.press("Control+K");
  await expect(address).toBeFocused();
  await page.keyboard.type("harrowfen.example");
  await page.keyboard.press("Enter");
  await expect(sheet(page)).toBeFocused();
  await expect(proof(page, "webmail-inline").locator("a")).toHaveAttribute(
    "href",
    "https://harrowfen.example",
  );
  await page.keyboard.press("End");
  await page.keyboard.type(" and trays");
  await expect(cell(page, 1, 1)).toHaveText("Seeds and trays");

  for (const name of ["Padding left", "Letter spacing", "Line height", "Text colour"]) {
    await page.keyboard.press("F2");
    await page.keyboard.type(name);
    await expect(page.getByRole("option", { selected: true })).toHaveText(name);
    await page.keyboard.press("Enter");
    await expect(page.getByRole("textbox", { name, exact: true })).toBeFocused();
  }
  await page.keyboard.type("#3F5B2E");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("textbox", { name: "Text colour" })).toHaveValue("#3F5B2E");

  // From the top of the page it is one stop to the sheet.
  await page.getByRole("button", { name: "To the signature" }).focus();
  await page.keyboard.press("Enter");
  await expect(sheet(page)).toBeFocused();
});

test("three clicks take a line, and what is selected is called by its name", async ({ page }) => {
  await startBlank(page, 2, 2);
  await page.keyboard.type("Ada Quill");
  await page.keyboard.press("Enter");
  await page.keyboard.type("Archivist");
  await cell(page, 1, 1).getByText("Archivist").click({ clickCount: 3 });
  await page.keyboard.type("Keeper of seed");
  await expect(cell(page, 1, 1).locator("p")).toHaveText(["Ada Quill", "Keeper of seed"]);

  for (const [to, name] of [
    [[1, 2], "row 1"],
    [[2, 1], "column 1"],
    [[2, 2], "the whole table"],
  ] as const) {
    await cell(page, 1, 1).getByText("Ada").click();
    await cell(page, to[0], to[1]).click({ modifiers: ["Shift"] });
    await expect(breadcrumb(page).getByRole("button").last()).toHaveText(name);
    await expect(page.getByRole("status").filter({ hasText: name })).toHaveCount(1);
  }

  await breadcrumb(page).getByRole("button", { name: "signature" }).click();
  await expect(page.getByRole("textbox", { name: "Padding left" })).toHaveCount(0);
  await cell(page, 2, 2).click();
  await expect(page.getByRole("textbox", { name: "Padding left" })).toBeVisible();
});

test("a button is linked from its words, and a language that is none is refused and said", async ({
  page,
}) => {
  await startBlank(page, 1, 1);
  await insertPart(page, "Button");
  await cell(page, 1, 1).getByText("Visit").dblclick();
  await page.getByRole("button", { name: "Link", exact: true }).click();
  await page.getByRole("textbox", { name: "Address" }).fill("harrowfen.example/visit");
  await page.keyboard.press("Enter");
  await expect(proof(page, "webmail-inline").locator("a")).toHaveAttribute(
    "href",
    "https://harrowfen.example/visit",
  );

  await breadcrumb(page).getByRole("button", { name: "signature" }).click();
  const language = page.getByRole("textbox", { name: "Language" });
  await language.fill("en_GB");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "“en_GB” names no language" })).toBeVisible();
  await expect(language).toHaveValue("");
  await language.fill("en-GB");
  await page.keyboard.press("Enter");
  await expect(page.locator(".signature-editor[lang='en-GB']")).toBeVisible();
});

test("text is struck through, raised, lowered and highlighted, as sent, and its styling is taken off again", async ({
  page,
}) => {
  await startBlank(page, 1, 1);
  await page.keyboard.type("Fen2");
  await page.keyboard.press("Shift+ArrowLeft");
  const tools = page.getByRole("toolbar", { name: "Text" });
  await tools.getByRole("button", { name: "Superscript" }).click();
  await expect(proof(page, "webmail-inline").locator("sup")).toHaveText("2");
  // It is one or the other.
  await tools.getByRole("button", { name: "Subscript" }).click();
  await expect(proof(page, "desktop-document").locator("sub")).toHaveText("2");
  await expect(proof(page, "webmail-inline").locator("sup")).toHaveCount(0);
  const heights = async (): Promise<readonly number[]> => [
    await cell(page, 1, 1).evaluate((element) => element.getBoundingClientRect().height),
    await proof(page, "webmail-inline")
      .locator("td")
      .evaluate((element) => element.getBoundingClientRect().height),
  ];
  expect(await heights()).toEqual([18, 18]);

  await page.keyboard.press("Control+A");
  await page.keyboard.press("Alt+Shift+T");
  await tools.getByRole("button", { name: "Pick highlight" }).click();
  await page
    .getByRole("dialog", { name: "Highlight" })
    .getByRole("button", { name: "#C08A2B" })
    .first()
    .click();
  await page.keyboard.press("Escape");
  await expect(cell(page, 1, 1).locator("s")).toHaveText("Fen2");
  await expect(proof(page, "webmail-inline").locator("span").first()).toHaveAttribute(
    "style",
    "background-color:#C08A2B;text-decoration:line-through",
  );

  await cell(page, 1, 1).getByText("Fen").click({ clickCount: 3 });
  await page.keyboard.press("Alt+Shift+Z");
  await expect(proof(page, "webmail-inline").locator("span, sub")).toHaveCount(0);
  await expect(proof(page, "webmail-inline")).toHaveText("Fen2");
});

test("spelling is checked or not, and turning the direction mirrors the table in one step of undo", async ({
  page,
}) => {
  await startBlank(page, 1, 2);
  await cell(page, 1, 2).click();
  await page.keyboard.type("Ada 😀  Quill");
  await expect(cell(page, 1, 2)).toHaveText("Ada 😀\u00a0 Quill");
  await breadcrumb(page).getByRole("button", { name: "signature" }).click();
  const spelling = page.getByRole("checkbox", { name: "Check the spelling while typing" });
  await expect(sheet(page)).toHaveAttribute("spellcheck", "true");
  await spelling.click();
  await expect(sheet(page)).toHaveAttribute("spellcheck", "false");
  await page.reload();
  await expect(sheet(page)).toHaveAttribute("spellcheck", "false");

  const second = proof(page, "webmail-inline").locator("td").nth(1);
  await expect(second).toHaveCSS("padding-left", "12px");
  await breadcrumb(page).getByRole("button", { name: "signature" }).click();
  await choose(page.getByRole("combobox", { name: "Direction of the signature" }), "right to left");
  await expect(second).toHaveCSS("padding-right", "12px");
  await expect(second).toHaveCSS("padding-left", "0px");
  // At the same edge on the sheet and as it is sent.
  const fromRight = (table: Locator): Promise<boolean> =>
    table.evaluate((element) => {
      const around = element.ownerDocument.body.getBoundingClientRect();
      const { left, right } = element.getBoundingClientRect();
      return around.right - right < left - around.left;
    });
  expect(await fromRight(proof(page, "webmail-inline").locator("table").first())).toBe(true);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(second).toHaveCSS("padding-left", "12px");
  await expect(page.locator(".signature-editor[dir=ltr]")).toBeVisible();
});

test("a line is written in a direction of its own, or in that of its first letter", async ({ page }) => {
  await startBlank(page, 1, 1);
  await page.keyboard.type("12 שלום");
  const line = proof(page, "webmail-inline").locator("td > div");
  await expect(line).not.toHaveAttribute("dir");
  const direction = page.getByRole("combobox", { name: "Direction of the line" });
  await choose(direction, "by its first letter");
  await expect(line).toHaveAttribute("dir", "rtl");
  await choose(direction, "left to right");
  await expect(line).not.toHaveAttribute("dir");
});

test("the rule says how wide columns are drawn where a word is wider than its column, and what they are set to", async ({
  page,
}) => {
  await startBlank(page, 1, 3);
  await cell(page, 1, 3).click();
  // At once, so that it is one thing to undo, however slow the machine is.
  await page.keyboard.insertText("Unbreakableasonewordofmanyletters");
  const column = page.getByRole("button", { name: /^Column 3, / });
  await expect(column).toHaveAccessibleName(/^Column 3, \d+ px, set to 136$/);
  const [box, drawn] = await Promise.all([column.boundingBox(), cell(page, 1, 3).boundingBox()]);
  expect(Math.abs(box!.width - drawn!.width)).toBeLessThan(2);
  expect(Math.abs(box!.x - drawn!.x)).toBeLessThan(2);
  await page.keyboard.press("Control+z");
  await expect(column).toHaveAccessibleName("Column 3, 136 px");
});
