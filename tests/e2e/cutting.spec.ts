import { readFile } from "node:fs/promises";
import type { Page } from "@playwright/test";
import { expect, test } from "./test";
import { zipSync } from "fflate";
import sharp from "sharp";
import { animation } from "../../src/server/imaging/pictures-for-tests";
import {
  cell,
  choose,
  insertPart,
  moveByKey,
  openCopy,
  picturesOf,
  proof,
  setMeasure,
  startBlank,
} from "./bench";

/** Drops a file on the upload area of Pictures. */
async function dropPicture(page: Page, name: string, bytes: Buffer): Promise<void> {
  await page.goto("/pictures");
  const transfer = await page.evaluateHandle(
    ([content, fileName]) => {
      const data = new DataTransfer();
      data.items.add(new File([new Uint8Array(content as number[])], fileName, { type: "image/jpeg" }));
      return data;
    },
    [[...bytes], name] as const,
  );
  await page.getByRole("region", { name: "Upload" }).dispatchEvent("drop", { dataTransfer: transfer });
  await expect(page.getByRole("button", { name: `Rename ${name}` })).toBeVisible();
}

/** A photo of the demo under other bytes, so that it is an original of its own. */
const photo = async (person: string, mark: string): Promise<Buffer> =>
  Buffer.concat([await readFile(`demo/pictures/originals/${person}.jpg`), Buffer.from(mark)]);

/** Alpha in two corners and in the middle of a picture, at a path or inside a data address. */
async function alphas(page: Page, source: string): Promise<readonly number[]> {
  const bytes = source.startsWith("data:")
    ? Buffer.from(source.split(",")[1]!, "base64")
    : await (await page.request.get(source)).body();
  const { data, info } = await sharp(bytes).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return [
    [0, 0],
    [info.width - 1, info.height - 1],
    [info.width >> 1, info.height >> 1],
  ].map(([x, y]) => data[(y! * info.width + x!) * 4 + 3]!);
}

const crop = (page: Page) => page.locator(".ReactCrop__crop-selection");

test("an off-centre portrait is dropped, cut to a circle, placed, and clear in its corners in the proofs", async ({
  page,
}) => {
  await dropPicture(page, "Off centre.jpg", await photo("bram-uzel", "off centre"));
  await page.getByRole("link", { name: "Cut Off centre.jpg" }).click();
  await page.getByRole("radio", { name: "Circle" }).click();
  await page.getByLabel("A ring around it").check();
  await setMeasure(page, "Ring width", "3");
  await setMeasure(page, "Crop width", "500");
  await expect(page.getByRole("textbox", { name: "Crop height" })).toHaveValue("500");
  // Dragged to the face, then moved by key: 1 px, and 5 with Shift.
  const box = (await crop(page).boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 2 + 30, { steps: 4 });
  await page.mouse.up();
  const left = page.getByRole("textbox", { name: "Left" });
  await expect.poll(async () => Number(await left.inputValue())).toBeGreaterThan(200);
  const before = Number(await left.inputValue());
  await crop(page).focus();
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("Shift+ArrowRight");
  await expect(left).toHaveValue(String(before + 6));
  await page.keyboard.press("Control+Z");
  await expect(left).toHaveValue(String(before));
  await page.keyboard.press("Control+Shift+Z");
  await expect(left).toHaveValue(String(before + 6));

  await page.getByRole("radio", { name: "Size", exact: true }).click();
  await setMeasure(page, "Width", "96");
  await expect(page.getByRole("textbox", { name: "Height" })).toHaveValue("96");
  await expect(page.getByRole("region", { name: "Result" })).toContainText("192 × 192 px in the file");
  await expect(page.getByRole("region", { name: "Result" })).toContainText("looks the same");
  await page.getByRole("button", { name: "Keep this cut" }).click();
  await expect(page.getByText("off-centre.png is kept: 96 × 96 px")).toBeVisible();

  await startBlank(page, 1, 2);
  await cell(page, 1, 1).click();
  await page.keyboard.press("Alt+Shift+P");
  await page.getByRole("radio", { name: "Cuts and loops" }).click();
  await page.getByRole("button", { name: /^off-centre\.png 96 × 96 px/ }).click();
  const shown = proof(page, "webmail-inline").locator("img");
  await expect(shown).toHaveAttribute("width", "96");
  expect(await alphas(page, (await shown.getAttribute("src"))!)).toEqual([0, 0, 255]);
});

