import type { Page } from "@playwright/test";
import { expect, test } from "./test";
import { cell, openCopy, proof, setMeasure, startBlank, tabTo, choose } from "./bench";

/** Takes hold of the part with a text by its grip and lets go over a point of a cell. */
async function dragByGrip(page: Page, text: string, row: number, column: number, y: number): Promise<void> {
  await page.locator(".signature-editor p", { hasText: text }).hover();
  await page.locator(".grip").dragTo(cell(page, row, column), { targetPosition: { x: 30, y } });
}

/** What is selected on the Bench, as the breadcrumb names it. */
const selected = (page: Page) =>
  page.getByRole("navigation", { name: "What is selected" }).locator("[aria-current]");

/** Copies the selection, and waits until the clipboard holds it: leaving the page at once may lose it. */
async function copy(page: Page, holding: string): Promise<void> {
  await page.keyboard.press("Control+C");
  await expect
    .poll(() =>
      page.evaluate(async () => {
        const [item] = await navigator.clipboard.read();
        return item?.types.includes("text/html") ? (await item.getType("text/html")).text() : "";
      }),
    )
    .toContain(holding);
}

/** Puts HTML and text on the clipboard and pastes them where the cursor is. */
async function paste(page: Page, html: string, plain: string, keys = "Control+V"): Promise<void> {
  await page.evaluate(
    async ([markup, words]) =>
      navigator.clipboard.write([
        new ClipboardItem({
          "text/html": new Blob([markup!], { type: "text/html" }),
          "text/plain": new Blob([words!], { type: "text/plain" }),
        }),
      ]),
    [html, plain],
  );
  await page.keyboard.press(keys);
}

test("parts are moved between cells by drag with a mark, and by key", async ({ page }) => {
  await startBlank(page, 1, 2);
  await cell(page, 1, 2).click();
  await page.keyboard.type("First");
  await page.keyboard.press("Enter");
  await page.keyboard.type("Second");
  await dragByGrip(page, "Second", 1, 1, 8);
  await expect(cell(page, 1, 1).locator("p")).toHaveText(["Second"]);
  await expect(cell(page, 1, 2).locator("p")).toHaveText(["First"]);
  await expect(page.locator(".drop-mark")).toBeHidden();
  await page.keyboard.press("Alt+ArrowDown");
  await expect(cell(page, 1, 2).locator("p")).toHaveText(["Second", "First"]);
  await page.keyboard.press("Alt+Shift+D");
  await expect(cell(page, 1, 2).locator("p")).toHaveText(["Second", "Second", "First"]);
  await page.keyboard.press("Alt+Shift+X");
  await expect(cell(page, 1, 2).locator("p")).toHaveText(["Second", "First"]);
});

test("parts and cells are copied, cut and pasted between signatures with their styling", async ({ page }) => {
  await openCopy(page, "Press desk");
  await page.locator(".signature-editor [data-still-line^=button]").click();
  await page.keyboard.press("Escape");
  await expect(selected(page)).toHaveText("button");
  await copy(page, "Pictures for the press");
  await startBlank(page, 1, 2);
  await cell(page, 1, 2).click();
  await expect(selected(page)).toHaveText("line");
  await page.keyboard.press("Control+V");
  await expect(cell(page, 1, 2).locator("[data-still-line^=button]")).toBeVisible();
  const button = proof(page, "webmail-inline").getByRole("link", { name: "Pictures for the press" });
  await expect(button).toHaveAttribute("href", "https://harrowfen.example/press/pictures");
  await expect(proof(page, "webmail-inline").locator('td[bgcolor="#3F5B2E"]')).toHaveAttribute(
    "width",
    "190",
  );

  // A whole cell, with padding, line and background.
  await openCopy(page, "Full");
  await cell(page, 1, 2).getByText("Tamsin Okafor").click();
  await page
    .getByRole("navigation", { name: "What is selected" })
    .getByRole("button", { name: "cell 2" })
    .click();
  await setMeasure(page, "Padding top", "7");
  await cell(page, 1, 2).getByText("Head of Germination").click();
  await page
    .getByRole("navigation", { name: "What is selected" })
    .getByRole("button", { name: "cell 2" })
    .click();
  await copy(page, "[title]");
  await startBlank(page, 1, 2);
  await cell(page, 1, 1).click();
  await page.keyboard.press("Escape");
  await page.keyboard.press("Escape");
  await page.keyboard.press("Control+V");
  const pasted = proof(page, "webmail-inline").locator("td").first();
  await expect(pasted.locator("img")).toHaveCount(5);
  await expect(cell(page, 1, 1)).toHaveCSS("padding-top", "7px");
  await expect(cell(page, 1, 1)).toHaveCSS("padding-left", "16px");
});

