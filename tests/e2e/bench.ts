/** Doing on the Bench what a person does. */
import { expect, type Locator, type Page } from "@playwright/test";
import { addressOf, endpoints } from "@/contract";

export const cell = (page: Page, row: number, column: number): Locator =>
  page
    .locator(".signature-editor .ProseMirror > table > tbody > tr")
    .nth(row - 1)
    .locator("> td")
    .nth(column - 1);

/** The frame of a stand-in's proof on the strip; the least still may be of the same kind, and stands last. */
export const proofFrame = (page: Page, standIn: string): Locator =>
  page.locator(`[data-stand-in="${standIn}"] iframe`).first();

/** The body of a stand-in's proof on the strip. */
export const proof = (page: Page, standIn: string) =>
  proofFrame(page, standIn).contentFrame().locator("body");

/** Starts a blank signature by dragging over the grid, and waits for its Bench. */
export async function startBlank(page: Page, rows = 1, columns = 2, server = ""): Promise<void> {
  await page.goto(`${server}/start`);
  await page.locator(`[data-row="${rows}"][data-column="${columns}"]`).click();
  await expect(page.getByRole("textbox", { name: "Signature", exact: true })).toBeVisible();
}

/** Waits until what is on the sheet is confirmed as saved at a later version than `after`. */
export async function waitUntilSaved(page: Page, after: number): Promise<number> {
  const status = page.getByRole("status").filter({ hasText: "version" });
  await expect
    .poll(async () => {
      const text = (await status.textContent().catch(() => "")) ?? "";
      return Number(/version (\d+)/.exec(text)?.[1] ?? 0);
    })
    .toBeGreaterThan(after);
  return Number(/version (\d+)/.exec((await status.textContent())!)![1]);
}

/** Types an exact number into a measure. */
export async function setMeasure(page: Page, name: string, value: string): Promise<void> {
  const field = page.getByRole("textbox", { name, exact: true });
  await field.fill(value);
  await field.press("Enter");
}

/**
 * Chooses one of the words of a field. A long list settles its place a moment after it has opened; a click in that
 * moment falls beside the word, and a person clicks again.
 */
export async function choose(field: Locator, name: string | RegExp): Promise<void> {
  const list = field.page().getByRole("listbox");
  await field.click();
  await expect(async () => {
    await list.getByRole("option", { name, exact: true }).click({ timeout: 3000 });
    await expect(list).toBeHidden({ timeout: 2000 });
  }).toPass();
}

/** Chooses a font from the field with a label. */
export async function chooseFont(page: Page, label: string, family: string): Promise<void> {
  await page.getByRole("button", { name: new RegExp(`^${label}: `) }).click();
  await page
    .getByRole("dialog", { name: label, exact: true })
    .getByRole("button", { name: family, exact: true })
    .click();
}

/** Tabs until something with the accessible name has the focus. */
export async function tabTo(page: Page, name: string | RegExp): Promise<void> {
  for (let presses = 0; presses < 500; presses++) {
    await page.keyboard.press("Tab");
    const label = await page.evaluate(() => {
      const element = document.activeElement as HTMLElement | null;
      if (!element) return "";
      const labelled = (element as HTMLInputElement).labels?.[0]?.textContent;
      return element.getAttribute("aria-label") ?? labelled ?? element.textContent ?? "";
    });
    if (typeof name === "string" ? label.trim() === name : name.test(label)) return;
  }
  throw new Error(`Tab never reached ${name}`);
}

/** Puts a part in at the cursor by clicking it in the panel. */
export const insertPart = (page: Page, name: string): Promise<void> =>
  page.getByRole("complementary", { name: "Parts" }).getByRole("button", { name, exact: true }).click();

/** The Shelf with what is called so: of many signatures only those in view are in the page. */
export const shelfOf = (name: string): string => `/?look=${encodeURIComponent(name)}`;

/** Pictures with what is called so. */
export const picturesOf = (name: string): string => `/pictures?look=${encodeURIComponent(name)}`;

/** Opens a copy of a demo signature on its Bench, so that other tests find the demo as it was. */
export async function openCopy(page: Page, name: string): Promise<void> {
  await page.goto(shelfOf(name));
  const path = (await page.getByRole("link", { name, exact: true }).getAttribute("href"))!;
  const answer = await page.request.post(`/api${path}/duplicate`);
  const { id } = (await answer.json()) as { id: string };
  // Under a name of its own: other tests count on what a copy is called.
  await page.request.patch(`/api/signatures/${id}`, { data: { name: `${name}, tried` } });
  await page.goto(`/signatures/${id}`);
  await expect(page.getByRole("textbox", { name: "Signature", exact: true })).toBeVisible();
}

/** The document of the signature whose Bench is open, as it is saved. */
export async function savedDocument(page: Page): Promise<unknown> {
  const [, id] = /signatures\/([^/#?]+)/.exec(page.url()) ?? [];
  const answer = await page.request.get(`/api/signatures/${id ?? ""}?after=0`);
  return ((await answer.json()) as { document: unknown }).document;
}

/**
 * Moves one of a list by its grip and an arrow key, from one place to the next; `thing` is what is read out, such as
 * "Frame 1". A key in the very moment of picking up may come before the places are measured; a person presses it again.
 */
export async function moveByKey(
  page: Page,
  grip: Locator,
  thing: string,
  arrow: "ArrowUp" | "ArrowRight",
  to: number,
): Promise<void> {
  await grip.focus();
  await page.keyboard.press("Space");
  await expect(page.getByText(new RegExp(`^${thing} is (picked up|at place)`))).toBeAttached();
  await expect(async () => {
    await page.keyboard.press(arrow);
    await expect(page.getByText(`${thing} is at place ${to}.`)).toBeAttached({ timeout: 3000 });
  }).toPass();
  await page.keyboard.press("Space");
}

/** The address of a hosted picture of the demo, as the Shelf shows it. */
export async function hostedPicture(page: Page): Promise<string> {
  await page.goto(shelfOf("Full"));
  const source = await page
    .getByRole("link", { name: "Open Full", exact: true })
    .locator("iframe")
    .contentFrame()
    .locator("img[src*='/h/']")
    .first()
    .getAttribute("src");
  return source ?? "";
}

/** A line that was idle may have been closed by the server just as it is asked on again. */
export const idle = { maxRetries: 3 };

/** What the address of somebody's own page ends with; it is made where there is none. */
export async function secretOf(page: Page, id: string): Promise<string> {
  const answer = await page.request.post(addressOf(endpoints.makePage, { id }), idle);
  return ((await answer.json()) as { secret: string }).secret;
}
