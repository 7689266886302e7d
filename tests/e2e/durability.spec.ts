import path from "node:path";
import type { Page } from "@playwright/test";
import { expect, test } from "./test";
import { cell, proof, setMeasure, shelfOf, startBlank, waitUntilSaved } from "./bench";
import { fillDemo, serverPort, startServer } from "./server";

test("killing the server in the middle of typing loses nothing that was shown as saved, nor what was typed after", async ({
  page,
}) => {
  const data = path.resolve(".still-line/e2e-kill");
  const port = serverPort + 1;
  await fillDemo(data, port);
  let server = await startServer(data, port);
  try {
    await startBlank(page, 1, 2, server.address);
    await cell(page, 1, 2).click();
    await page.keyboard.type("Saved before the crash.", { delay: 5 });
    await waitUntilSaved(page, 1);
    const address = page.url();

    const typing = page.keyboard.type(" Typed while it died.", { delay: 25 });
    await page.waitForTimeout(150);
    await server.kill();
    await typing;
    await expect(page.getByRole("status").filter({ hasText: "Not saved yet" })).toBeVisible();

    // Another window sees at least what was shown as saved, straight from the database.
    server = await startServer(data, port);
    const other = await page.context().newPage();
    await other.goto(address);
    await expect(other.locator(".signature-editor")).toContainText("Saved before the crash.");
    await other.close();

    // The first window catches up by itself.
    await expect(page.getByRole("status").filter({ hasText: "Saved · version" })).toBeVisible();
    await page.reload();
    await expect(page.locator(".signature-editor")).toContainText(
      "Saved before the crash. Typed while it died.",
    );
  } finally {
    await server.kill();
  }
});

test("what was typed and not saved comes back when the page is opened again", async ({ page }) => {
  await startBlank(page);
  await cell(page, 1, 2).click();
  await page.keyboard.type("First");
  await waitUntilSaved(page, 1);
  await page.route("**/api/signatures/**", (route) => route.abort());
  await page.keyboard.type(" and second");
  await expect(page.getByRole("status").filter({ hasText: "Not saved yet" })).toBeVisible();
  await page.unroute("**/api/signatures/**");
  await page.reload();
  await expect(page.locator(".signature-editor")).toContainText("First and second");
  await waitUntilSaved(page, 2);
});

test("what was typed and not saved is not lost to what another window saved meanwhile: both are shown", async ({
  page,
}) => {
  await startBlank(page);
  await page.route("**/api/signatures/**", (route) => route.abort());
  await cell(page, 1, 2).click();
  await page.keyboard.type("Typed on the train");
  await expect(page.getByRole("status").filter({ hasText: "Not saved yet" })).toBeVisible();
  const other = await page.context().newPage();
  await other.goto(page.url());
  await cell(other, 1, 2).click();
  await other.keyboard.type("Typed at the desk");
  await waitUntilSaved(other, 1);
  await other.close();

  await page.unroute("**/api/signatures/**");
  await page.reload();
  const dialog = page.getByRole("alertdialog");
  await expect(dialog.locator("iframe").first().contentFrame().locator("body")).toContainText("on the train");
  await expect(dialog.locator("iframe").nth(1).contentFrame().locator("body")).toContainText("at the desk");
  await dialog.getByRole("button", { name: "Go on with the saved one" }).click();
  await expect(page.locator(".signature-editor")).toContainText("Typed at the desk");
});

