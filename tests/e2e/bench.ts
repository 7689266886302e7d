/** Doing on the Bench what a person does. */
import { expect, type Locator, type Page } from "@playwright/test";

export const cell = (page: Page, row: number, column: number): Locator =>
  page
    .locator(".signature-editor .ProseMirror > table > tbody > tr")
    .nth(row - 1)
    .locator("> td")
    .nth(column - 1);

/** The body of a stand-in's proof on the strip. */
export const proof = (page: Page, standIn: string) =>
  page.locator(`[data-stand-in="${standIn}"] iframe`).contentFrame().locator("body");

/** Starts a blank signature from the Shelf and waits for its Bench. */
export async function startBlank(page: Page): Promise<void> {
  await page.goto("/");
  await page.getByRole("button", { name: "Start a blank 1 × 2" }).click();
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
