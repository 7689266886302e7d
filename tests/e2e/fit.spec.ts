/** Proof, Everybody: whose details fit, how high and how still it is for each, and lines that are mended for all of them. */
import AxeBuilder from "@axe-core/playwright";
import type { Locator, Page } from "@playwright/test";
import { readFileSync } from "node:fs";
import { fitOf } from "@/core/fit";
import { readPerson, type Person } from "@/core/people";
import { parseSignature } from "@/core/signature";
import { openCopy, savedDocument } from "./bench";
import { expect, test } from "./test";

/** What is said of everybody, for a copy of the full signature. */
async function openEverybody(page: Page): Promise<void> {
  await openCopy(page, "Full");
  await page.goto(`${new URL(page.url()).pathname}/proof`);
  await page.getByRole("button", { name: "Everybody" }).click();
}

/** On how many lines some text is drawn. */
const drawnOn = (text: Locator): Promise<number> =>
  text.evaluate((element) => {
    const range = document.createRange();
    range.selectNodeContents(element);
    return new Set([...range.getClientRects()].map(({ top }) => Math.round(top))).size;
  });

test("a bar of the fit shows on the Bench whose it is", async ({ page }) => {
  await openEverybody(page);
  const chart = page.getByRole("img", { name: /^Height: / });
  await chart.locator(".recharts-bar-rectangle").nth(1).hover();
  await expect(chart.getByText("Chloé Abernathy-Nkemelu: 230 px")).toBeVisible();
  await chart.locator(".recharts-bar-rectangle").nth(1).click();
  await expect(page.getByRole("combobox", { name: "drawn for" })).toHaveText("Chloé Abernathy-Nkemelu");
  await expect(page.locator(".signature-editor").getByText("Schools Programme Lead").first()).toBeVisible();
});