test("two windows on one signature: each takes what the other saved, and changes to different cells are merged", async ({
  page,
}) => {
  await startBlank(page);
  const second = await page.context().newPage();
  await second.goto(page.url());
  await expect(second.locator(".signature-editor")).toBeVisible();
  await cell(page, 1, 1).click();
  await page.keyboard.type("Ada Quill");
  await waitUntilSaved(page, 1);
  await expect(cell(second, 1, 1)).toHaveText("Ada Quill");

  // Both have something unsaved: the second may only send it once the first has saved.
  await second.route("**/api/signatures/**", (route) => route.abort());
  await cell(second, 1, 2).click();
  await second.keyboard.type("Archivist");
  await expect(second.getByRole("status").filter({ hasText: "Not saved yet" })).toBeVisible();
  await page.keyboard.type(" of Harrow Fen");
  await waitUntilSaved(page, 2);
  await second.unroute("**/api/signatures/**");
  await expect(cell(second, 1, 1)).toHaveText("Ada Quill of Harrow Fen");
  await expect(cell(page, 1, 2)).toHaveText("Archivist");
  await waitUntilSaved(second, 3);

  // The caret stands where it was, and undo takes back only what was done here.
  await second.keyboard.type("!");
  await expect(cell(second, 1, 2)).toHaveText("Archivist!");
  await second.keyboard.press("ControlOrMeta+z");
  await expect(cell(second, 1, 1)).toHaveText("Ada Quill of Harrow Fen");
  await expect(cell(second, 1, 2)).not.toContainText("Archivist!");
  await page.goto("/");
  await expect(page.getByRole("region", { name: /waits? for you/ })).toBeHidden();
});

test("two windows on one line: the second to save sees both and chooses; the other is kept among the versions", async ({
  page,
}) => {
  await startBlank(page);
  await page.getByRole("textbox", { name: "Name of the signature" }).fill("Contested");
  await page.keyboard.press("Enter");
  await expect(page).toHaveTitle(/^Contested/);
  const second = await page.context().newPage();
  await second.goto(page.url());
  await second.route("**/api/signatures/**", (route) => route.abort());
  await cell(second, 1, 2).click();
  await second.keyboard.type("Typed in the second window");
  await expect(second.getByRole("status").filter({ hasText: "Not saved yet" })).toBeVisible();
  await cell(page, 1, 2).click();
  await page.keyboard.type("Typed in the first window");
  await waitUntilSaved(page, 1);
  await second.unroute("**/api/signatures/**");

  const dialog = second.getByRole("alertdialog", { name: "Two versions of “Contested”" });
  await expect(dialog).toBeVisible();
  await expect(dialog.locator("iframe").first().contentFrame().locator("body")).toContainText(
    "second window",
  );
  await expect(dialog.locator("iframe").nth(1).contentFrame().locator("body")).toContainText("first window");
  await dialog.getByRole("button", { name: "Go on with yours" }).click();
  await expect(dialog).toBeHidden();
  // A key that is pressed at once is not lost.
  await second.keyboard.type(".");
  await waitUntilSaved(second, 3);
  await expect(cell(page, 1, 2)).toHaveText("Typed in the second window.");

  await second.getByRole("button", { name: "Versions" }).click();
  const versions = second.getByRole("dialog", { name: /Versions/ });
  await expect(versions).toContainText("The other of two versions");
  await page.goto(shelfOf("Contested"));
  await expect(page.getByRole("link", { name: "Open Contested", exact: true })).toBeVisible();
  await expect(page.getByRole("link", { name: /Open Contested, other/ })).toBeHidden();
});

