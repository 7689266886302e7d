/** A Shelf and a library that are longer than a window: only what is in view is in the page, and all of it can be reached. */
import path from "node:path";
import type { Page } from "@playwright/test";
import { shelfOf, tabTo } from "./bench";
import { fillDemo, serverPort, startServer, type TestServer } from "./server";
import { expect, test } from "./test";

const port = serverPort + 7;
const copies = 60;

let server: TestServer;

test.beforeAll(async ({ request }) => {
  const data = path.resolve(".still-line/e2e-large");
  await fillDemo(data, port);
  server = await startServer(data, port);
  const shelf = await (await request.get(`${server.address}${shelfOf("Full")}`)).text();
  const [, id] = /\/signatures\/([^"/]+)"/.exec(shelf) ?? [];
  for (let at = 0; at < copies; at += 1) {
    const made = await request.post(`${server.address}/api/signatures/${id ?? ""}/duplicate`);
    const { id: copy } = (await made.json()) as { id: string };
    const name = `Shelf place ${String(at).padStart(3, "0")}`;
    await request.patch(`${server.address}/api/signatures/${copy}`, { data: { name } });
  }
});

test.afterAll(() => server.kill());

const items = (page: Page) => page.getByRole("listitem");
const headings = (page: Page) => page.getByRole("main").getByRole("heading", { level: 2 });

test("a long Shelf holds what is in view, and its end is reached by scrolling and by keys", async ({
  page,
}) => {
  await page.goto(`${server.address}/?order=name`);
  await expect(headings(page).first()).toHaveText("From last year");
  expect(await items(page).count()).toBeLessThan(20);
  await expect(items(page).first()).toHaveAttribute("aria-setsize", String(copies + 7));

  // Each row comes as the page is scrolled, and the last is the last of all.
  const last = page.getByRole("heading", { name: "Short, for answers", exact: true });
  await expect(async () => {
    await page.mouse.wheel(0, 4000);
    await expect(last).toBeVisible({ timeout: 500 });
  }).toPass();
  await expect(items(page).last()).toHaveAttribute("aria-posinset", String(copies + 7));
  expect(await items(page).count()).toBeLessThan(20);

  // By keys: the next row is always there, and what has the focus stays.
  await page.goto(`${server.address}/?order=name`);
  await tabTo(page, "Open Shelf place 020");
  await expect(page.getByRole("link", { name: "Open Shelf place 020" })).toBeInViewport();
  await page.evaluate(() => scrollTo(0, 0));
  await expect(headings(page).first()).toHaveText("From last year");
  await expect(page.getByRole("link", { name: "Open Shelf place 020" })).toBeFocused();
});

test("what is looked for is found wherever it stands, and comes back with the page's address", async ({
  page,
}) => {
  await page.goto(server.address);
  const looked = page.getByRole("searchbox", { name: "Look for a signature" });
  await looked.fill("place 017");
  await expect(page.getByText(`1 of ${copies + 7} signatures`)).toBeVisible();
  await expect(headings(page)).toHaveText(["Shelf place 017"]);
  await page.reload();
  await expect(looked).toHaveValue("place 017");
  await expect(headings(page)).toHaveText(["Shelf place 017"]);
  await page.getByRole("link", { name: "Open Shelf place 017" }).click();
  await expect(page.getByRole("textbox", { name: "Name of the signature" })).toHaveValue("Shelf place 017");
  await page.goBack();
  await expect(headings(page)).toHaveText(["Shelf place 017"]);
});

test("a card that is far down is renamed and deleted, and shows what is so at once", async ({ page }) => {
  await page.goto(`${server.address}/?order=name`);
  await tabTo(page, "Rename Shelf place 030");
  await page.keyboard.press("Enter");
  await page.keyboard.insertText("Shelf place 030, renamed");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Shelf place 030, renamed" })).toBeVisible();
  await page.getByRole("button", { name: "Delete Shelf place 030, renamed" }).click();
  await expect(page.getByRole("heading", { name: "Shelf place 030, renamed" })).toBeHidden();
  await page.getByRole("button", { name: "Take it back" }).click();
  await expect(page.getByRole("heading", { name: "Shelf place 030, renamed" })).toBeVisible();
});

test("a picture is looked for by its name and by that of a cut", async ({ page }) => {
  await page.goto(`${server.address}/pictures`);
  const looked = page.getByRole("searchbox", { name: "Look for a picture" });
  await looked.fill("uzel");
  await expect(page.getByRole("link", { name: "Cut bram-uzel.jpg" })).toBeVisible();
  await expect(page.getByText(/^1 of \d+ originals$/)).toBeVisible();
  await looked.fill("tamsin");
  const used = page.getByRole("button", { name: /^and \d+ more$/ }).first();
  await used.click();
  await expect(page.getByText(/Shelf place 000, .*Shelf place 059/).first()).toBeVisible();
  await looked.fill("no such picture");
  await page.getByRole("button", { name: "Show all of them" }).click();
  await expect(looked).toHaveValue("");
  await expect(items(page).nth(3)).toBeVisible();
});
