import AxeBuilder from "@axe-core/playwright";
import type { Locator, Page } from "@playwright/test";
import { cell, proof, setMeasure, startBlank, choose } from "./bench";
import { expect, test } from "./test";

/** Begins a signature of one cell whose text is selected, and opens its link. */
async function startLink(page: Page, said: string): Promise<Locator> {
  await startBlank(page, 1, 1);
  await cell(page, 1, 1).click();
  await page.keyboard.type(said);
  return openLink(page);
}

async function openLink(page: Page): Promise<Locator> {
  const link = page.getByRole("button", { name: "Link", exact: true });
  // Until the sheet has the focus back from what was open over it.
  await expect(async () => {
    await cell(page, 1, 1).click();
    await page.keyboard.press("Control+A");
    await expect(link).toBeEnabled({ timeout: 1000 });
  }).toPass();
  await link.click();
  return page.getByRole("dialog", { name: "Link" });
}

/** Where the one link of the signature leads in what is compiled. */
const href = (page: Page): Promise<string | null> =>
  proof(page, "webmail-inline").locator("a").first().getAttribute("href");

test("a link is a letter, a call, a text message, a place, an event, a contact card or a file", async ({
  page,
}) => {
  let dialog = await startLink(page, "Seeds");
  const kind = (): Locator => dialog.getByRole("combobox", { name: "Leads to" });
  const set = (): Promise<void> => dialog.getByRole("button", { name: "Set link" }).click();

  await choose(kind(), "a letter to write");
  await dialog.getByRole("textbox", { name: "To" }).fill("desk@harrowfen");
  await set();
  await expect(dialog.getByRole("alert")).toHaveText("“desk@harrowfen” is no mail address.");
  await dialog.getByRole("textbox", { name: "To" }).fill("desk@harrowfen.example");
  await dialog.getByRole("textbox", { name: "Subject" }).fill("Seed list & dates");
  await dialog.getByRole("textbox", { name: "How the letter begins" }).fill("Dear library,\nplease");
  await set();
  await expect
    .poll(() => href(page))
    .toBe(
      "mailto:desk@harrowfen.example?subject=Seed%20list%20%26%20dates&body=Dear%20library%2C%0D%0Aplease",
    );

  dialog = await openLink(page);
  // What it is comes back as it was written.
  await expect(dialog.getByRole("textbox", { name: "Subject" })).toHaveValue("Seed list & dates");
  await choose(kind(), "a phone call");
  await dialog.getByRole("textbox", { name: "Number" }).fill("+44 (0)1632 960100 ext. 12");
  await set();
  await expect.poll(() => href(page)).toBe("tel:+441632960100;ext=12");

  dialog = await openLink(page);
  await choose(kind(), "a text message");
  await dialog.getByRole("textbox", { name: "Number" }).fill("0044 7700 900123");
  await dialog.getByRole("textbox", { name: "How the message begins" }).fill("Seed swap?");
  await set();
  await expect.poll(() => href(page)).toBe("sms:+447700900123?body=Seed%20swap%3F");

  dialog = await openLink(page);
  await choose(kind(), "a place on a map");
  await expect(dialog.getByRole("textbox", { name: "Address, or latitude" })).toHaveValue(
    /The Old Malthouse/,
  );
  await dialog.getByRole("textbox", { name: "Address, or latitude" }).fill("52.4712, 0.1093");
  await set();
  await expect.poll(() => href(page)).toBe("https://fenmap.example/?at=52.4712%2C0.1093");

  dialog = await openLink(page);
  await choose(kind(), "an event for the calendar");
  await dialog.getByRole("textbox", { name: "Title" }).fill("Open Store Weekend");
  await dialog.getByRole("textbox", { name: "Begins" }).fill("June");
  await set();
  await expect(dialog.getByRole("alert")).toContainText("Say on which day it begins");
  await dialog.getByRole("textbox", { name: "Begins" }).fill("2027-06-12");
  await dialog.getByRole("textbox", { name: "Ends" }).fill("2027-06-13");
  await set();
  await expect.poll(() => href(page)).toMatch(/\/h\/[0-9a-f]{20}\/open-store-weekend\.ics$/);
  const calendar = await page.request.get(new URL((await href(page))!, page.url()).pathname);
  expect(calendar.headers()["content-type"]).toContain("text/calendar");
  expect(await calendar.text()).toContain("DTSTART;VALUE=DATE:20270612");

  dialog = await openLink(page);
  await choose(kind(), "a contact card");
  await choose(dialog.getByRole("combobox", { name: "Of" }), "Tamsin Okafor");
  await set();
  await expect.poll(() => href(page)).toMatch(/\/tamsin-okafor\.vcf$/);
  const card = await page.request.get(new URL((await href(page))!, page.url()).pathname);
  expect(card.headers()["content-type"]).toContain("text/vcard");
  expect(await card.text()).toMatch(/^BEGIN:VCARD\r\nVERSION:4\.0\r\nFN:Tamsin Okafor\r\n/);

  dialog = await openLink(page);
  await choose(kind(), "a file");
  const picker = dialog.locator("input[type=file]");
  await picker.setInputFiles({
    name: "page.html",
    mimeType: "text/html",
    buffer: Buffer.from("<script></script>"),
  });
  await expect(dialog.getByRole("alert")).toContainText("is of no kind that is hosted here");
  await picker.setInputFiles({
    name: "Seed List.pdf",
    mimeType: "application/pdf",
    buffer: Buffer.from("%PDF-1.4"),
  });
  await expect.poll(() => href(page)).toMatch(/\/seed-list\.pdf$/);
  const { violations } = await new AxeBuilder({ page }).exclude("iframe").analyze();
  expect(violations.map(({ id }) => id)).toEqual([]);
});

test("what is pasted is mended and said, what follows the reader is offered to be taken out, scripts never get in", async ({
  page,
}) => {
  const dialog = await startLink(page, "Visit");
  const field = dialog.getByRole("textbox", { name: "Address", exact: true });
  await field.fill("java\tscript:alert(1)");
  await page.keyboard.press("Enter");
  await expect(dialog.getByRole("alert")).toContainText("A link can lead to a page");
  await field.fill("“https://HarrowFen.example/visit?day=12&utm_source=letter”");
  await expect(dialog.getByText("utm_source follows who opens it.")).toBeVisible();
  await dialog.getByRole("button", { name: "Take it out" }).click();
  await expect(field).toHaveValue("https://harrowfen.example/visit?day=12");
  await field.fill("www.harrowfen.example/visit.");
  await dialog.getByRole("button", { name: "Set link" }).click();
  await expect(
    page.getByText(/https:\/\/ is put before it\..* It is https:\/\/www\.harrowfen\.example\/visit now\./),
  ).toBeVisible();
  await expect.poll(() => href(page)).toBe("https://www.harrowfen.example/visit");
});

test("one link has a colour and an underline of its own", async ({ page }) => {
  let dialog = await startLink(page, "Visit");
  await dialog.getByRole("textbox", { name: "Address", exact: true }).fill("harrowfen.example");
  await page.keyboard.press("Enter");
  dialog = await openLink(page);
  await setMeasure(page, "Colour of this link", "#A3262A");
  await choose(dialog.getByRole("combobox", { name: "Underline" }), "always");
  const link = proof(page, "webmail-inline").locator("a").first();
  await expect(link).toHaveAttribute("style", /color:#A3262A;text-decoration:underline/);
  await choose(dialog.getByRole("combobox", { name: "Underline" }), "as all links");
  await expect(link).toHaveAttribute("style", /color:#A3262A;text-decoration:none/);
});
