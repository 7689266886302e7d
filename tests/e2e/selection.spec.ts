/** What the tools say of a selection, what they do to it, and where a click or a key goes. */
import {
  cell,
  choose,
  chooseFont,
  insertPart,
  proof,
  setMeasure,
  shelfOf,
  startBlank,
  waitUntilSaved,
} from "./bench";
import { expect, test } from "./test";

test("the toolbar reads whatever is selected, says what is mixed, and applies to all of it", async ({
  page,
}) => {
  await startBlank(page, 1, 2);
  await cell(page, 1, 2).click();
  await page.keyboard.type("Ada Quill");
  await page.keyboard.press("Shift+Home");
  await setMeasure(page, "Text size", "18");
  await page.keyboard.press("F6");
  await cell(page, 1, 2).locator("p").click();
  await page.keyboard.press("End");
  // The line that was selected is not any more: Enter would take its place.
  await expect(page.getByRole("button", { name: "Link", exact: true })).toBeDisabled();
  await page.keyboard.press("Enter");
  const size = page.getByRole("textbox", { name: "Text size" });
  await setMeasure(page, "Text size", "13");
  await cell(page, 1, 2).locator("p").nth(1).click();
  await page.keyboard.type("Archivist");

  // A line that is selected as a whole says how its text looks.
  await cell(page, 1, 2).getByText("Ada Quill").click();
  await page.keyboard.press("Escape");
  await expect(size).toHaveValue("18");
  await page.keyboard.press("Control+B");
  const bold = page.getByRole("button", { name: "Bold" });
  await expect(bold).toHaveAttribute("aria-pressed", "true");

  await page.keyboard.press("Escape");
  await expect(size).toHaveValue("");
  await expect(size).toHaveAttribute("placeholder", "mixed");
  await expect(bold).toHaveAttribute("aria-pressed", "mixed");
  await page.keyboard.press("Control+B");
  await expect(bold).toHaveAttribute("aria-pressed", "true");
  await expect(proof(page, "webmail-inline").locator("b")).toHaveCount(2);
  await setMeasure(page, "Text size", "18");
  await expect(size).toHaveValue("18");

  await page.getByRole("button", { name: "Take the styling off" }).click();
  await expect(size).toHaveValue("13");
  await expect(proof(page, "webmail-inline").locator("b")).toHaveCount(0);
});

test("text with a font of its own follows the signature again, in one step that can be taken back", async ({
  page,
}) => {
  await startBlank(page, 1, 2);
  await cell(page, 1, 2).click();
  await page.keyboard.type("Ada Quill");
  await page.keyboard.press("Shift+Home");
  await chooseFont(page, "Font", "Verdana");
  await page
    .getByRole("navigation", { name: "What is selected" })
    .getByRole("button", { name: "signature" })
    .click();
  const measures = page.getByRole("complementary", { name: "Measures" });
  await chooseFont(page, "Font of the signature", "Georgia");
  const text = proof(page, "webmail-inline").getByText("Ada Quill");
  await expect(text).toHaveCSS("font-family", /^Verdana/);
  await measures.getByRole("button", { name: "Use this font there too" }).click();
  await expect(text).toHaveCSS("font-family", /^Georgia/);
  await expect(measures.getByText("a font of its own")).toHaveCount(0);
  await page.keyboard.press("Control+z");
  await expect(text).toHaveCSS("font-family", /^Verdana/);
});

test("the underline of a link is its own once it is pressed, and as all links when it comes to the same", async ({
  page,
}) => {
  await startBlank(page, 1, 2);
  await cell(page, 1, 2).click();
  await page.keyboard.type("https://harrowfen.example ");
  await page.keyboard.press("Home");
  const link = proof(page, "webmail-inline").getByRole("link");
  await page.keyboard.press("Shift+End");
  await page.keyboard.press("Control+k");
  const dialog = page.getByRole("dialog", { name: "Link" });
  await dialog.getByRole("textbox").first().fill("https://harrowfen.example");
  await page.keyboard.press("Enter");
  await expect(link).toHaveCSS("text-decoration-line", "none");
  await cell(page, 1, 2).getByText("harrowfen").click();
  await page.keyboard.press("Control+u");
  await expect(link).toHaveCSS("text-decoration-line", "underline");
  await expect(page.getByRole("button", { name: "Underline" })).toHaveAttribute("aria-pressed", "true");
  await page.keyboard.press("Control+u");
  await expect(link).toHaveCSS("text-decoration-line", "none");
});

