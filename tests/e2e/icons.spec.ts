import AxeBuilder from "@axe-core/playwright";
import type { Page } from "@playwright/test";
import { zipSync } from "fflate";
import { mark } from "@/server/imaging/pictures-for-tests";
import { cell, insertPart, moveByKey, proof, proofFrame, setMeasure, startBlank, choose } from "./bench";
import { expect, test } from "./test";

/** Six icons of a pack: 16, 24, 32, 48 and 512 px and a drawing, with uneven margins, one of them in two sizes. */
const pack = async (): Promise<Buffer> =>
  Buffer.from(
    zipSync({
      "pack/plotline-16.png": await mark(16, [0, 0, 0, 0], "#3F5B2E"),
      "pack/hedgepost-24.png": await mark(24, [0, 4, 8, 4], "#C08A2B"),
      "pack/bench-and-bough-32.png": await mark(32, [8, 6, 2, 4], "#A3262A"),
      "pack/slow-reel-48.png": await mark(48, [10, 2, 2, 10], "#1F5B57"),
      "pack/slow-reel-16.png": await mark(16, [3, 1, 1, 3], "#1F5B57"),
      "pack/mail-512.png": await mark(512, [100, 60, 30, 60], "#3F5B2E"),
      "pack/web.svg": Buffer.from(
        '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 64 64"><circle cx="38" cy="26" r="20" fill="#3F5B2E"/></svg>',
      ),
    }),
  );

interface Measured {
  readonly boxes: readonly { width: number; height: number; top: number }[];
  /** The longer side of what is drawn in each; CSS px. */
  readonly drawn: readonly number[];
}

/** The icons of a proof as they stand in it. */
const measure = (page: Page, standIn: string): Promise<Measured> =>
  proofFrame(page, standIn).evaluate(async (element) => {
    const images = [...(element as HTMLIFrameElement).contentDocument!.images];
    await Promise.all(images.map((image) => image.decode()));
    const drawn = images.map((image) => {
      const { width, height } = image.getBoundingClientRect();
      const fine = 4;
      const canvas = document.createElement("canvas");
      canvas.width = Math.round(width * fine);
      canvas.height = Math.round(height * fine);
      const context = canvas.getContext("2d")!;
      context.drawImage(image, 0, 0, canvas.width, canvas.height);
      const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
      let [left, top, right, bottom] = [canvas.width, canvas.height, -1, -1];
      for (let pixel = 0; pixel < data.length / 4; pixel++) {
        if (data[pixel * 4 + 3]! < 128) continue;
        const [x, y] = [pixel % canvas.width, Math.floor(pixel / canvas.width)];
        left = Math.min(left, x);
        right = Math.max(right, x);
        top = Math.min(top, y);
        bottom = Math.max(bottom, y);
      }
      return Math.max(right - left + 1, bottom - top + 1) / fine;
    });
    const boxes = images.map((image) => {
      const { width, height, top } = image.getBoundingClientRect();
      return { width, height, top };
    });
    return { boxes, drawn };
  });

/** Begins a signature of one cell with an empty icon row that is selected. */
async function startRow(page: Page): Promise<void> {
  await startBlank(page, 1, 1);
  await cell(page, 1, 1).click();
  await insertPart(page, "Icon row");
  await page.getByRole("button", { name: "Add icons" }).click();
}