test("what is pasted from elsewhere keeps what can be kept, and what is left out is said", async ({
  page,
}) => {
  await startBlank(page, 1, 2);
  await cell(page, 1, 2).click();
  await paste(
    page,
    `<p style="margin:0 0 8pt"><span style="font-size:11pt;color:rgb(63,91,46);font-family:'Fenland Sans'"><b>Ada</b> Quill</span></p>
     <ul><li><a href="https://harrowfen.example">Our page</a></li></ul><img src="file:///c:/photo.png"><script>alert(1)</script>`,
    "Ada Quill",
  );
  const shown = proof(page, "webmail-inline");
  await expect(shown.locator("b")).toHaveText("Ada");
  await expect(shown.locator("b")).toHaveCSS("color", "rgb(63, 91, 46)");
  await expect(shown.locator("b")).toHaveCSS("font-size", "14.67px");
  await expect(shown.getByRole("link", { name: "Our page" })).toHaveAttribute(
    "href",
    "https://harrowfen.example/",
  );
  const said = page.getByText(/^Pasted\. Left out: /);
  await expect(said).toContainText("<script>");
  await expect(said).toContainText("Fenland Sans");
  await expect(said).toContainText("the mark of a list");
  // The whole report names each with its reason, the picture that nobody else can see among them.
  await page.getByRole("button", { name: "Report" }).click();
  const report = page.getByRole("dialog", { name: "What became of the paste" });
  await expect(report.getByText(/^file:\/\/\/c:\/photo\.png · nobody else sees it there/)).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(report).toBeHidden();

  // A table is nested where the cursor is, instead of being poured over the cells around it.
  await cell(page, 1, 1).click();
  await page.keyboard.type("Stays");
  await paste(
    page,
    `<table><tr><td colspan="2" width="90" bgcolor="#f3efe4">Top</td></tr><tr><td>Left</td><td>Right</td></tr></table>`,
    "Top",
  );
  // Room between what was pasted before is held by cells of its own.
  await expect(shown.locator("table table td").filter({ hasText: /\p{L}/u })).toHaveText([
    "Top",
    "Left",
    "Right",
  ]);
  await expect(shown.locator("table table td").filter({ hasText: "Top" })).toHaveAttribute(
    "bgcolor",
    "#F3EFE4",
  );
  await expect(cell(page, 1, 1)).toContainText("Stays");
  await expect(cell(page, 1, 2)).toContainText("Our page");

  // As plain text nothing but the words comes.
  await cell(page, 1, 2).getByText("Our page").click();
  await page.keyboard.press("End");
  await paste(page, '<b>Bold words</b><img src="file:///c:/x.png">', "Plain words", "Control+Shift+V");
  await expect(cell(page, 1, 2)).toContainText("Plain words");
  await expect(cell(page, 1, 2)).not.toContainText("Bold words");
  // Nothing of the HTML was wanted, so nothing of it is said to be missing.
  await expect(page.getByText(/file:\/\/\/c:\/x\.png/)).toHaveCount(0);
});

test("accented, right-to-left and composed text is typed as in any text", async ({ page }) => {
  await startBlank(page, 1, 1);
  await cell(page, 1, 1).click();
  await page.keyboard.insertText("Żółkiewski, Ελένη, ليلى");
  await page.keyboard.press("Enter");
  const client = await page.context().newCDPSession(page);
  // An input method shows what it has so far, and then what was chosen.
  for (const text of ["s", "さ", "さと", "佐藤"])
    await client.send("Input.imeSetComposition", {
      text,
      selectionStart: text.length,
      selectionEnd: text.length,
    });
  await client.send("Input.insertText", { text: "佐藤" });
  await page.keyboard.type(" ok");
  await expect(cell(page, 1, 1).locator("p")).toHaveText(["Żółkiewski, Ελένη, ليلى", "佐藤 ok"]);
  await expect(proof(page, "webmail-inline")).toContainText("佐藤 ok");
});