test("each choice of the person is drawn at once, and the last one stays however slow the server is", async ({
  page,
}) => {
  await page.goto(shelfOf("Short, for answers"));
  await page.getByRole("link", { name: "Short, for answers", exact: true }).click();
  const sheet = page.locator(".signature-editor");
  const drawnFor = page.getByRole("combobox", { name: "drawn for" });
  const before = await drawnFor.textContent();
  let letGo = (): void => undefined;
  const held = new Promise<void>((resolve) => (letGo = resolve));
  await page.route("**/api/signatures/*", async (route) => {
    if (route.request().method() === "PATCH") await held;
    await route.continue();
  });
  await choose(drawnFor, "Ada Quill");
  await expect(sheet).toContainText("Ada Quill");
  await choose(drawnFor, "Kwame Asante-Whitlock");
  await expect(sheet).toContainText("Kwame Asante-Whitlock");
  await expect(proof(page, "webmail-inline")).toContainText("Kwame Asante-Whitlock");
  const told = page.waitForResponse(
    (answer) => (answer.request().postData() ?? "").includes("kwame-asante") && answer.ok(),
  );
  letGo();
  await told;
  await expect(drawnFor).toHaveText("Kwame Asante-Whitlock");
  await page.reload();
  await expect(sheet).toContainText("Kwame Asante-Whitlock");
  await choose(drawnFor, before ?? "");
  await expect(sheet).toContainText(before ?? "");
});

test("a click beside a picture stays in its cell, and a key pressed on a picture writes under it", async ({
  page,
}) => {
  await startBlank(page, 2, 2);
  await cell(page, 1, 1).click();
  await insertPart(page, "Picture place");
  await cell(page, 2, 2).click();
  await page.keyboard.type("Below");
  const where = page.getByRole("navigation", { name: "What is selected" });
  const box = (await cell(page, 1, 1).boundingBox())!;
  await page.mouse.click(box.x + box.width - 3, box.y + box.height / 2);
  await expect(where).toContainText("row 1");
  await expect(where).toContainText("cell 1");
  await page.keyboard.type("Under it");
  await expect(cell(page, 1, 1).locator(".drawn-picture-place")).toHaveCount(1);
  await expect(cell(page, 1, 1)).toContainText("Under it");
  await expect(cell(page, 2, 2)).toHaveText("Below");

  // After a measure was typed, a click into an empty cell puts the caret there.
  await setMeasure(page, "Padding left", "8");
  await cell(page, 2, 1).click({ position: { x: 50, y: 6 } });
  await page.keyboard.type("Here");
  await expect(cell(page, 2, 1)).toHaveText("Here");
});

test("copied cells are text as well, with the person's own values", async ({ page }) => {
  await startBlank(page, 1, 2);
  await cell(page, 1, 1).click();
  await page.keyboard.type("Seeds");
  await cell(page, 1, 2).click();
  await insertPart(page, "Name");
  await choose(page.getByRole("combobox", { name: "drawn for" }), "Ada Quill");
  await expect(cell(page, 1, 2)).toContainText("Ada Quill");
  await cell(page, 1, 2).click();
  await page.keyboard.press("Escape");
  await page.keyboard.press("Escape");
  await page.keyboard.press("Escape");
  await page.keyboard.press("Control+c");
  expect(await page.evaluate(() => navigator.clipboard.readText())).toBe("Seeds\tAda Quill");
  await waitUntilSaved(page, 1);
});

test("F2 finds the measures of the cell around a part and of pictures elsewhere, and goes there", async ({
  page,
}) => {
  await page.goto(shelfOf("Full"));
  await page.getByRole("link", { name: "Full", exact: true }).click();
  await cell(page, 1, 2).getByText("Tamsin Okafor").click();
  await page.keyboard.press("F2");
  await page.keyboard.type("alt text tamsin");
  await page.keyboard.press("Enter");
  const alt = page.getByRole("textbox", { name: "Alt text" });
  await expect(alt).toBeFocused();
  await expect(alt).toHaveValue("Tamsin Okafor among seedlings");
  // With the picture selected, the padding of its cell is found as well.
  await page.keyboard.press("F2");
  await page.keyboard.type("padding right");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("textbox", { name: "Padding right" })).toBeFocused();
  await expect(page.getByRole("navigation", { name: "What is selected" })).toContainText("cell 1");
});

test("F2 finds the measures of the line around a field and of its cell: alignment, line height, borders", async ({
  page,
}) => {
  await page.goto(shelfOf("Full"));
  await page.getByRole("link", { name: "Full", exact: true }).click();
  for (const [typed, role, name] of [
    ["line height", "textbox", "Line height"],
    ["alignment of the line", "radio", "As the cell in its line"],
    ["alignment across", "radio", "Left in the cell"],
    ["width of the border", "textbox", "Width of the border at the right"],
    ["size", "textbox", "Text size"],
  ] as const) {
    await cell(page, 1, 2).getByText("Tamsin Okafor").click();
    await expect(page.getByRole("status").filter({ hasText: "field" })).toBeVisible();
    await page.keyboard.press("F2");
    await page.keyboard.type(typed);
    await page.keyboard.press("Enter");
    await expect(page.getByRole(role, { name, exact: true })).toBeFocused();
  }
});

test("F2 finds a setting of the whole signature from within a line, and goes there", async ({ page }) => {
  await startBlank(page, 1, 2);
  await cell(page, 1, 2).click();
  for (const [typed, name] of [
    ["maximum", "Maximum width"],
    ["langu", "Language"],
  ] as const) {
    await page.keyboard.press("F2");
    await page.keyboard.type(typed);
    await page.keyboard.press("Enter");
    await expect(page.getByRole("textbox", { name })).toBeFocused();
    await cell(page, 1, 2).click();
    await expect(page.getByRole("textbox", { name })).toHaveCount(0);
  }
});
