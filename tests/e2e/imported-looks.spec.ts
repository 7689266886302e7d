import { readdirSync, readFileSync } from "node:fs";
import { expect, test, type Page } from "@playwright/test";
import { compile } from "@/core/compile";
import { importHtml, readImportFile } from "@/core/importing";
import { drawnFontRules, packageOfFontFile } from "@/core/signature";

/** Where the words and pictures of a message are drawn, from the top left of all of them; px. */
interface Drawn {
  readonly width: number;
  readonly height: number;
  readonly boxes: readonly { readonly what: string; readonly left: number; readonly top: number }[];
}

const folder = "tests/corpus";
const files = readdirSync(folder).filter((name) => /^\d/.test(name));
const base = "https://pictures.example";

/** What is undeclared is drawn in the type that an import begins with. */
const frame = (html: string): string =>
  `<!DOCTYPE html><html><head><style>${drawnFontRules("https://fonts.example")}
   :where(body){font:13px Arial,sans-serif;color:#333333;margin:0}</style></head>${html}</html>`;

/** Every picture is a square, and the fonts are those that ship. */
async function serve(page: Page): Promise<void> {
  await page.route("**/*", (route) =>
    route.fulfill({
      contentType: "image/svg+xml",
      body: '<svg xmlns="http://www.w3.org/2000/svg" width="100" height="100"><rect width="100" height="100"/></svg>',
    }),
  );
  await page.route("https://fonts.example/*", (route) => {
    const file = route.request().url().split("/").pop() ?? "";
    const family = packageOfFontFile(file);
    if (!family) return route.abort();
    return route.fulfill({ path: `node_modules/@fontsource/${family}/files/${file}` });
  });
}

/** Codes of notes that say that something stands elsewhere than it did. */
const moves = new Set(["list", "running"]);

async function draw(page: Page, html: string): Promise<Drawn> {
  await page.setContent(frame(html));
  return page.evaluate(async () => {
    await Promise.all([...document.images].map((image) => image.decode().catch(() => undefined)));
    await document.fonts.ready;
    const found: { what: string; left: number; top: number; right: number; bottom: number }[] = [];
    const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = texts.nextNode(); node; node = texts.nextNode())
      for (const word of (node.textContent ?? "").matchAll(/[\p{L}\p{N}]+/gu)) {
        const range = document.createRange();
        range.setStart(node, word.index);
        range.setEnd(node, word.index + word[0].length);
        const { left, top, right, bottom, width } = range.getBoundingClientRect();
        if (width > 0) found.push({ what: word[0], left, top: (top + bottom) / 2, right, bottom });
      }
    for (const image of document.images) {
      const { left, top, right, bottom, width, height } = image.getBoundingClientRect();
      if (width > 2 && height > 2)
        found.push({ what: image.getAttribute("src") ?? "", left, top, right, bottom });
    }
    const first = {
      left: Math.min(...found.map((box) => box.left)),
      top: Math.min(...found.map((box) => box.top)),
    };
    return {
      width: Math.max(...found.map((box) => box.right)) - first.left,
      height: Math.max(...found.map((box) => box.bottom)) - first.top,
      boxes: found.map(({ what, left, top }) => ({ what, left: left - first.left, top: top - first.top })),
    };
  });
}

/** What a picture of the message is drawn from; those that lie beside it have no address of their own. */
const addressOf = (written: string): string =>
  written.startsWith("http") ? written : `https://pictures.example/${written.replace(/\W/g, "").slice(-40)}`;

for (const file of files)
  test(`${file} looks as it did`, async ({ page }) => {
    await serve(page);
    const { html } = await readImportFile(file, readFileSync(`${folder}/${file}`));
    const { document, notes, pictures } = importHtml(html, {
      findPicture: (address) => ({ source: addressOf(address) }),
    });
    const served = pictures.reduce((text, { address }) => text.replaceAll(address, addressOf(address)), html);
    const before = await draw(page, served);
    const after = await draw(page, compile(document, { destination: "html-file", person: null, base }));
    if (notes.some(({ code }) => moves.has(code))) return;
    const words = (drawn: Drawn): readonly string[] => drawn.boxes.map(({ what }) => what.toLowerCase());
    expect(words(after)).toEqual(words(before));
    const moved = before.boxes.filter(({ left, top }, index) => {
      const box = after.boxes[index];
      return !box || Math.abs(box.left - left) > 4 || Math.abs(box.top - top) > 4;
    });
    expect(moved).toEqual([]);
    const within = (own: number, other: number): boolean =>
      Math.abs(own - other) <= Math.max(4, other * 0.05);
    expect([after.width, after.height].map(Math.round)).toEqual(
      [before.width, before.height].map((length, index) => {
        const own = index === 0 ? after.width : after.height;
        return Math.round(within(own, length) ? own : length);
      }),
    );
  });
