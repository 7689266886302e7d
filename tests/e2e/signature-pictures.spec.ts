/** The pictures of one signature: mended where they are listed, and taken from better addresses. */
import { cell, choose, proof, setMeasure, startBlank, waitUntilSaved } from "./bench";
import { expect, test } from "./test";

const share = "https://reedbasket.example";

test("a better address that was found is taken, and that is taken back", async ({ page }) => {
  await startBlank(page, 1, 1);
  await cell(page, 1, 1).click();
  await page.keyboard.press("Alt+Shift+P");
  await page.getByRole("radio", { name: "An address elsewhere" }).click();
  await page.getByLabel("Address of a picture").fill(`${share}/2019/seed-jars.png`);
  await page.getByRole("button", { name: "Look at it" }).click();
  await page.getByRole("button", { name: "Place it" }).click();
  await waitUntilSaved(page, 1);

  // Shown at any size, in its own proportions.
  await setMeasure(page, "Width", "130");
  await expect(page.getByRole("textbox", { name: "Height", exact: true })).toHaveValue("60");
  await setMeasure(page, "Width", "400");
  await expect(page.getByText("It would need 800 ×")).toBeVisible();
  await setMeasure(page, "Width", "260");

  await page.getByRole("link", { name: /^Pictures/ }).click();
  const elsewhere = page.getByRole("region", { name: "Pictures elsewhere" });
  await expect(elsewhere).toContainText(`${share}/2019/seed-jars.png`);
  await elsewhere.getByRole("button", { name: "Take this address" }).click();
  await expect(elsewhere).not.toContainText("/2019/");
  await expect(elsewhere).toContainText(`${share}/pictures/seed-jars.png`);
  await page.getByRole("button", { name: "Take the last change back" }).click();
  await expect(elsewhere).toContainText(`${share}/2019/seed-jars.png`);

  // The same by the mend of its finding.
  const findings = page.getByRole("complementary", { name: "Findings" });
  await findings.getByRole("button", { name: /^Show it from/ }).click();
  await expect(elsewhere).not.toContainText("/2019/");
  await expect(findings.getByRole("button", { name: /^Show it from/ })).toHaveCount(0);
  await waitUntilSaved(page, 2);
  await page.getByRole("link", { name: /^Build/ }).click();
  await expect(proof(page, "webmail-inline").locator("img")).toHaveAttribute(
    "src",
    "/invented-sites/reedbasket.example/pictures/seed-jars.png",
  );
});

test("pictures of invented sites are seen in the settings and in a letter, and are kept at their addresses", async ({
  page,
}) => {
  await page.goto("/mailroom/ada-quill/malthouse/settings");
  const box = page.getByRole("textbox", { name: "What goes under your letters" });
  await box.click();
  await page.evaluate(async (source) => {
    const html = `<table><tr><td><img src="${source}" width="130" height="60" alt="Seed jars"></td></tr></table>`;
    await navigator.clipboard.write([
      new ClipboardItem({ "text/html": new Blob([html], { type: "text/html" }) }),
    ]);
  }, `${share}/pictures/seed-jars.png`);
  await page.keyboard.press("Control+v");
  const picture = box.getByRole("img", { name: "Seed jars" });
  expect(
    await picture.evaluate((image: HTMLImageElement) => image.decode().then(() => image.naturalWidth)),
  ).toBe(520);
  const kept = page.waitForRequest((request) => request.method() === "PUT" || request.method() === "POST");
  await page.getByRole("button", { name: "Keep it" }).click();
  expect((await kept).postData()).toContain(`${share}/pictures/seed-jars.png`);
  await expect(page.getByRole("status").filter({ hasText: "Kept." })).toBeVisible();

  await page.goto("/mailroom/ada-quill/malthouse/write");
  const letter = page.getByRole("textbox", { name: "The letter" });
  expect(
    await letter
      .getByRole("img", { name: "Seed jars" })
      .evaluate((image: HTMLImageElement) => image.decode().then(() => image.naturalWidth)),
  ).toBe(520);

  // Typed right to left, a line is sent so.
  await letter.locator("div").first().click();
  await page.keyboard.type("שלום");
  await choose(page.getByRole("combobox", { name: "For" }), "Ifor Pell (ifor@harrowfen.example)");
  const sent = page.waitForRequest((request) => request.url().endsWith("/letters"));
  await page.getByRole("button", { name: "Hand it over" }).click();
  const { html } = (await sent).postDataJSON() as { html: string };
  expect(html).toContain('<div dir="rtl">שלום</div>');
  expect(html).not.toContain('dir="auto"');
  expect(html).toContain(`${share}/pictures/seed-jars.png`);
});
