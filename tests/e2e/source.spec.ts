import AxeBuilder from "@axe-core/playwright";
import type { Locator, Page } from "@playwright/test";
import { cell, choose, openCopy, proof, savedDocument, waitUntilSaved } from "./bench";
import { expect, test } from "./test";

const pane = (page: Page): Locator => page.getByRole("region", { name: "Source of the signature" });
const code = (page: Page): Locator => pane(page).getByRole("textbox", { name: "Source", exact: true });
const said = (page: Page): Locator => pane(page).getByRole("status").last();
const line = (page: Page, text: string): Locator => code(page).locator(".cm-line", { hasText: text });
const sheet = (page: Page): Locator => page.getByRole("textbox", { name: "Signature", exact: true });

async function openSource(page: Page, name = "Full"): Promise<void> {
  await openCopy(page, name);
  await page.getByRole("button", { name: "Source", exact: true }).click();
  await expect(line(page, "<table").first()).toBeVisible();
}

/** The caret in front of a piece of a line that is in view. */
async function caretBefore(page: Page, text: string, piece: string): Promise<void> {
  const own = line(page, text).first();
  await own.click({ position: { x: 200, y: 8 } });
  await page.keyboard.press("Home");
  const written = (await own.textContent()) ?? "";
  const from = written.search(/\S/);
  for (let at = from; at < written.indexOf(piece); at++) await page.keyboard.press("ArrowRight");
}

test("what is selected on the sheet is marked in the source, and where the caret stands there on the sheet", async ({
  page,
}) => {
  await openSource(page);
  await sheet(page).getByAltText("Harrow Fen on Hedgepost").click();
  await expect(code(page).locator(".cm-part").first()).toContainText("<img");
  await expect(pane(page).getByRole("navigation", { name: "What is selected" })).toHaveText(
    /icon row›picture 3$/,
  );
  await expect(said(page)).toHaveText("the icon “Harrow Fen on Hedgepost”");

  await cell(page, 1, 2).locator("p").first().click();
  await line(page, "Tamsin Okafor</b>").click();
  await expect(sheet(page).locator(".marked-part")).toHaveText("Tamsin Okafor");
  await line(page, "Head of Germination").click();
  await expect(sheet(page).locator(".marked-part")).toContainText("Head of Germination");
  await expect(code(page)).toBeFocused();
  await expect(pane(page).getByRole("navigation", { name: "What is selected" })).toHaveText(/line 2$/);
  // Whoever goes back to the sheet is marked there no more.
  await cell(page, 1, 2).locator("p").first().click();
  await expect(sheet(page).locator(".marked-part")).toHaveCount(0);
});

test("a colour is changed and a row added in the source, the field stays a field, and two undos take both back", async ({
  page,
}) => {
  await openSource(page);
  const own = await savedDocument(page);
  await caretBefore(page, "Tamsin Okafor</b>", "#3F5B2E");
  for (const letter of "#3F5B2E") {
    await page.keyboard.press("Shift+ArrowRight");
    expect(await page.evaluate(() => String(getSelection()))).toContain(letter);
  }
  await page.keyboard.type("#AA3311");
  await expect(proof(page, "webmail-inline").getByText("Tamsin Okafor")).toHaveCSS(
    "color",
    "rgb(170, 51, 17)",
  );
  await waitUntilSaved(page, 1);
  await expect
    .poll(async () => JSON.stringify(await savedDocument(page)))
    .toMatch(/"personField","attrs":\{"field":"name"[^}]*\},"marks":\[[^\]]*#AA3311/);

  await page.keyboard.press("Control+End");
  await line(page, 'colspan="2"').click({ position: { x: 60, y: 8 } });
  await page.keyboard.press("ArrowUp");
  await page.keyboard.press("Alt+Shift+D");
  await expect(sheet(page).locator("> table > tbody > tr")).toHaveCount(3);
  await expect(proof(page, "webmail-inline").getByAltText("Open Store Weekend, 12 and 13 June")).toHaveCount(
    2,
  );

  await page.keyboard.press("Control+Z");
  await expect(sheet(page).locator("> table > tbody > tr")).toHaveCount(2);
  await page.keyboard.press("Control+Z");
  await expect(proof(page, "webmail-inline").getByText("Tamsin Okafor")).toHaveCSS(
    "color",
    "rgb(63, 91, 46)",
  );
  await expect.poll(() => savedDocument(page)).toEqual(own);
  await expect(code(page)).toBeFocused();
});