test("an icon row is made from a zip, linked by pasting, mended, walked, opened, and drawn alike", async ({
  page,
}) => {
  await startRow(page);
  const address = page.url();
  const dialog = page.getByRole("dialog", { name: "Icons for the row" });
  await dialog.getByRole("radio", { name: "Your own" }).click();
  await dialog.getByRole("textbox", { name: "Where they came from" }).fill("Drawn for this test");
  await dialog
    .locator("input[type=file]")
    .setInputFiles({ name: "icons.zip", mimeType: "application/zip", buffer: await pack() });
  await expect(page.getByText("6 icons from icons.zip; 1 file left out for a better one.")).toBeVisible();
  const leads = [
    ["Plotline", "https://plotline.example/https://plotline.example/harrowfen"],
    ["Hedgepost", "hedgepost.example/harrowfen"],
    ["Bench and bough", "benchandbough.example/harrowfen"],
    ["Slow reel", "slowreel.example/harrowfen"],
    ["Mail", "mailto:desk@harrowfen.example?subject=Seed request"],
    ["Web", "https://harrowfen.example/seed-list"],
  ] as const;
  for (const [name, typed] of leads) {
    await dialog.getByRole("button", { name, exact: true }).click();
    await dialog.getByRole("textbox", { name: `leads to` }).last().fill(typed);
  }
  await expect(
    dialog.getByText("https://plotline.example/harrowfen · Its beginning stood there twice."),
  ).toBeVisible();
  await dialog.getByRole("button", { name: "Put in 6 icons" }).click();
  const list = page.getByRole("list", { name: "Icons of the row" });
  await expect(list.getByRole("listitem")).toHaveCount(6);

  // Equal boxes on one line, filled alike, in every stand-in.
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
  await page.goto(`${address}/proof`);
  await page.getByRole("radio", { name: "Light" }).click();
  const standIns = await page
    .locator("[data-stand-in]")
    .evaluateAll((all) => all.map((element) => element.getAttribute("data-stand-in")!));
  expect(standIns).toEqual(expect.arrayContaining(["webmail-inline", "desktop-document"]));
  for (const standIn of standIns) {
    const { boxes, drawn } = await measure(page, standIn);
    expect(boxes, standIn).toHaveLength(6);
    for (const side of ["width", "height", "top"] as const) {
      const sides = boxes.map((box) => box[side]);
      expect(Math.max(...sides) - Math.min(...sides), `${standIn}, ${side}`).toBeLessThan(0.01);
    }
    expect(Math.max(...drawn) - Math.min(...drawn), `${standIn}: ${drawn.join(", ")}`).toBeLessThanOrEqual(1);
  }

  await page.goto(`${address}/links`);
  await choose(page.getByRole("combobox", { name: "drawn for" }), "Tamsin Okafor");
  await expect(page.getByRole("combobox", { name: "drawn for" })).toHaveText("Tamsin Okafor");
  await page.getByRole("button", { name: "Walk 5 links" }).click();
  await page.getByRole("button", { name: "Lead to https://harrowfen.example/collections" }).click();
  await expect(page.getByRole("row").filter({ hasText: "harrowfen.example/collections" })).toBeVisible();
  const [letter] = await Promise.all([
    page.waitForEvent("popup"),
    page.getByRole("button", { name: /^Open Write to/ }).click(),
  ]);
  await expect(letter.getByRole("textbox", { name: "About" })).toHaveValue("Seed request");
  await letter.close();
  await page.getByRole("radio", { name: "All links" }).click();
  await setMeasure(page, "Colour", "#A3262A");
  await page.getByRole("button", { name: "Draw all links so" }).click();
  await page.getByRole("link", { name: "Build" }).click();
  const linked = proof(page, "webmail-inline").locator("a");
  await expect(linked).toHaveCount(6);
  for (let icon = 0; icon < 6; icon++)
    await expect(linked.nth(icon)).toHaveAttribute("style", /^color:#A3262A/);
});

test("icons that are drawn: found by their address, ordered by key, changed in style, tint, size and columns as one", async ({
  page,
}) => {
  await startRow(page);
  const dialog = page.getByRole("dialog", { name: "Icons for the row" });
  const paste = dialog.getByRole("textbox", { name: "Paste the address of a page" });
  await paste.fill("plotline.example/harrowfen desk@harrowfen.example nonsense");
  await page.keyboard.press("Enter");
  await expect(paste).toHaveValue("nonsense");
  await expect(dialog.getByRole("alert")).toContainText("“nonsense” is neither a web address");
  await dialog.getByRole("radio", { name: "Drawn" }).click();
  await dialog.getByRole("button", { name: "Map" }).click();
  await dialog.getByRole("textbox", { name: "Map leads to" }).fill("javascript:alert(1)");
  await expect(dialog.getByRole("button", { name: "Put in 3 icons" })).toBeDisabled();
  await dialog.getByRole("textbox", { name: "Map leads to" }).fill("fenmap.example");
  const { violations } = await new AxeBuilder({ page }).include("[role=dialog]").analyze();
  expect(violations.map(({ id }) => id)).toEqual([]);
  await dialog.getByRole("button", { name: "Put in 3 icons" }).click();

  const list = page.getByRole("list", { name: "Icons of the row" });
  // Where each leads tells it from the others.
  const order = (): Promise<string[]> => list.locator("img + span > span:first-child").allTextContents();
  await expect.poll(order).toEqual(["Plotline", "desk@harrowfen.example", "fenmap.example"]);
  const grip = list.getByRole("button", { name: "Move Map", exact: true });
  await moveByKey(page, grip, "Icon 3", "ArrowUp", 2);
  await expect.poll(order).toEqual(["Plotline", "fenmap.example", "desk@harrowfen.example"]);
  await list.getByRole("button", { name: "Duplicate Map" }).click();
  await expect(list.getByRole("listitem")).toHaveCount(4);
  await list.getByRole("button", { name: "Remove Map" }).last().click();
  await expect(list.getByRole("listitem")).toHaveCount(3);

  const images = page.locator(".signature-editor .drawn-icon-row img[src^='/h/']");
  const sources = (): Promise<string[]> =>
    images.evaluateAll((all) => all.map((image) => image.getAttribute("src")!));
  const solid = await sources();
  await choose(page.getByRole("combobox", { name: "Style of the icons" }), "On a circle");
  await expect.poll(async () => (await sources()).some((source) => solid.includes(source))).toBe(false);
  const onCircle = await sources();
  await setMeasure(page, "Plate", "#3F5B2E");
  await expect.poll(async () => (await sources()).some((source) => onCircle.includes(source))).toBe(false);
  await setMeasure(page, "Icon height", "32");
  await expect(images.first()).toHaveJSProperty("naturalWidth", 64);
  await choose(page.getByRole("combobox", { name: "Icons stand" }), "in columns");
  await setMeasure(page, "Columns", "2");
  const tops = await images.evaluateAll((all) =>
    all.map((image) => Math.round(image.getBoundingClientRect().top)),
  );
  expect(tops[1]).toBe(tops[0]);
  expect(tops[2]).toBe(tops[0]! + 38);
  await page.getByRole("button", { name: "Undo" }).click();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("combobox", { name: "Icons stand" })).toHaveText("side by side");
});