test("a picture on the Bench is cut anew in place, as high as another, and undo takes it back", async ({
  page,
}) => {
  await openCopy(page, "Full");
  const portrait = page.locator(".signature-editor img").first();
  const before = await portrait.getAttribute("src");
  await portrait.click();
  await page.getByRole("button", { name: "Cut it" }).click();
  const dialog = page.getByRole("dialog", { name: /^Cut tamsin-okafor/ });
  await dialog.getByRole("radio", { name: "Size", exact: true }).click();
  await choose(dialog.getByLabel("As high as"), /× 80 px$/);
  await expect(dialog.getByRole("textbox", { name: "Width" })).toHaveValue("80");
  await dialog.getByRole("button", { name: "Put it in place" }).click();
  await expect(dialog).toBeHidden();
  await expect(portrait).toHaveAttribute("width", "80");
  expect(await portrait.getAttribute("src")).not.toBe(before);
  await page.locator(".signature-editor .ProseMirror").focus();
  await page.keyboard.press("Control+Z");
  await expect(portrait).toHaveAttribute("width", "96");
});

test("too few pixels are said with their number, here and as a finding, and made up only on demand", async ({
  page,
}) => {
  await page.goto(picturesOf("found-web.png"));
  await page.getByRole("link", { name: "Cut found-web.png" }).click();
  await page.getByRole("radio", { name: "Size", exact: true }).click();
  await setMeasure(page, "Width", "150");
  await expect(page.getByRole("status").filter({ hasText: "too few pixels" })).toContainText(
    "300 × 300 px are needed to be sharp, and it has 96 × 96 px",
  );
  const result = page.getByRole("region", { name: "Result" });
  await expect(result).toContainText("96 × 96 px in the file");
  await page.getByLabel("Make up the missing pixels").check();
  await expect(result).toContainText("300 × 300 px in the file");
  await page.getByLabel("Make up the missing pixels").uncheck();
  await page.getByRole("button", { name: "Keep this cut" }).click();
  await expect(page.getByText("web.png is kept")).toBeVisible();

  await startBlank(page, 1, 1);
  await cell(page, 1, 1).click();
  await page.keyboard.press("Alt+Shift+P");
  await page.getByRole("radio", { name: "Cuts and loops" }).click();
  await page.getByRole("button", { name: /150 × 150 px/ }).click();
  await expect(page.locator(".signature-editor img")).toHaveAttribute("width", "150");
  await page.getByRole("button", { name: /^Row 1: / }).click();
  await expect(page.locator('[data-finding="picture-too-few-pixels"]')).toContainText(
    "It has 96 × 96 px, and needs 300 × 300 px to be sharp at 150 × 150",
  );
});

test("a white background is cleared, tinted and put on a plate, and each step is taken back", async ({
  page,
}) => {
  await page.goto(picturesOf("harrow-fen-logo-black.png"));
  await page.getByRole("link", { name: "Cut harrow-fen-logo-black.png" }).click();
  await page.getByRole("radio", { name: "Colour", exact: true }).click();
  const result = page.getByRole("img", { name: "As sent, on black" });
  const untouched = await result.getAttribute("src");
  await page.getByLabel(/^Tint/).check();
  await expect(result).not.toHaveAttribute("src", untouched!);
  const tinted = await result.getAttribute("src");
  await page
    .getByLabel(/^Plate/)
    .first()
    .check();
  await expect(result).not.toHaveAttribute("src", tinted!);
  expect((await alphas(page, (await result.getAttribute("src"))!)).slice(0, 2)).toEqual([0, 0]);
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(result).toHaveAttribute("src", tinted!);
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(result).toHaveAttribute("src", untouched!);
});