test("while the source is broken the sheet stays, the trouble has a line and a column, and nothing typed is lost", async ({
  page,
}) => {
  await openSource(page);
  await caretBefore(page, "Tamsin Okafor</b>", "b style");
  await page.keyboard.press("Delete");
  await expect(said(page)).toContainText(/^Line 8, column \d+: /);
  await expect(said(page)).toContainText("The sheet stays as it was.");
  await expect(sheet(page)).toContainText("Tamsin Okafor");
  await page.keyboard.type("i");
  await expect(said(page)).toContainText("<i> is not closed");
  await page.keyboard.press("Control+Z");
  await page.keyboard.press("Control+Z");
  await expect(said(page)).not.toContainText("Line 8");

  await page.keyboard.press("Delete");
  await expect(said(page)).toContainText("Line 8");
  // What is changed on the sheet meanwhile holds, and what was typed can be had back.
  await cell(page, 1, 2).locator("p").nth(1).click();
  await page.keyboard.press("End");
  await page.keyboard.type(", Malthouse");
  await expect(line(page, "Germination Lab, Malthouse")).toBeVisible();
  await page.getByRole("button", { name: "Take it back" }).first().click();
  await expect(said(page)).toContainText("Line 8");
});

test("a source that is broken when it is closed stands there again when it is opened, and is mended", async ({
  page,
}) => {
  await openSource(page);
  await caretBefore(page, "Tamsin Okafor</b>", "b style");
  await page.keyboard.press("Delete");
  await expect(said(page)).toContainText("Line 8");
  await page.getByRole("button", { name: "Close the source" }).click();
  await expect(pane(page)).toHaveCount(0);
  await page.keyboard.press("F8");
  await expect(said(page)).toContainText("Line 8");
  await caretBefore(page, "Tamsin Okafor</b>", " style");
  await page.keyboard.type("b");
  await expect(said(page)).not.toContainText("Line 8");
  await expect(sheet(page)).toContainText("Tamsin Okafor");

  // The other views of the source lose nothing of it either.
  await page.keyboard.press("Backspace");
  await expect(said(page)).toContainText("Line 8");
  await pane(page).getByRole("radio", { name: "As received" }).click();
  await pane(page).getByRole("radio", { name: "As built" }).click();
  await expect(said(page)).toContainText("Line 8");
});

test("what the document cannot hold is marked with what becomes of it, and reached from below the source", async ({
  page,
}) => {
  await openSource(page);
  await caretBefore(page, "Tamsin Okafor</b>", "color:");
  await page.keyboard.type("box-shadow:0 0 3px #000000;");
  const note = pane(page).getByRole("button", { name: "1 thing not kept as written" });
  await expect(note).toBeVisible();
  await expect(code(page).locator(".cm-lintRange-warning").first()).toBeVisible();
  await page.keyboard.press("Control+End");
  await note.click();
  await expect(said(page)).toContainText(/^box-shadow.*: not kept; /);
  await expect(sheet(page)).toContainText("Tamsin Okafor");
  // Whoever leaves the source finds it as the document has it.
  await cell(page, 1, 2).locator("p").nth(1).click();
  await expect(note).toHaveCount(0);
  await expect(line(page, "Tamsin Okafor</b>")).not.toContainText("box-shadow");
});