test("everybody's details are tried, and who does not fit is opened on the Bench where the line stands", async ({
  page,
}) => {
  await openEverybody(page);
  await expect(page.getByText(/^\d+ of \d+ fit$/)).toBeVisible();
  await expect(
    page.getByRole("img", { name: /^Height: Most come out \d+ px high, and \d+ higher\.$/ }),
  ).toBeVisible();
  await expect(page.getByRole("img", { name: /^Fullest line: \d+ have a line/ })).toBeVisible();
  const wraps = page.getByRole("region", { name: "Whose lines wrap or stick out" });
  await expect(wraps.getByRole("listitem").first()).toContainText("Maximiliana Oyelaran-Featherstonehaugh");
  await expect(wraps).toContainText("2 lines: 317.4 px in 289 px");
  await expect(wraps.getByRole("listitem").first()).toContainText("58 px higher");
  // Everybody's proofs are drawn one after the other, and none is left out.
  const still = page.getByRole("region", { name: /^Still in every proof for \d+ of \d+ people$/ });
  await expect(still.getByRole("progressbar")).toBeHidden({ timeout: 60_000 });
  // What was laid out without a browser is what the wall draws.
  await expect(still.getByRole("listitem")).toContainText("26 of 28");
  await still.getByRole("button", { name: "See the proofs of Ravindra Chandrasekharan Iyer" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Still in 26 of 28");
  await page.getByRole("button", { name: "Everybody" }).click();
  const { violations } = await new AxeBuilder({ page }).exclude("iframe").analyze();
  expect(violations.map(({ id: rule, nodes }) => `${rule}: ${nodes[0]?.html}`)).toEqual([]);
  await wraps.getByRole("button", { name: /^Deputy Head of Long-Term/ }).click();
  await expect(page.getByRole("combobox", { name: "drawn for" })).toHaveText(
    "Maximiliana Oyelaran-Featherstonehaugh",
  );
  await expect(page.getByText(/^line \d+$/).first()).toBeVisible();
  // It really takes two lines there.
  const title = page.locator(".signature-editor").getByText("Deputy Head of Long-Term").first();
  await expect.poll(() => drawnOn(title)).toBe(2);
});

test("the Bench says for how many it does not fit as it is built, and tries them, by mouse and by keyboard", async ({
  page,
}) => {
  await openCopy(page, "Full");
  const mark = page.getByRole("button", { name: /^(\d+ do(es)? not fit|all fit)$/ });
  const number = async (): Promise<number> => Number.parseInt(await mark.innerText(), 10) || 0;
  const said = page.getByRole("dialog", { name: "Whose details fit" });
  await mark.click();
  const { violations } = await new AxeBuilder({ page }).include("[role=dialog]").analyze();
  expect(violations.map(({ id: rule, nodes }) => `${rule}: ${nodes[0]?.html}`)).toEqual([]);
  await said.getByRole("button", { name: /^Schools Programme Lead/ }).click();
  await expect(said).toBeHidden();
  await expect(page.getByRole("button", { name: "tried with Chloé Abernathy-Nkemelu" })).toBeVisible();
  const title = page.locator(".signature-editor").getByText("Schools Programme Lead").first();
  await expect.poll(() => drawnOn(title)).toBe(2);
  await expect(
    page.getByRole("navigation", { name: "What is selected" }).locator("[aria-current]"),
  ).toHaveText("line 2");

  // A column that is wider: as it is typed, and not only where everybody is looked at.
  const before = await number();
  const width = page.getByLabel("Width of column 2");
  await width.fill("330");
  await width.press("Enter");
  await expect.poll(number).toBeLessThan(before);
  const after = await number();
  await expect.poll(async () => (await tightLines(page)).length).toBeGreaterThan(0);

  await mark.focus();
  await page.keyboard.press("Enter");
  await expect(said.getByRole("button").first()).toBeFocused();
  await page.keyboard.press("Escape");
  await expect(mark).toBeFocused();
  await page.keyboard.press("Enter");
  await said.getByRole("link", { name: "Everybody, and what would make them fit" }).press("Enter");
  const [fitting, all] = (
    await page
      .getByRole("status")
      .filter({ hasText: /of \d+ fit$/ })
      .innerText()
  )
    .split(/ of | fit/)
    .map(Number);
  expect(all! - fitting!).toBe(after);
});

const ofDemo = (id: string): Person => readPerson(JSON.parse(readFileSync(`demo/people/${id}.json`, "utf8")));
const maximiliana = ofDemo("maximiliana-featherstonehaugh");
const chloe = ofDemo("chloe-abernathy");

/** What of the saved signature does not fit for somebody. */
async function tightLines(page: Page, person = maximiliana): Promise<readonly string[]> {
  return fitOf(parseSignature(await savedDocument(page)), person).tight.map(({ text }) => text);
}

test("a line that is too long for some is mended after a look at what that does, by mouse and by keyboard", async ({
  page,
}) => {
  await openEverybody(page);
  const numbers = page.getByRole("status").filter({ hasText: /^\d+ of \d+ fit$/ });
  const mends = page.getByRole("region", { name: "What would make them fit" });
  const fitting = async (): Promise<number> => Number.parseInt(await numbers.innerText(), 10);
  const toMend = (text: string): Locator => mends.getByRole("button", { name: `Look and mend ${text}` });
  await expect(toMend("+44 1632 960122")).toBeVisible();
  const before = await fitting();

  await toMend("+44 1632 960122").click();
  const dialog = page.getByRole("dialog", { name: "Make it fit" });
  await dialog.getByRole("radio", { name: /^Two lines, parted at “\|” fits for .*, 18 px higher$/ }).check();
  const drawn = (which: "Now" | "Mended"): Locator =>
    dialog.getByRole("region", { name: which }).locator("iframe").contentFrame().locator("body");
  await expect(drawn("Now")).toContainText("|");
  await expect(drawn("Mended")).not.toContainText("|");
  await expect(drawn("Mended").getByText("maximiliana@harrowfen.example")).toBeVisible();
  const { violations } = await new AxeBuilder({ page }).exclude("iframe").analyze();
  expect(violations.map(({ id: rule, nodes }) => `${rule}: ${nodes[0]?.html}`)).toEqual([]);
  await dialog.getByRole("button", { name: "Mend it" }).click();
  // Whoever strains one line only fits now, and the focus is where that is said.
  await expect.poll(fitting).toBeGreaterThan(before);
  await expect(numbers).toBeFocused();
  await expect(toMend("+44 1632 960122")).toHaveCount(0);

  await toMend("Maximiliana").focus();
  await page.keyboard.press("Enter");
  await expect(dialog.getByRole("radio", { name: /^Type 2 px smaller/ })).toBeFocused();
  await expect.poll(() => drawnOn(drawn("Now").getByText("Maximiliana Oyelaran"))).toBe(2);
  await page.keyboard.press("ArrowDown");
  await expect(dialog.getByRole("radio", { name: /^The column 29 px wider/ })).toBeChecked();
  await expect.poll(() => drawnOn(drawn("Mended").getByText("Maximiliana Oyelaran"))).toBe(1);
  await page.keyboard.press("Tab");
  await page.keyboard.press("Enter");
  await expect(dialog).toBeHidden();
  await expect(toMend("Maximiliana")).toHaveCount(0);
  const long = "Deputy Head of Long-Term Cold Storage, Provenance and Viability Monitoring · Cold Store";
  await expect.poll(() => tightLines(page)).toEqual([long]);

  // Each is a step of its own.
  await page.getByRole("button", { name: "Take the last change back" }).click();
  await expect(toMend("Maximiliana")).toBeVisible();
  await expect.poll(() => tightLines(page)).toEqual([maximiliana.name, long]);

  // Two changes together, where neither helps alone, are one step as well.
  await toMend("Deputy Head").click();
  await dialog
    .getByRole("radio", { name: /^Type 2 px smaller, and two lines, parted at “·” fits for 1 of 2,/ })
    .check();
  await expect(drawn("Mended")).not.toContainText("·");
  await dialog.getByRole("button", { name: "Mend it" }).click();
  await expect.poll(() => tightLines(page, chloe)).toEqual([]);
  await page.getByRole("button", { name: "Take the last change back" }).click();
  await expect.poll(() => tightLines(page, chloe)).toHaveLength(1);
});