test("what is clear is filled with a colour that is asked for, where the format holds none", async ({
  page,
}) => {
  await page.goto(picturesOf("harrow-fen-logo.png"));
  await page.getByRole("link", { name: "Cut harrow-fen-logo.png" }).click();
  await page.getByRole("radio", { name: "File", exact: true }).click();
  await page.getByRole("radio", { name: "JPEG" }).check();
  await expect(page.getByText("A JPEG holds nothing clear. What is clear becomes:")).toBeVisible();
  await setMeasure(page, "Fill colour", "#00FF00");
  const result = page.getByRole("img", { name: "As sent, on white" });
  await expect(result).toHaveAttribute("src", /^data:image\/jpeg/);
  await page.getByRole("slider", { name: "Quality" }).fill("40");
  await expect(page.getByRole("region", { name: "Result" })).toContainText("JPEG, quality 40");
});

test("a ring cycle is made, its frames ordered, timed and begun elsewhere, kept, and placed", async ({
  page,
}) => {
  await page.goto("/pictures/loops/new");
  await page.getByRole("button", { name: /tamsin-okafor/ }).click();
  await page.getByRole("button", { name: "Go on" }).click();
  const frames = page.getByRole("list", { name: "Frames" }).getByRole("listitem");
  await expect(frames).toHaveCount(4);
  await expect(page.getByRole("img", { name: "The first frame by itself" })).toBeVisible();
  await expect(page.getByRole("region", { name: "Weight" })).toContainText("4 frames");
  await page.getByRole("button", { name: "Begin with frame 3" }).click();
  await expect(frames.first().getByRole("img")).toHaveAttribute("alt", "Ring in #F3EFE4");
  await setMeasure(page, "Time of frame 1", "900");
  const grip = page.getByRole("button", { name: "Move frame 1", exact: true });
  await moveByKey(page, grip, "Frame 1", "ArrowRight", 2);
  await expect(page.getByRole("textbox", { name: "Time of frame 2" })).toHaveValue("900");
  await page.getByRole("button", { name: "Remove frame 4" }).click();
  await expect(frames).toHaveCount(3);
  await expect(page.getByRole("region", { name: "Weight" })).toContainText("What would bring it down");
  await page.getByRole("button", { name: "Keep this loop" }).click();
  await expect(page.getByText("tamsin-okafor.gif is kept")).toBeVisible();
  await expect(page.getByRole("table", { name: "Loops" })).toContainText("tamsin-okafor.gif");

  await startBlank(page, 1, 1);
  await cell(page, 1, 1).click();
  await page.keyboard.press("Alt+Shift+P");
  await page.getByRole("radio", { name: "Cuts and loops" }).click();
  await page.getByRole("button", { name: /^tamsin-okafor\.gif/ }).click();
  await expect(proof(page, "webmail-inline").locator("img")).toHaveAttribute("src", /\.gif$/);
});

test("a loop of three photos in circles with a ring, cropped one by one, slowed, named and under its weight", async ({
  page,
}) => {
  await page.goto("/pictures/loops/new");
  await page.getByRole("radio", { name: /Several pictures/ }).click();
  for (const name of [/tamsin-okafor/, /siobhan-okeeffe/, /layla-mansour/])
    await page.getByRole("button", { name }).click();
  await page.getByRole("button", { name: "Go on" }).click();
  const weight = page.getByRole("region", { name: "Weight" });
  await expect(weight).toContainText("3 frames");
  await page.getByRole("radio", { name: "Circle", exact: true }).first().click();
  await page.getByRole("checkbox", { name: "A ring around it" }).click();
  await setMeasure(page, "Ring width", "3");
  await setMeasure(page, "Width", "96");
  await expect(page.getByRole("textbox", { name: "Height", exact: true })).toHaveValue("96");
  await setMeasure(page, "Time of frame 1", "3000");

  await page.getByRole("radio", { name: "Its crops" }).click();
  await page.getByRole("radio", { name: /^Picture 2,/ }).click();
  await page.locator(".ReactCrop__crop-selection").focus();
  await page.keyboard.press("Shift+ArrowRight");
  await page.getByRole("radio", { name: "The loop" }).click();
  await page.getByRole("button", { name: "Slower" }).click();
  await expect(page.getByRole("textbox", { name: "Time of frame 1" })).toHaveValue("3750");
  await page.getByRole("textbox", { name: "Name of its file" }).fill("Seed desk");
  const { cut } = (await (
    await Promise.all([
      page.waitForResponse((answer) => answer.url().endsWith("/api/loops") && answer.ok()),
      page.getByRole("button", { name: "Keep this loop" }).click(),
    ])
  )[0].json()) as {
    cut: { fileName: string; bytes: number; loop: { source: { looks: { crop: object }[] } } };
  };
  expect(cut.fileName).toBe("seed-desk.gif");
  expect(cut.bytes).toBeLessThan(130 * 1024);
  expect(cut.loop.source.looks).toHaveLength(3);

  // Where only the first frame is shown, it stands still; elsewhere it plays.
  await startBlank(page, 1, 1);
  await cell(page, 1, 1).click();
  await page.keyboard.press("Alt+Shift+P");
  await page.getByRole("radio", { name: "Cuts and loops" }).click();
  await page.getByRole("button", { name: /^seed-desk\.gif/ }).click();
  await expect(proof(page, "webmail-inline").locator("img")).toHaveAttribute("src", /\.gif$/);
  const still = proof(page, "desktop-document").locator("img");
  await expect(still).toHaveAttribute("src", /\.gif\?first-frame$/);
  expect(
    await still.evaluate((image: HTMLImageElement) => image.decode().then(() => image.naturalWidth)),
  ).toBe(192);
});

