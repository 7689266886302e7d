import { expect, test } from "./test";
import { cell, chooseFont, proof, setMeasure, startBlank, choose } from "./bench";

test("fields of the directory, a separator, a divider and a spacer are put in, measured and taken out", async ({
  page,
}) => {
  await startBlank(page);
  await choose(page.getByRole("combobox", { name: "drawn for" }), "Kwame Asante-Whitlock");
  await cell(page, 1, 2).click();
  const part = (name: string) =>
    page.getByRole("complementary", { name: "Parts" }).getByRole("button", { name, exact: true });
  await part("Title").click();
  await part("Separator").click();
  await part("Department").click();
  const shown = proof(page, "webmail-inline");
  await expect(shown).toContainText(/Senior Seed Physiologist\s\|\sGermination Lab/);

  await part("Divider").click();
  await setMeasure(page, "Thickness", "2");
  await expect(shown.locator('td[bgcolor="#D9D5C8"]')).toHaveCSS("height", "2px");
  await part("Spacer").click();
  await setMeasure(page, "Height", "14");
  await expect(shown.locator('td[height="14"]')).toHaveCount(1);
  await page.getByRole("button", { name: "Take it out" }).click();
  await expect(shown.locator('td[height="14"]')).toHaveCount(0);

  // A field that is empty for another person goes, and its separator with it.
  await choose(page.getByRole("combobox", { name: "drawn for" }), "Ada Quill");
  await expect(shown).toContainText(/Archivist\s\|\sCollections/);
});

test("cells are placed, filled and bordered; a border is one for both of its cells", async ({ page }) => {
  await startBlank(page);
  await cell(page, 1, 1).click();
  await page.keyboard.type("A");
  await page.getByRole("radio", { name: "Centred in the cell" }).click();
  await page.getByRole("radio", { name: "In the middle of the cell" }).click();
  await page.getByRole("textbox", { name: "Background of the cell" }).fill("F3EFE4");
  await page.keyboard.press("Enter");
  const first = proof(page, "webmail-inline").locator("td").first();
  await expect(first).toHaveAttribute("align", "center");
  await expect(first).toHaveAttribute("valign", "middle");
  await expect(first).toHaveCSS("background-color", "rgb(243, 239, 228)");

  await setMeasure(page, "Width of the border at the right", "4");
  await page.getByRole("textbox", { name: "Colour of the border" }).fill("#A3262A");
  await page.keyboard.press("Enter");
  await cell(page, 1, 2).click();
  await page.getByRole("radio", { name: "Border at the left" }).click();
  await expect(page.getByRole("textbox", { name: "Width of the border at the left" })).toHaveValue("4");
  await expect(page.getByRole("textbox", { name: "Colour of the border" })).toHaveValue("#A3262A");
  await setMeasure(page, "Width of the border at the left", "0");
  await expect(first).not.toHaveAttribute("style", /border-(left|right)/);

  // Nonsense changes nothing, and says what is possible.
  await setMeasure(page, "Padding left", "wide");
  await expect(page.getByRole("alert").filter({ hasText: "wide is not 0 to 200" })).toBeVisible();
  await expect(page.getByRole("textbox", { name: "Padding left" })).toHaveValue("12");
});

test("settings of the whole signature reach every part of it", async ({ page }) => {
  await startBlank(page);
  await cell(page, 1, 2).click();
  await page.keyboard.type("Open 12 and 13 June");
  await page
    .getByRole("navigation", { name: "What is selected" })
    .getByRole("button", { name: "signature" })
    .click();
  await chooseFont(page, "Font of the signature", "Georgia");
  await setMeasure(page, "Size", "15");
  await setMeasure(page, "Line height", "1.6");
  const visit = page.getByRole("textbox", { name: "Page that dates and addresses lead to" });
  await visit.fill("harrowfen.example/visit");
  await visit.press("Enter");
  const text = proof(page, "webmail-inline").locator("td").nth(1);
  await expect(text).toHaveCSS("font-size", "15px");
  await expect(text).toHaveCSS("line-height", "24px");
  await expect(text).toHaveCSS("font-family", /^Georgia/);
  await expect(text.locator("a")).toHaveText("12 and 13 June");
  await expect(text.locator("a")).toHaveAttribute("href", "https://harrowfen.example/visit");
});

test("a link is taken away, and one that is no address is refused in words", async ({ page }) => {
  await startBlank(page);
  await cell(page, 1, 2).click();
  await page.keyboard.type("Our page");
  await page.keyboard.press("Shift+Home");
  const link = page.getByRole("button", { name: "Link", exact: true });
  await link.click();
  await page.getByRole("textbox", { name: "Address", exact: true }).fill("seeds");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "“seeds” is neither a web address" })).toBeVisible();
  await page.getByRole("textbox", { name: "Address", exact: true }).fill("harrowfen.example");
  await page.keyboard.press("Enter");
  const shown = proof(page, "webmail-inline").locator("a");
  await expect(shown).toHaveAttribute("href", "https://harrowfen.example");
  await link.click();
  await page.getByRole("button", { name: "Take it away" }).click();
  await expect(shown).toHaveCount(0);
  await expect(link).toBeEnabled();
});
