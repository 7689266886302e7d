/** Screenshots of what was received: the design is found in real renderings, and what drifted in them is told. */
import { build } from "esbuild";
import sharp from "sharp";
import type { Browser, Page } from "@playwright/test";
import { endpoints, addressOf, type ComparedInstall } from "@/contract";
import { designOf, messageArea, messageOf, received, standIns, wholeAttribute } from "@/core/clients";
import { unstillReason, type DrawnPart, type DrawnWord } from "@/core/layout";
import type { Pixels } from "@/core/pictures";
import { driftOfSighting, sightingOf, type DrawnDesign } from "@/core/sighting";
import { shelfOf } from "./bench";
import { expect, test } from "./test";

/** Records that the signature of a name is installed, and answers with it. */
async function installed(page: Page, name: string): Promise<ComparedInstall> {
  await page.goto(shelfOf(name));
  const href = await page.getByRole("link", { name, exact: true }).first().getAttribute("href");
  const id = href?.split("/")[2] ?? "";
  const { revision } = (await (await page.request.get(`/api/signatures/${id}?after=0`)).json()) as {
    revision: number;
  };
  const made = await page.request.post(addressOf(endpoints.recordInstall, { id }), {
    data: { revision, form: "full", kind: "webmail", account: "", use: "both", by: "", note: "" },
  });
  const { id: install } = (await made.json()) as { id: string };
  const answer = await page.request.get(addressOf(endpoints.compareInstall, { id: install }));
  return (await answer.json()) as ComparedInstall;
}

const white = "html{background:#ffffff}";

const paragraphs = (count: number): string =>
  Array.from(
    { length: count },
    () =>
      '<p style="font:14px Arial;margin:0 0 12px;max-width:620px">Thank you for the lists that came on Monday; the cold store has room again, and the trials begin next week. Please say which of the two boxes you would rather have.</p>',
  ).join("");

interface Letter {
  readonly html: string;
  readonly area?: string;
  readonly scale?: number;
  /** Done to the drawn letter before it is looked at. */
  readonly change?: (page: Page) => Promise<unknown>;
}

/** A page that shows a letter on a display of a scale. */
async function shown<T>(
  browser: Browser,
  site: string,
  { html, area = white, scale = 1, change }: Letter,
  look: (page: Page) => Promise<T>,
): Promise<T> {
  const context = await browser.newContext({
    viewport: { width: 1000, height: 700 },
    deviceScaleFactor: scale,
  });
  try {
    const page = await context.newPage();
    await page.goto(`${site}/fonts/web-safe.css`);
    await page.setContent(
      `<!DOCTYPE html><head><link rel="stylesheet" href="${site}/fonts/web-safe.css"><style>body{margin:0;padding:8px;display:flow-root}${area}</style></head>${html}`,
    );
    await page.evaluate(async () => {
      await document.fonts.ready;
      await Promise.all([...document.images].map((picture) => picture.decode().catch(() => undefined)));
    });
    await change?.(page);
    return await look(page);
  } finally {
    await context.close();
  }
}

const screenshot = (page: Page): Promise<Buffer> => page.screenshot();

async function pixelsOf(png: Buffer): Promise<Pixels> {
  const { data, info } = await sharp(png).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return { data: new Uint8Array(data), width: info.width, height: info.height };
}

/** What the application itself reads the places of parts with. */
async function readerOfParts(): Promise<string> {
  const { outputFiles } = await build({
    stdin: {
      contents:
        'import { readParts } from "./src/ui/signature/stillness/read-parts"; window.readParts = readParts;',
      resolveDir: process.cwd(),
    },
    bundle: true,
    write: false,
    format: "iife",
    alias: { "@": "./src" },
  });
  return outputFiles[0]?.text ?? "";
}

/** The design as it is drawn by a browser, and not by the page that compares. */
async function designAt(browser: Browser, site: string, html: string): Promise<DrawnDesign> {
  const reader = await readerOfParts();
  return shown(browser, site, { html: designOf(messageOf(html, true).read), scale: 2 }, async (page) => {
    await page.addScriptTag({ content: reader });
    const { parts, words } = await page.evaluate(() => {
      const { readParts } = window as unknown as {
        readParts: (body: HTMLElement) => { parts: DrawnPart[]; words: Map<number, DrawnWord[]> };
      };
      const read = readParts(document.body);
      return { parts: read.parts, words: [...read.words] };
    });
    const known = new Map(words);
    return {
      pixels: await pixelsOf(await page.locator(`[${wholeAttribute}]`).screenshot()),
      density: 2,
      parts: parts.map((part) => ({ ...part, words: known.get(part.id) ?? [] })),
    };
  });
}

/** What is not still in a picture, by name; null where the design is not found. */
function unstill(design: DrawnDesign, picture: Pixels): Readonly<Record<string, string>> | null {
  const sighting = sightingOf(design, picture);
  return (
    sighting &&
    Object.fromEntries(
      driftOfSighting(design.parts, sighting).flatMap((part) => {
        const reason = unstillReason(part);
        return reason === null
          ? []
          : [[part.text, reason === "moved" ? `moved ${Math.round(part.moved)}` : reason]];
      }),
    )
  );
}

/** Of the row of icons, one by its alt text. */
const icon = (page: Page, name: string) => page.locator(`img[alt="Harrow Fen on ${name}"]`);