test("words appear one by one, and a word that the font lacks is said", async ({ page }) => {
  await page.goto("/pictures/loops/new");
  await page.getByRole("radio", { name: /Words one by one/ }).click();
  await page.getByLabel("Words, at most 120 characters").fill("Open Store Weekend");
  await page.getByRole("button", { name: "Go on" }).click();
  await expect(page.getByRole("list", { name: "Frames" }).getByRole("listitem")).toHaveCount(3);
  await expect(page.getByRole("region", { name: "Weight" })).toContainText("3 frames");
  const words = page.getByRole("textbox", { name: "Words" });
  await words.fill("漢字");
  await words.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "letters" })).toContainText(
    "has no letters for “漢字”",
  );
});

test("an original is replaced, its cuts follow in the signatures, and it is taken back", async ({ page }) => {
  await dropPicture(page, "Replace me.jpg", await photo("siobhan-okeeffe", "first"));
  await startBlank(page, 1, 1);
  await cell(page, 1, 1).click();
  await page.keyboard.press("Alt+Shift+P");
  await page.getByRole("button", { name: /^Replace me\.jpg/ }).click();
  const placed = page.locator(".signature-editor img");
  await expect(placed).toBeVisible();
  const before = await placed.getAttribute("src");
  await expect(page.getByRole("status").filter({ hasText: /^Saved/ })).toBeVisible();
  const bench = page.url();
  await page.goto(picturesOf("Replace me.jpg"));
  await page.getByLabel("Replace Replace me.jpg").setInputFiles({
    name: "other.jpg",
    mimeType: "image/jpeg",
    buffer: await photo("anjali-rao", "second"),
  });
  await expect(page.getByText("1 cut made again, in 1 signature.")).toBeVisible();
  const takeBack = page.getByRole("button", { name: "Take it back" });
  // What is pointed at stays.
  await takeBack.hover();
  const other = await page.context().newPage();
  await other.goto(bench);
  await expect(other.locator(".signature-editor img")).not.toHaveAttribute("src", before!);
  expect((await page.request.get(before!)).status()).toBe(200);
  await takeBack.click();
  await expect(async () => {
    await other.reload();
    await expect(other.locator(".signature-editor img")).toHaveAttribute("src", before!, { timeout: 1000 });
  }).toPass();
});

test("a zip is unpacked, what is in it is listed, and what is unused is removed and taken back", async ({
  page,
}) => {
  await page.goto("/pictures");
  const archive = zipSync({
    "pack/Seed label.png": await readFile("demo/pictures/originals/found-web.png").then((bytes) =>
      Buffer.concat([bytes, Buffer.from("zip")]),
    ),
    "pack/notes.txt": Buffer.from("not a picture"),
  });
  await page.getByLabel("Upload pictures").setInputFiles({
    name: "pack.zip",
    mimeType: "application/zip",
    buffer: Buffer.from(archive),
  });
  await expect(page.getByText("Seed label.png")).toBeVisible();
  await expect(page.getByRole("alert").filter({ hasText: "notes.txt" })).toContainText("is no picture");
  await page.getByRole("button", { name: "Rename Seed label.png" }).click();
  await page.getByRole("textbox", { name: "Name of the original" }).fill("Label for seeds");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: "Rename Label for seeds" })).toBeVisible();

  await page.getByRole("link", { name: "Unused" }).click();
  await page.getByRole("checkbox", { name: /Label for seeds/ }).check();
  await page.getByRole("button", { name: /^Remove 1 picture/ }).click();
  await expect(page.getByRole("checkbox", { name: /Label for seeds/ })).toBeHidden();
  await page.getByRole("button", { name: "Take them back" }).click();
  await expect(page.getByRole("checkbox", { name: /Label for seeds/ })).toBeVisible();
});

