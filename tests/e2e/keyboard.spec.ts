import { expect, test } from "./test";
import { cell, proof, tabTo } from "./bench";

test("a signature is started, typed, styled, measured and linked without a pointer", async ({ page }) => {
  await page.goto("/");
  await tabTo(page, "Start a signature");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Start a signature" })).toBeVisible();
  await tabTo(page, /^Start a blank table of 1 × 2/);
  await page.keyboard.press("Enter");
  // The caret is in the first cell, and Tab goes from cell to cell on the sheet.
  await expect(page.getByRole("textbox", { name: "Signature", exact: true })).toBeFocused();
  await page.keyboard.press("Tab");
  await page.keyboard.type("Ada ");
  await page.keyboard.press("Control+b");
  await page.keyboard.type("Quill");
  await expect(proof(page, "webmail-inline").locator("b")).toHaveText("Quill");
  await page.keyboard.press("Enter");
  await page.keyboard.type("Archivist");
  await expect(cell(page, 1, 2).locator("p")).toHaveText(["Ada Quill", "Archivist"]);

  // From the last cell Tab goes on to the rest of the page.
  await tabTo(page, "Border after column 1");
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("Shift+ArrowRight");
  await expect(page.getByRole("slider", { name: "Border after column 1" })).toHaveAttribute(
    "aria-valuenow",
    "116",
  );

  await tabTo(page, "Padding left");
  await page.keyboard.press("ArrowUp");
  await page.keyboard.press("Shift+ArrowUp");
  await expect(page.getByRole("textbox", { name: "Padding left" })).toHaveValue("18");
  await expect(proof(page, "webmail-inline").locator("td").nth(1)).toHaveCSS("padding-left", "18px");
});
