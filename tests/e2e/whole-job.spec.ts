import path from "node:path";
import { expect, test } from "./test";
import { cell, choose, chooseFont, proof, setMeasure, startBlank, waitUntilSaved } from "./bench";

test("the whole job by hand: build, picture, link, proof, copy, paste, write, send, open, follow the link", async ({
  page,
  context,
}) => {
  await startBlank(page);

  // Type name and title.
  await cell(page, 1, 2).click();
  await page.keyboard.type("Wen Castellanos");
  await page.keyboard.press("Enter");
  await page.keyboard.type("Front Desk, the Old Malthouse");
  await expect(proof(page, "webmail-inline")).toContainText("Wen Castellanos");

  // Style the name: bold, larger, in a colour, in another font.
  await cell(page, 1, 2).locator("p").first().click();
  await page.keyboard.press("Home");
  await page.keyboard.press("Shift+End");
  await page.getByRole("button", { name: "Bold" }).click();
  await chooseFont(page, "Font", "Georgia");
  await setMeasure(page, "Text size", "18");
  await page.getByRole("textbox", { name: "Text colour" }).fill("#3F5B2E");
  await page.getByRole("textbox", { name: "Text colour" }).press("Enter");
  const styled = proof(page, "webmail-inline").locator("b");
  await expect(styled).toHaveText("Wen Castellanos");
  await expect(styled).toHaveCSS("font-size", "18px");
  await expect(styled).toHaveCSS("color", "rgb(63, 91, 46)");
  await expect(styled).toHaveCSS("font-family", /^Georgia/);

  // A link on the title.
  await cell(page, 1, 2).locator("p").nth(1).click();
  await page.keyboard.press("Home");
  await page.keyboard.press("Shift+End");
  await page.getByRole("button", { name: "Link" }).click();
  await page
    .getByRole("textbox", { name: "Address", exact: true })
    .fill("https://https://harrowfen.example/visit");
  await page.getByRole("button", { name: "Set link" }).click();
  await expect(proof(page, "desktop-document").locator("a")).toHaveAttribute(
    "href",
    "https://harrowfen.example/visit",
  );

  // Upload a photo into the first cell and size it exactly.
  await cell(page, 1, 1).click();
  await page.getByRole("button", { name: "Picture", exact: true }).click();
  await page
    .getByLabel("Upload a picture")
    .setInputFiles(path.resolve("demo/pictures/originals/anjali-rao.jpg"));
  await expect(cell(page, 1, 1).locator("img")).toBeVisible();
  await setMeasure(page, "Height", "75");
  await expect(proof(page, "webmail-inline").locator("img")).toHaveAttribute("height", "75");
  await expect(proof(page, "webmail-inline").locator("img")).toHaveAttribute("width", "100");
  const source = (await proof(page, "webmail-inline").locator("img").getAttribute("src"))!;
  expect(source).toMatch(/^\/h\/[0-9a-f]{20}\/anjali-rao\.jpg$/);

  // A border between the cells, padding, and the column border dragged.
  await cell(page, 1, 1).locator("img").click();
  await page
    .getByRole("navigation", { name: "What is selected" })
    .getByRole("button", { name: "cell 1" })
    .click();
  await page.getByRole("radio", { name: "Border at the right" }).click();
  await setMeasure(page, "Width of the border at the right", "1.5");
  await setMeasure(page, "Padding right", "14");
  const handle = page.getByRole("slider", { name: "Border after column 1" });
  // The picture, its padding and half of the border take what the column is wide.
  await expect(handle).toHaveAttribute("aria-valuenow", "115");
  const box = (await handle.boundingBox())!;
  await page.mouse.move(box.x + 4, box.y + 4);
  await page.mouse.down();
  await page.mouse.move(box.x + 4 + 20, box.y + 4, { steps: 4 });
  await expect(handle).toHaveAttribute("aria-valuenow", "135");
  await page.mouse.up();
  const first = proof(page, "webmail-inline").locator("td").first();
  await expect(first).toHaveAttribute("width", "135");
  await expect(first).toHaveCSS("padding-right", "14px");
  await expect(first).toHaveAttribute("style", /border-right:1\.5px solid #1F5B57/);

  // Saved, and still there after a reload.
  await waitUntilSaved(page, 1);
  await page.reload();
  await expect(proof(page, "webmail-inline")).toContainText("Front Desk, the Old Malthouse");
  await expect(proof(page, "webmail-inline").locator("td").first()).toHaveAttribute("width", "135");

  // Copy it as it looks.
  await page.getByRole("link", { name: /^Install/ }).click();
  await page.getByRole("button", { name: "Copy the signature" }).click();
  const types = await page.evaluate(async () =>
    (await navigator.clipboard.read()).map((item) => [...item.types].sort()),
  );
  expect(types).toEqual([["text/html", "text/plain"]]);

  // A real paste into the stand-in's settings.
  await page.goto("/mailroom/wen-castellanos/malthouse/settings");
  const settings = page.getByRole("textbox", { name: "What goes under your letters" });
  await settings.click();
  await page.keyboard.press("Control+V");
  await expect(settings).toContainText("Wen Castellanos");
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect(page.getByRole("status")).toHaveText(
    "Kept. “Signature” goes under every new letter, and answers have none.",
  );

  // Write to a colleague.
  await page.getByRole("link", { name: "New letter" }).click();
  await choose(page.getByRole("combobox", { name: "For" }), "Ifor Pell (ifor@harrowfen.example)");
  await page.getByRole("textbox", { name: "About" }).fill("The second tray");
  const letter = page.getByRole("textbox", { name: "The letter" });
  await letter.locator("div").first().click();
  await page.keyboard.press("Control+Home");
  await page.keyboard.type("It came up on Tuesday.");
  await page.getByRole("button", { name: "Hand it over" }).click();
  await expect(page.getByRole("status")).toHaveText("Your letter is with Ifor Pell.");

  // Open it as received.
  await page.getByRole("link", { name: "Sit at Ifor Pell's desk and open it" }).click();
  await page
    .getByRole("link", { name: /The second tray/ })
    .first()
    .click();
  await expect(page.getByRole("heading", { name: "The second tray" })).toBeVisible();
  const arrived = page.locator("iframe").contentFrame().locator("body");
  await expect(arrived).toContainText("It came up on Tuesday.");
  await expect(arrived.locator("b")).toHaveCSS("color", "rgb(63, 91, 46)");
  await expect(arrived.locator("img")).toHaveAttribute("src", source);
  expect(await arrived.locator("img").evaluate((image: HTMLImageElement) => image.naturalWidth)).toBe(200);

  // The letter is real MIME with both parts.
  await page.getByText("The letter as it came over the wire").click();
  const raw = page.locator("pre");
  await expect(raw).toContainText("Content-Type: multipart/alternative");
  await expect(raw).toContainText("Content-Type: text/plain; charset=utf-8");
  await expect(raw).toContainText("Content-Type: text/html; charset=utf-8");

  // Its link works, and leads to a demo page.
  const opened = context.waitForEvent("page");
  await arrived.getByRole("link", { name: "Front Desk, the Old Malthouse" }).click();
  const target = await opened;
  await expect(target.getByRole("heading", { name: "harrowfen.example/visit" })).toBeVisible();
});
