import { readFile } from "node:fs/promises";
import { expect, test } from "./test";
import { cell, openCopy, proof, startBlank } from "./bench";

const share = "https://reedbasket.example";

test("each address of the invented share gets its verdict, with what to do", async ({ page }) => {
  await page.goto("/pictures/addresses");
  for (const [path, verdict] of [
    ["/pictures/seed-jars.png", "It is a picture, and open to all."],
    ["/look/seed-jars", "This is a page that shows a picture, and not the picture itself"],
    ["/staff-only/seed-jars.png", "It asks to sign in, so recipients see nothing"],
    ["/2019/seed-jars.png", "has moved for good"],
    ["/gone/seed-jars.png", "It answers 410"],
    ["/slow/seed-jars.png", "It did not answer within 10 seconds"],
    ["/fenced/seed-jars.png", "forbids pages of others to show it"],
  ] as const) {
    await page.getByLabel("Address of a picture").fill(share + path);
    await page.getByRole("button", { name: "Look at it" }).click();
    await expect(
      page
        .getByRole("region", { name: "Pictures elsewhere" })
        .getByRole("status")
        .filter({ hasText: verdict }),
    ).toBeVisible({ timeout: 15_000 });
  }
  await page.getByLabel("Address of a picture").fill("http://127.0.0.1:22/logo.png");
  await page.getByRole("button", { name: "Look at it" }).click();
  await expect(page.getByText("leads into a private network")).toBeVisible();
});

test("a page's address leads to the picture's own, which is placed and shown in the proofs", async ({
  page,
}) => {
  await startBlank(page, 1, 1);
  await cell(page, 1, 1).click();
  await page.keyboard.press("Alt+Shift+P");
  await page.getByRole("radio", { name: "An address elsewhere" }).click();
  await page.getByLabel("Address of a picture").fill(`${share}/look/seed-jars`);
  await page.getByRole("button", { name: "Look at it" }).click();
  await page.getByRole("button", { name: "Take this address" }).click();
  await page.getByRole("button", { name: "Place it" }).click();
  const shown = proof(page, "webmail-inline").locator("img");
  await expect(shown).toHaveAttribute("src", "/invented-sites/reedbasket.example/pictures/seed-jars.png");
  expect(
    await shown.evaluate((image: HTMLImageElement) => image.decode().then(() => image.naturalWidth)),
  ).toBe(520);
  await expect(page.locator(".signature-editor img")).toHaveAttribute("width", /\d+/);
});

test("the public address is set, checked by a test picture, and set back", async ({ page }) => {
  await page.goto("/pictures/addresses");
  const panel = page.getByRole("region", { name: "Public address" });
  await panel.getByRole("button", { name: "Fetch a test picture" }).click();
  await expect(panel.getByRole("status")).toContainText(
    "only this machine or its network can reach this address",
  );
  await panel.getByLabel("Base address").fill("nonsense");
  await panel.getByRole("button", { name: /Set it/ }).click();
  await expect(panel.getByRole("alert")).toContainText("is no base address");
  await panel.getByLabel("Base address").fill("https://nobody.example");
  await panel.getByRole("button", { name: /Set it/ }).click();
  await expect(panel.getByRole("status")).toContainText("There is no server of that name");
  await page.getByRole("link", { name: "Originals and cuts" }).click();
  await expect(page.getByRole("link", { name: /^https:\/\/nobody\.example\/h\// }).first()).toBeVisible();
  await page.goto("/pictures/addresses");
  await page.getByRole("button", { name: "Back to the default" }).click();
  await expect(panel.getByLabel("Base address")).toHaveValue(/^http:\/\/127/);
});

test("a signature's pictures are published on a web space, checked, rewritten, and taken back", async ({
  page,
}) => {
  await openCopy(page, "Full");
  const bench = page.url();
  await page.goto(`${bench}/pictures`);
  await page.getByText("Publish them elsewhere").click();
  const downloading = page.waitForEvent("download");
  await page.getByRole("link", { name: /^Download \d+ pictures as a zip/ }).click();
  const zip = await readFile(await (await downloading).path());
  await page.getByLabel("Address of that folder").fill("https://sedgeweb.example/pictures/");
  await page.getByRole("button", { name: /^Check each/ }).click();
  await expect(page.getByText("Nothing was changed: all pictures must be there first.")).toBeVisible();

  const space = await page.context().newPage();
  await space.goto("/pictures/addresses");
  await space.getByLabel("Upload to Sedgeweb").setInputFiles({
    name: "pictures.zip",
    mimeType: "application/zip",
    buffer: zip,
  });
  await expect(space.getByRole("region", { name: "Invented web space" })).toContainText(/\d+ files: /);

  await page.getByRole("button", { name: /^Check each/ }).click();
  await expect(page.getByText(/pictures of this signature are shown from/)).toBeVisible();
  await space.goto(bench);
  const shown = proof(space, "webmail-inline").locator("img").first();
  await expect(shown).toHaveAttribute("src", /^\/invented-sites\/sedgeweb\.example\/pictures\//);
  expect(
    await shown.evaluate((image: HTMLImageElement) => image.decode().then(() => image.naturalWidth)),
  ).toBeGreaterThan(20);
  await page.getByRole("button", { name: "Show them from here again" }).click();
  await expect(page.getByText(/pictures of this signature are shown from/)).toBeHidden();
  await expect(async () => {
    await space.reload();
    await expect(shown).toHaveAttribute("src", /^\/h\//, { timeout: 1000 });
  }).toPass();
});