test("all icons of a row are cut to its height in one step", async ({ page }) => {
  await startBlank(page, 1, 1);
  await cell(page, 1, 1).click();
  await insertPart(page, "Icon row");
  for (const name of ["found-web", "found-plotline"]) {
    await page.getByRole("button", { name: "From Pictures" }).click();
    await page
      .getByRole("dialog")
      .getByRole("button", { name: new RegExp(name) })
      .click();
    await expect(page.getByRole("dialog")).toHaveCount(0);
  }
  const icons = page.locator(".signature-editor .drawn-icon-row img[width]");
  await expect(icons).toHaveCount(2);
  await setMeasure(page, "Icon height", "30");
  const before = await icons.first().getAttribute("src");
  await page.getByRole("button", { name: "Cut all to 30 px" }).click();
  await expect(icons.first()).not.toHaveAttribute("src", before!);
  expect(await icons.evaluateAll((all) => all.map((icon) => icon.getAttribute("height")))).toEqual([
    "30",
    "30",
  ]);
  await page.locator(".signature-editor .ProseMirror").focus();
  await page.keyboard.press("Control+Z");
  await expect(icons.first()).toHaveAttribute("src", before!);
});

test("an animation is pasted, made a loop of, cropped and placed, and changed again from its signature", async ({
  page,
}) => {
  await page.goto("/pictures");
  const bytes = [...(await animation(["#3F5B2E", "#C08A2B", "#F3EFE4"], { width: 120, height: 60 }))];
  /** Whether the page took it: right after it was drawn, it may not be listening yet. */
  const paste = (): Promise<boolean> =>
    page.evaluate((content) => {
      const data = new DataTransfer();
      data.items.add(new File([new Uint8Array(content)], "Seed trays.gif", { type: "image/gif" }));
      return !window.dispatchEvent(
        new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }),
      );
    }, bytes);
  await expect.poll(paste).toBe(true);
  await expect(page.getByText("3 frames")).toBeVisible();
  await page.getByRole("link", { name: "Make a loop of Seed trays.gif" }).click();
  await page.getByRole("button", { name: "Go on" }).click();
  await page.getByRole("radio", { name: "Its crop" }).click();
  await crop(page).focus();
  await page.keyboard.press("ArrowRight");
  await page.getByRole("radio", { name: "The loop" }).click();
  await setMeasure(page, "Width", "50");
  await expect(page.getByRole("region", { name: "Weight" })).toContainText("3 frames");
  await page.getByRole("button", { name: "Keep this loop" }).click();
  await expect(page.getByText("seed-trays.gif is kept: 50 × 25 px")).toBeVisible();

  await startBlank(page, 1, 1);
  await cell(page, 1, 1).click();
  await page.keyboard.press("Alt+Shift+P");
  await page.getByRole("radio", { name: "Cuts and loops" }).click();
  await page.getByRole("button", { name: /^seed-trays\.gif 50 × 25 px/ }).click();
  await expect(page.locator(".signature-editor img")).toHaveAttribute("width", "50");
  await expect(page.getByRole("status").filter({ hasText: /^Saved/ })).toBeVisible();
  await page.goto(`${page.url()}/pictures`);
  await page.getByRole("link", { name: /^Change seed-trays\.gif/ }).click();
  await setMeasure(page, "Width", "40");
  await page.getByRole("button", { name: /^Keep it in/ }).click();
  await expect(page.getByRole("table", { name: "Cuts of Seed trays.gif" })).toContainText("40 × 20 px");
});