test("what the pointer is on is said in words; a colour is changed by its swatch, an icon copied and taken out from the margin", async ({
  page,
}) => {
  await openSource(page);
  await sheet(page).getByAltText("Harrow Fen on Hedgepost").click();
  const tip = page.locator(".cm-tooltip");
  // A pointer that rests where something scrolls is on something else: a person moves it again.
  await expect(async () => {
    await page.mouse.move(700, 120);
    await line(page, "hedgepost.example/harrowfen").getByText("href").hover();
    await expect(tip).toContainText("where the icon “Harrow Fen on Hedgepost” leads", { timeout: 2000 });
  }).toPass();
  await expect(tip).toContainText("https://hedgepost.example/harrowfen");

  await line(page, "hedgepost.example/harrowfen").click({ position: { x: 150, y: 8 } });
  await page.getByRole("button", { name: "Duplicate the element" }).click();
  await expect(sheet(page).getByAltText("Harrow Fen on Hedgepost")).toHaveCount(2);
  await page.keyboard.press("Alt+Shift+X");
  await expect(sheet(page).getByAltText("Harrow Fen on Hedgepost")).toHaveCount(1);
  await expect(sheet(page).getByAltText(/^Harrow Fen on/)).toHaveCount(5);

  const icon = line(page, 'alt="Harrow Fen on Hedgepost"');
  const box = (await icon.boundingBox())!;
  const gutter = (await pane(page).locator(".cm-element-gutter").boundingBox())!;
  await page.mouse.click(gutter.x + gutter.width / 2, box.y + 8);
  const menu = page.getByRole("menu");
  await expect(menu).toContainText("the icon “Harrow Fen on Hedgepost”");
  await menu.getByRole("menuitem", { name: "Move up" }).click();
  await expect(
    sheet(page)
      .getByAltText(/^Harrow Fen on/)
      .nth(1),
  ).toHaveAttribute("alt", "Harrow Fen on Hedgepost");

  await cell(page, 1, 2).locator("p").first().click();
  await line(page, "Tamsin Okafor</b>").locator(".cm-swatch").click();
  const colors = page.getByRole("dialog", { name: "Colour in the source" });
  await colors
    .getByRole("button", { name: /#C08A2B/ })
    .first()
    .click();
  await expect(proof(page, "webmail-inline").getByText("Tamsin Okafor")).toHaveCSS(
    "color",
    "rgb(192, 138, 43)",
  );
  await page.keyboard.press("Escape");
  await expect(code(page)).toBeFocused();
});

test("words are found, shown with what comes in their place, and replaced where they are wanted", async ({
  page,
}) => {
  await openSource(page);
  await code(page).click();
  await page.keyboard.press("Control+F");
  const find = page.getByRole("search", { name: "Find and replace in the source" });
  await find.getByRole("textbox", { name: "Find" }).fill("harrowfen.example");
  await expect(find.getByRole("status")).toHaveText("5 places");
  await find.getByRole("textbox", { name: "Put in its place" }).fill("fen.example");
  await expect(find.getByRole("listitem").first()).toContainText("harrowfen.examplefen.example");
  await find
    .getByRole("checkbox", { name: /^Replace on line/ })
    .first()
    .uncheck();
  await find.getByRole("button", { name: "Replace 4" }).click();
  await expect(page.getByText("4 places replaced in the source.")).toBeVisible();
  await expect(find.getByRole("status")).toHaveText("1 place");
  await page.keyboard.press("Escape");
  await expect(code(page)).toBeFocused();
  await page.keyboard.press("Control+Z");
  await expect(pane(page).getByRole("search")).toHaveCount(0);
  await page.keyboard.press("Control+F");
  await find.getByRole("textbox", { name: "Find" }).fill("harrowfen.example");
  await expect(find.getByRole("status")).toHaveText("5 places");
});

test("the source is read as compiled and as received, and what costs most leads to its part", async ({
  page,
}) => {
  await openSource(page);
  await expect(pane(page).getByRole("button", { name: /^4,\d{3} of 10,000 characters/ })).toBeVisible();
  await pane(page)
    .getByRole("button", { name: /of 10,000 characters/ })
    .click();
  const sizes = pane(page).getByRole("group", { name: "What costs most" });
  await sizes.getByRole("button", { name: /^the row of icons: [\d,]+ characters, \d+ %$/ }).click();
  await expect(pane(page).getByRole("navigation", { name: "What is selected" })).toHaveText(/icon row$/);

  await pane(page).getByRole("radio", { name: "As compiled" }).click();
  await choose(pane(page).getByRole("combobox", { name: "Destination" }), "Document-engine desktop, a file");
  const read = pane(page).getByRole("textbox", { name: "Source, to read" });
  await expect(read).toContainText("mso-line-height-rule:exactly");
  const saved = page.waitForEvent("download");
  await pane(page).getByRole("button", { name: "Save this as a file" }).click();
  expect((await saved).suggestedFilename()).toBe("full-tried.htm");

  await pane(page).getByRole("radio", { name: "As received" }).click();
  await expect(read).not.toContainText("mso-line-height-rule");
  await expect(read).toContainText("Tamsin Okafor");
});

test("a file is opened from disk, changed and saved back to it, declared as UTF-8", async ({ page }) => {
  // The browser's own choice of a file cannot be pressed here: it answers with one of the browser's private disk.
  await page.addInitScript(() => {
    const picked = async (): Promise<FileSystemFileHandle> => {
      const folder = await navigator.storage.getDirectory();
      return folder.getFileHandle("last-year.html", { create: true });
    };
    Object.assign(window, {
      showOpenFilePicker: async () => [await picked()],
      showSaveFilePicker: picked,
    });
  });
  await openSource(page, "Short, for answers");
  const onDisk = (): Promise<string> =>
    page.evaluate(async () => {
      const folder = await navigator.storage.getDirectory();
      return (await (await folder.getFileHandle("last-year.html")).getFile()).text();
    });
  await page.evaluate(async () => {
    const folder = await navigator.storage.getDirectory();
    const file = await (await folder.getFileHandle("last-year.html", { create: true })).createWritable();
    await file.write('<table><tr><td style="color:#112233">Søren Vale, archivist</td></tr></table>');
    await file.close();
  });
  const file = pane(page).getByRole("button", { name: "File", exact: true });
  await file.click();
  await page.getByRole("menuitem", { name: "Open a file from disk…" }).click();
  await expect(sheet(page)).toHaveText(/Søren Vale, archivist/);
  await expect(line(page, "Søren Vale, archivist").first()).toBeVisible();
  await caretBefore(page, "Søren Vale, archivist", "archivist");
  await page.keyboard.type("the ");
  await expect(sheet(page)).toHaveText(/Søren Vale, the archivist/);
  await file.click();
  await page.getByRole("menuitem", { name: "Save back to last-year.html" }).click();
  await expect(page.getByText("Saved to last-year.html.")).toBeVisible();
  const written = await onDisk();
  expect(written).toContain("Søren Vale, the archivist");
  expect(written).toContain("charset=utf-8");
  expect(written.startsWith("<!DOCTYPE html>")).toBe(true);
});

test("the source passes axe, is reached by the key that goes through areas, and switches with the sheet where it is narrow", async ({
  page,
}) => {
  await openSource(page);
  const { violations } = await new AxeBuilder({ page }).exclude("iframe").analyze();
  expect(violations).toEqual([]);
  await cell(page, 1, 2).locator("p").first().click();
  await page.keyboard.press("F6");
  await expect(code(page)).toBeFocused();
  await page.setViewportSize({ width: 900, height: 800 });
  await expect(sheet(page)).toBeHidden();
  await expect(code(page)).toBeVisible();
  await page.keyboard.press("F8");
  await expect(sheet(page)).toBeVisible();
  await expect(pane(page)).toHaveCount(0);
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(900);
});