test("renderings at every scale, light and dark, are found and still; what was changed in them is told", async ({
  page,
  browser,
  site,
}) => {
  test.setTimeout(600_000);
  const { before, base } = await installed(page, "Full");
  const html = before.replaceAll(`"${base}/h/`, `"${site.address}/h/`);
  const design = await designAt(browser, site.address, html);
  const taken = async (letter: Letter): Promise<Pixels> =>
    pixelsOf(await shown(browser, site.address, letter, screenshot));
  const message = messageOf(html, true);
  const by = (mode: "light" | "dark"): Letter => ({
    html: paragraphs(2) + received(message, "desktop-browser", { mode }).html + paragraphs(3),
    area: messageArea(standIns["desktop-browser"], mode),
  });

  for (const scale of [1, 1.25, 1.5, 2, 3]) {
    const found = sightingOf(design, await taken({ ...by("light"), scale }));
    expect(found?.place.scale, `light at ${scale}`).toBeCloseTo(scale, 3);
    expect(found && driftOfSighting(design.parts, found).filter((part) => unstillReason(part))).toEqual([]);
  }
  for (const scale of [1, 2]) {
    const found = sightingOf(design, await taken({ ...by("dark"), scale }));
    expect(found?.ground, `dark at ${scale}`).toBe("#1A1C1B");
    expect(found && driftOfSighting(design.parts, found).filter((part) => unstillReason(part))).toEqual([]);
  }

  expect(
    unstill(
      design,
      await taken({
        ...by("light"),
        change: (letter) => icon(letter, "Plotline").evaluate((each) => (each.style.visibility = "hidden")),
      }),
    ),
  ).toEqual({ "Harrow Fen on Plotline": "missing" });
  expect(
    unstill(
      design,
      await taken({
        ...by("light"),
        scale: 1.5,
        change: (letter) =>
          icon(letter, "Slow Reel").evaluate((each) => (each.style.cssText += "position:relative;left:11px")),
      }),
    ),
  ).toEqual({ "Harrow Fen on Slow Reel": "moved 11" });
  const blue = sightingOf(
    design,
    await taken({
      html: html + paragraphs(1),
      area: `${white}a,a *{color:#1a0dab !important;text-decoration:underline !important}`,
    }),
  );
  const mail = design.parts.find(({ text }) => text === "tamsin@harrowfen.example");
  const recolored =
    blue && driftOfSighting(design.parts, blue).find(({ text }) => text === "tamsin@harrowfen.example");
  expect(mail).toBeDefined();
  expect(recolored?.recolored).toBeGreaterThan(20);
  expect(recolored && unstillReason(recolored)).toBeNull();
  expect(unstill(design, await taken({ html: paragraphs(6) }))).toBeNull();
});

test("a screenshot is dropped, told of, kept with the install, taken away and taken back", async ({
  page,
  browser,
  site,
}) => {
  test.setTimeout(400_000);
  const { id, before, base } = await installed(page, "Full");
  const html = before.replaceAll(`"${base}/h/`, `"${site.address}/h/`);
  const lacking = await shown(
    browser,
    site.address,
    {
      html: paragraphs(2) + html + paragraphs(1),
      scale: 2,
      change: (letter) => icon(letter, "Plotline").evaluate((each) => (each.style.visibility = "hidden")),
    },
    screenshot,
  );
  const other = await shown(browser, site.address, { html: paragraphs(5) }, screenshot);

  await page.goto(`/installs/${id}`);
  const choose = page.getByLabel("Choose a screenshot");
  await choose.setInputFiles({ name: "in-the-webmail.png", mimeType: "image/png", buffer: lacking });
  const told = page.getByRole("article", { name: "Screenshot in-the-webmail.png" });
  await expect(told.getByText("1 gone", { exact: true })).toBeVisible({ timeout: 150_000 });
  await expect(told.getByRole("listitem")).toHaveText(["1“Harrow Fen on Plotline” is gone"]);
  await expect(told).toContainText("Drawn at 2 ×, upon #FFFFFF");
  // Only what is around the signature is kept.
  const kept = told.getByRole("img", { name: "The signature as it arrived" });
  await expect
    .poll(() => kept.evaluate((picture: HTMLImageElement) => picture.naturalWidth))
    .toBeGreaterThan(800);
  expect(await kept.evaluate((picture: HTMLImageElement) => picture.naturalHeight)).toBeLessThan(520);

  await told.getByRole("radio", { name: "As it was built, in its place" }).click();
  await expect(told.getByRole("img", { name: "The signature as it was built" })).toBeVisible();

  await choose.setInputFiles({ name: "another-letter.png", mimeType: "image/png", buffer: other });
  await expect(page.getByRole("alert").filter({ hasText: "not found in “another-letter.png”" })).toBeVisible({
    timeout: 150_000,
  });
  await page.getByRole("button", { name: "Keep the screenshot all the same" }).click();
  const plain = page.getByRole("article", { name: "Screenshot another-letter.png" });
  await expect(plain.getByRole("button", { name: "Compare it" })).toBeVisible();

  await page.reload();
  await expect(told.getByText("1 gone", { exact: true })).toBeVisible();
  await plain.getByRole("button", { name: "Remove another-letter.png" }).click();
  await expect(plain).toBeHidden();
  await page.getByRole("button", { name: "Take it back" }).click();
  await expect(plain).toBeVisible();

  await choose.setInputFiles({
    name: "notes.txt",
    mimeType: "text/plain",
    buffer: Buffer.from("no picture"),
  });
  await expect(page.getByRole("alert").filter({ hasText: "“notes.txt” is no picture" })).toBeVisible();
});