test("a network of one's own is added, finds its pages, and is taken off the list", async ({ page }) => {
  await startRow(page);
  const dialog = page.getByRole("dialog", { name: "Icons for the row" });
  await dialog.getByRole("button", { name: "New network" }).click();
  await dialog.getByRole("textbox", { name: "Name" }).fill("Reed Radio");
  await choose(dialog.getByRole("combobox", { name: "Icon" }), "Audio");
  await dialog.getByRole("textbox", { name: /^Where its pages are/ }).fill("reedradio");
  await dialog.getByRole("button", { name: "Keep the network" }).click();
  await expect(dialog.getByRole("alert")).toContainText("Say where its pages are");
  await dialog.getByRole("textbox", { name: /^Where its pages are/ }).fill("https://reedradio.example/@");
  await dialog.getByRole("button", { name: "Keep the network" }).click();
  await dialog.getByRole("button", { name: /^Reed Radio/ }).click();
  await dialog.getByRole("textbox", { name: "Reed Radio leads to" }).fill("@fen");
  await expect(dialog.getByText("https://reedradio.example/@fen")).toBeVisible();

  // An icon of one's own stands for it as well, and a pasted address finds it.
  await dialog.getByRole("radio", { name: "Your own" }).click();
  await dialog.locator("input[type=file]").setInputFiles({
    name: "reed.png",
    mimeType: "image/png",
    buffer: await mark(64, [8, 4, 8, 20], "#A3262A"),
  });
  await expect(dialog.getByRole("button", { name: "Reed", exact: true })).toBeVisible();
  await dialog.getByRole("radio", { name: "Networks" }).click();
  await dialog.getByRole("button", { name: "New network" }).click();
  await dialog.getByRole("textbox", { name: "Name" }).fill("Reed Radio");
  await choose(dialog.getByRole("combobox", { name: "Icon" }), "Reed, your own");
  await dialog.getByRole("textbox", { name: /^Where its pages are/ }).fill("https://reedradio.example/@");
  await dialog.getByRole("button", { name: "Keep the network" }).click();
  // Its name stands in the list already: that it is kept is told by its form, which goes.
  await expect(dialog.getByRole("button", { name: "New network" })).toBeVisible();
  // What is kept of a network is changed where it stands.
  await dialog.getByRole("button", { name: "Change Reed Radio" }).click();
  await dialog.getByRole("textbox", { name: "Name" }).fill("Reed Radio Fen");
  await dialog.getByRole("button", { name: "Keep the network" }).click();
  await expect(dialog.getByRole("button", { name: /^Reed Radio Fen/ })).toBeVisible();
  await dialog.getByRole("radio", { name: "Your own" }).click();
  await dialog.getByRole("button", { name: "Describe Reed" }).click();
  const about = page.getByRole("dialog", { name: "About Reed" });
  await about.getByRole("textbox", { name: /^Where it came from/ }).fill("The station’s press page");
  await about.getByRole("button", { name: "Keep it" }).click();
  await expect(dialog.getByTitle("From: The station’s press page")).toBeVisible();
  await dialog.getByRole("radio", { name: "Networks" }).click();

  const paste = dialog.getByRole("textbox", { name: "Paste the address of a page" });
  await paste.fill("reedradio.example/@desk");
  await paste.press("Enter");
  await expect(dialog.getByText("https://reedradio.example/@desk ·")).toBeVisible();
  await expect(dialog.getByRole("listitem").locator("img[src*='/thumbnail']").last()).toBeVisible();
  await dialog.getByRole("button", { name: "Take Reed Radio Fen off the list" }).click();
  await expect(dialog.getByRole("button", { name: "Take Reed Radio Fen off the list" })).toHaveCount(0);
});
