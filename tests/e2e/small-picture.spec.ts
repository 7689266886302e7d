import { cell, choose, insertPart, proof, startBlank, waitUntilSaved } from "./bench";
import { expect, test } from "./test";

test("a small picture stands in a line, level with its text and cut to its height, by panel, key and drag", async ({
  page,
}) => {
  await startBlank(page, 1, 2);
  await cell(page, 1, 2).click();
  await page.keyboard.type("+44 1632 960100");
  await page.keyboard.press("Home");
  await insertPart(page, "Small picture");
  const dialog = page.getByRole("dialog", { name: "Place a picture" });
  const logo = dialog.getByRole("button", { name: /harrow-fen-logo/ }).first();
  await dialog.getByRole("radio", { name: "Originals" }).click();
  await logo.click();
  const line = cell(page, 1, 2).locator("p");
  const small = line.locator("img[data-still-line]");
  await expect(small).toHaveCount(1);
  // Work goes on after it, and its text is not joined to it.
  await page.keyboard.type("Desk ");
  await expect(line).toHaveText(" Desk +44 1632 960100");

  const sent = proof(page, "webmail-inline").locator("td").nth(1);
  await expect(sent.locator("img")).toHaveAttribute("height", "14");
  await expect(sent.locator("img")).toHaveAttribute("alt", "");
  await expect(sent.getByRole("link", { name: "+44 1632 960100" })).toHaveCount(1);
  const [heights] = await Promise.all([
    sent
      .locator("div")
      .first()
      .evaluate((div) => div.getBoundingClientRect().height),
    waitUntilSaved(page, 2),
  ]);
  expect(heights).toBeLessThan(20);

  // By key, at the end of the line.
  await page.keyboard.press("End");
  await page.keyboard.press("Alt+Shift+I");
  await dialog.getByRole("radio", { name: "Originals" }).click();
  await logo.click();
  await expect(small).toHaveCount(2);

  // Dragged from the panel to where the words begin.
  const part = page
    .getByRole("complementary", { name: "Parts" })
    .getByRole("button", { name: "Small picture" });
  await part.dragTo(line, { targetPosition: { x: 60, y: 9 } });
  await dialog.getByRole("radio", { name: "Originals" }).click();
  await logo.click();
  await expect(small).toHaveCount(3);

  await page.keyboard.press("ControlOrMeta+z");
  await expect(small).toHaveCount(2);
});

test("a drawn icon stands before a number, in the colour of its text, and says what the number is for", async ({
  page,
}) => {
  await startBlank(page, 1, 2);
  await cell(page, 1, 2).click();
  await choose(page.getByRole("combobox", { name: "drawn for" }), "Tamsin Okafor");
  await cell(page, 1, 2).click();
  await insertPart(page, "Phone");
  await page.keyboard.press("Home");
  await page.keyboard.press("Alt+Shift+I");
  const dialog = page.getByRole("dialog", { name: "Place a picture" });
  await dialog.getByRole("button", { name: "Phone", exact: true }).click();
  const small = cell(page, 1, 2).locator("p img[data-still-line]");
  await expect(small).toHaveAttribute("src", /\/h\/[0-9a-f]+\/phone\.png/);
  await small.click();
  const measures = page.getByRole("complementary", { name: "Measures" });
  await expect(measures.getByRole("checkbox", { name: /Only decoration/ })).toBeChecked();
  await measures.getByRole("checkbox", { name: /Only decoration/ }).click();
  await measures.getByRole("button", { name: "Say “Phone”" }).click();
  await expect(proof(page, "webmail-inline").locator("img")).toHaveAttribute("alt", "Phone");

  // Another in its place keeps what it says and how high it is.
  await measures.getByRole("button", { name: "Choose another" }).click();
  await dialog.getByRole("radio", { name: "Originals" }).click();
  await dialog
    .getByRole("button", { name: /tamsin-okafor/ })
    .first()
    .click();
  await expect(small).toHaveAttribute("src", /tamsin-okafor/);
  await expect(proof(page, "webmail-inline").locator("img")).toHaveAttribute("alt", "Phone");
  await expect(proof(page, "webmail-inline").locator("img")).toHaveAttribute("height", "14");
});
