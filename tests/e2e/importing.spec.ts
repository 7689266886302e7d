import path from "node:path";
import AxeBuilder from "@axe-core/playwright";
import type { Page } from "@playwright/test";
import { cell, proof, savedDocument, shelfOf, startBlank, waitUntilSaved } from "./bench";
import { expect, test } from "./test";

async function openSignature(page: Page, name: string, station = ""): Promise<void> {
  await page.goto(shelfOf(name));
  const href = await page.getByRole("link", { name, exact: true }).getAttribute("href");
  await page.goto(`${href}${station}`);
}

test("the installed signature, pasted upon a blank one, is the same signature again, and one undo takes it back", async ({
  page,
}) => {
  await openSignature(page, "Full");
  const own = await savedDocument(page);
  await openSignature(page, "Full", "/install");
  await page.getByRole("button", { name: "Copy the signature" }).click();
  await expect(page.getByText("Copied as it looks.", { exact: false })).toBeVisible();
  await startBlank(page, 2, 3);
  await cell(page, 1, 1).click();
  await page.keyboard.press("Control+V");
  await expect(page.getByText("The pasted signature stands here now.")).toBeVisible();
  await expect(proof(page, "webmail-inline").locator("img")).toHaveCount(7);
  await waitUntilSaved(page, 1);
  await expect.poll(() => savedDocument(page)).toEqual(own);
  await page.keyboard.press("Control+Z");
  await expect(proof(page, "webmail-inline").locator("img")).toHaveCount(0);
  await expect(cell(page, 2, 3)).toBeVisible();
});

test("a signature is found in a mail, another block is tried, its picture is taken in and its details are fields", async ({
  page,
}) => {
  await page.goto("/start");
  await page
    .locator("input[type=file]")
    .setInputFiles(path.resolve("tests/corpus/43-mail-with-delimiter.eml"));
  await expect(page.getByRole("heading", { name: "What you have already" })).toBeVisible();
  const becomes = page.frameLocator("iframe[title='As it begins here']").locator("body");
  await expect(becomes).not.toContainText("Dear Bram");
  await expect(page.getByRole("status").filter({ hasText: "stand where they stood" })).toBeVisible();
  await page.getByRole("radio", { name: /the whole message/ }).check();
  await expect(becomes).toContainText("Dear Bram");
  await page.getByRole("radio", { name: /after the line that parts it/ }).check();
  await expect(becomes).not.toContainText("Dear Bram");
  // The same by pointing at what is wanted in the message.
  await page.getByRole("img", { name: "The message" }).click({ position: { x: 30, y: 22 } });
  await expect(page.getByRole("radio", { name: /the whole message/ })).toBeChecked();
  await expect(becomes).toContainText("Dear Bram");
  await page.getByRole("radio", { name: /after the line that parts it/ }).check();
  await expect(becomes).not.toContainText("Dear Bram");

  const { violations } = await new AxeBuilder({ page }).exclude("iframe").analyze();
  expect(violations).toEqual([]);

  await expect(page.getByRole("checkbox", { name: "All 3 as fields" })).toBeChecked();
  await page.getByRole("checkbox", { name: "Title: Archivist" }).uncheck();
  await page.getByRole("button", { name: "Start with it" }).click();
  await expect(page.getByRole("textbox", { name: "Signature", exact: true })).toBeVisible();
  await expect(page.getByRole("combobox", { name: "drawn for" })).toHaveText(/Ada Quill/);
  await expect(proof(page, "webmail-inline").locator("img")).toHaveAttribute(
    "src",
    /^\/h\/[0-9a-f]{20}\/ada\.png$/,
  );
  const document = JSON.stringify(await savedDocument(page));
  expect([...document.matchAll(/"field":"(\w+)"/g)].map(([, field]) => field)).toEqual(["name", "mail"]);
  expect(document).toContain('"text":"Archivist"');
});

test("what somebody pastes or drops that is no signature is refused in a sentence, and HTML source is read", async ({
  page,
}) => {
  await page.goto("/start");
  await page.locator("input[type=file]").setInputFiles({
    name: "photo.html",
    mimeType: "text/html",
    buffer: Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
  });
  await expect(page.getByRole("alert").filter({ hasText: "This is no HTML and no mail." })).toBeVisible();
  await page.evaluate(() =>
    navigator.clipboard.writeText('<p style="color:#3F5B2E">Wen <b>Castellanos</b><script>x()</script></p>'),
  );
  await page.getByRole("textbox", { name: "Paste a copied signature, or its HTML" }).focus();
  await page.keyboard.press("Control+V");
  const becomes = page.frameLocator("iframe[title='As it begins here']").locator("body");
  await expect(becomes).toContainText("Wen Castellanos");
  await expect(page.getByRole("region", { name: "Left out" })).toContainText("<script>");
  await page.getByRole("button", { name: "Something else" }).click();
  await expect(page.getByRole("heading", { name: "Start a signature" })).toBeVisible();
});

test("pictures that lie elsewhere are looked at as their recipients would meet them, kept there or taken in", async ({
  page,
}) => {
  await page.goto("/start");
  await page.locator("input[type=file]").setInputFiles({
    name: "elsewhere.html",
    mimeType: "text/html",
    buffer: Buffer.from(
      '<p>Wren Sallow</p><img src="https://reedbasket.example/pictures/seed-jars.png" alt="Jars" width="120" height="80">' +
        '<img src="https://nowhere.harrowfen.example/none.png" alt="Nothing" width="40" height="40">',
    ),
  });
  const pictures = page.getByRole("region", { name: "Pictures" }).getByRole("listitem");
  await expect(pictures.filter({ hasText: "Jars" })).toContainText(/\d+ × \d+ px, \d/);
  await expect(pictures.filter({ hasText: "Nothing" })).not.toContainText("Being looked at");
  await expect(pictures.filter({ hasText: "Nothing" })).not.toContainText("px");
  await pictures.filter({ hasText: "Jars" }).getByRole("checkbox").check();
  await page.getByRole("button", { name: "Start with it" }).click();
  await expect(page.getByRole("textbox", { name: "Signature", exact: true })).toBeVisible();
  const document = JSON.stringify(await savedDocument(page));
  expect(document).toMatch(/"source":"\/h\/[0-9a-f]{20}\/seed-jars\.png"/);
  expect(document).toContain("https://nowhere.harrowfen.example/none.png");
});