test("letters are spaced, set in capitals and in points, one by one where they are selected", async ({
  page,
}) => {
  await startBlank(page, 1, 1);
  await cell(page, 1, 1).click();
  await page.keyboard.type("Ada Quill");
  await page.keyboard.press("Home");
  await page.keyboard.press("Shift+ArrowRight");
  await page.getByRole("textbox", { name: "Text colour" }).fill("#3F5B2E");
  await page.keyboard.press("Enter");
  const shown = proof(page, "webmail-inline");
  await expect(shown.locator("span")).toHaveText(["A"]);
  await cell(page, 1, 1).click();
  await page.keyboard.press("Control+A");
  await page.getByRole("button", { name: "Capitals" }).click();
  await setMeasure(page, "Letter spacing", "1.2");
  await page.getByRole("button", { name: "Sizes are in px: show them in pt" }).first().click();
  await setMeasure(page, "Text size", "12");
  await expect(shown).toContainText("ADA QUILL");
  await expect(shown.locator("span").last()).toHaveCSS("font-size", "16px");
  await expect(shown.locator("span").last()).toHaveCSS("letter-spacing", "1.2px");
  await expect(shown.locator("span").first()).toHaveCSS("color", "rgb(63, 91, 46)");
  await page.getByRole("button", { name: "Sizes are in pt: show them in px" }).first().click();
  await expect(page.getByRole("textbox", { name: "Text size" })).toHaveValue("16");
  await setMeasure(page, "Line height", "1.75");
  await expect(shown.locator("div").first()).toHaveCSS("line-height", "28px");
});

test("a colour is taken out of a picture, by pointer, by key and from what it is made of", async ({
  page,
}) => {
  await openCopy(page, "Full");
  await cell(page, 1, 2).getByText("Tamsin Okafor").click();
  const field = page.getByRole("textbox", { name: "Text colour" });
  await page.getByRole("button", { name: "Pick text colour" }).click();
  const dialog = page.getByRole("dialog", { name: "Text colour" });
  await choose(dialog.getByRole("combobox"), "Open Store Weekend, 12 and 13 June");
  const made = dialog.getByRole("list", { name: "What it is made of" });
  await expect(made.getByRole("button").first()).toHaveAccessibleName(/^#[0-9A-F]{6}$/);
  await expect(made.getByRole("button", { name: "#3F5B2E" })).toBeVisible();
  const picture = dialog.getByRole("button", { name: /^Take a colour from Open Store Weekend/ });
  const { width, height } = (await picture.boundingBox())!;
  await picture.click({ position: { x: width - 4, y: height - 4 } });
  await expect(field).toHaveValue("#3F5B2E");
  await expect(dialog.getByText("Contrast on white")).toBeVisible();
  await expect(dialog.getByText("7.6")).toBeVisible();
  await tabTo(page, /^Take a colour from/);
  for (let press = 0; press < 80; press++) await page.keyboard.press("Shift+ArrowLeft");
  await page.keyboard.press("Enter");
  await expect(field).toHaveValue("#F3EFE4");
});

test("the type of one's letters is said once, and the signature set to match", async ({ page }) => {
  await startBlank(page, 1, 1);
  await cell(page, 1, 1).click();
  await page.keyboard.type("Ada");
  await page.getByRole("button", { name: "How your letters are set" }).click();
  const dialog = page.getByRole("dialog", { name: "How your letters are set" });
  await setMeasure(page, "Size of your letters", "16");
  await expect(page.locator(".sheet [aria-hidden] p").first()).toHaveCSS("font-size", "16px");
  await dialog.getByRole("button", { name: "Set the signature to match" }).click();
  await expect(dialog.getByRole("button", { name: "The signature matches" })).toBeDisabled();
  await expect(proof(page, "webmail-inline").locator("td")).toHaveCSS("font-size", "16px");
  await page.reload();
  await expect(page.getByRole("button", { name: "How your letters are set" })).toContainText("16");
});