test("Links saves over nobody's work: what overlaps is shown beside what is saved, and waits on the Shelf until somebody chooses", async ({
  page,
}) => {
  await startBlank(page);
  await page.getByRole("textbox", { name: "Name of the signature" }).fill("Undecided");
  await page.keyboard.press("Enter");
  await expect(page).toHaveTitle(/^Undecided/);
  const bench = page.url();
  await cell(page, 1, 2).click();
  await page.keyboard.type("harrowfen.example");
  await waitUntilSaved(page, 1);

  const campaign = async (window: Page, name: string): Promise<void> => {
    await window.getByRole("radio", { name: "All links" }).click();
    await window.getByRole("textbox", { name: "Source" }).fill("letters");
    await window.getByRole("textbox", { name: "Medium" }).fill("mail");
    await window.getByRole("textbox", { name: "Campaign" }).fill(name);
    await window.getByRole("button", { name: "Add them" }).click();
  };
  const links = await page.context().newPage();
  await links.goto(`${bench}/links`);
  await links.route("**/api/signatures/**", (route) => route.abort());
  await campaign(links, "spring");
  await expect(links.getByRole("status").filter({ hasText: "Not saved yet" })).toBeVisible();
  await page.goto(`${bench}/links`);
  await campaign(page, "summer");
  await waitUntilSaved(page, 2);
  await links.unroute("**/api/signatures/**");
  await expect(links.getByRole("alertdialog", { name: "Two versions of “Undecided”" })).toBeVisible();
  await links.close();

  await page.goto("/");
  const waiting = page.getByRole("region", { name: "A version waits for you" });
  await expect(waiting).toContainText("Undecided");
  await expect(waiting.locator("iframe").contentFrame().locator("body")).toContainText("harrowfen.example");
  await waiting.getByRole("button", { name: "Put it on the Shelf: Undecided" }).click();
  await expect(waiting).toBeHidden();
  await expect(page.getByRole("link", { name: "Open Undecided, other version" })).toBeVisible();
  await expect(page.getByRole("link", { name: "Open Undecided", exact: true })).toBeVisible();
});

test("undo and redo go over typing, measures and a dragged border, one gesture at a time", async ({
  page,
}) => {
  await startBlank(page);
  await cell(page, 1, 2).click();
  await page.keyboard.type("Ada Quill");
  await setMeasure(page, "Padding left", "20");
  const handle = page.getByRole("slider", { name: "Border after column 1" });
  const box = (await handle.boundingBox())!;
  await page.mouse.move(box.x + 4, box.y + 4);
  await page.mouse.down();
  await page.mouse.move(box.x - 16, box.y + 4, { steps: 8 });
  await page.mouse.up();
  await expect(handle).toHaveAttribute("aria-valuenow", "90");

  const undo = page.getByRole("button", { name: "Undo" });
  await undo.click();
  await expect(handle).toHaveAttribute("aria-valuenow", "110");
  const second = proof(page, "webmail-inline").locator("td").nth(1);
  await expect(second).toHaveCSS("padding-left", "20px");
  await undo.click();
  await expect(second).toHaveCSS("padding-left", "12px");
  // Letters that came slowly, as on a busy machine, are more than one gesture.
  const redo = page.getByRole("button", { name: "Redo" });
  const all = async (button: typeof undo): Promise<void> =>
    expect(async () => {
      if (await button.isEnabled()) await button.click();
      await expect(button).toBeDisabled({ timeout: 500 });
    }).toPass();
  await all(undo);
  await expect(page.locator(".signature-editor")).not.toContainText("Ada");
  await all(redo);
  await expect(handle).toHaveAttribute("aria-valuenow", "90");
  await expect(page.locator(".signature-editor")).toContainText("Ada Quill");
});

test("while the server is away, going elsewhere shows a page that waits and goes on, and nothing typed is lost", async ({
  browser,
}) => {
  const data = path.resolve(".still-line/e2e-away");
  const port = serverPort + 2;
  await fillDemo(data, port);
  let server = await startServer(data, port);
  const context = await browser.newContext({ serviceWorkers: "allow" });
  try {
    const page = await context.newPage();
    await page.goto(server.address);
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready;
    });
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await startBlank(page, 1, 2, server.address);
    await cell(page, 1, 2).click();
    await page.keyboard.type("Typed before.");
    await waitUntilSaved(page, 1);
    await server.kill();
    await page.keyboard.type(" Typed while it was away.");
    await expect(page.getByRole("status").filter({ hasText: "Not saved yet" })).toBeVisible();
    await page.getByRole("link", { name: /^Links/ }).click();
    await expect(page.getByRole("heading", { name: "Still Line does not answer" })).toBeVisible();
    server = await startServer(data, port);
    await expect(page.getByRole("heading", { name: "Links", exact: true })).toBeVisible();
    await page.getByRole("link", { name: /^Build/ }).click();
    await expect(page.locator(".signature-editor")).toContainText("Typed before. Typed while it was away.");
  } finally {
    await context.close();
    await server.kill();
  }
});
