/** How still a signature stays over three rounds of answers, measured as it is drawn: what docs/rounds.md says of it. */
import { expect, test, type Page } from "@playwright/test";
import { messageOf, received, standIns } from "@/core/clients";
import { deskClients } from "@/core/desks";
import { allExchanges, type Exchange } from "../rounds";

/** A word or a picture, from the top left of the first piece; px. */
interface Piece {
  readonly what: string;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

async function draw(page: Page, html: string, canvas: string): Promise<readonly Piece[]> {
  await page.setContent(
    `<!DOCTYPE html><style>body{margin:8px;background:${canvas};font:16px Arial,sans-serif}</style>${html}`,
  );
  return page.evaluate(async () => {
    await Promise.all([...document.images].map((image) => image.decode().catch(() => undefined)));
    const pieces: Piece[] = [];
    const all = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT | NodeFilter.SHOW_ELEMENT);
    const add = (what: string, { left, top, width, height }: DOMRect): void => {
      pieces.push({ what, left, top, width, height });
    };
    for (let node = all.nextNode(); node; node = all.nextNode()) {
      if (node instanceof HTMLImageElement) add(`picture ${node.alt}`, node.getBoundingClientRect());
      if (!(node instanceof Text) || node.data.trim() === "") continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      add(node.data.replace(/\s+/g, " ").trim(), range.getBoundingClientRect());
    }
    return pieces;
  });
}

/** Pieces of a signature where all of them stand last in a letter, one after another; none where they do not. */
function lastOf(signature: readonly Piece[], letter: readonly Piece[]): readonly Piece[] {
  const at = letter.findLastIndex((_, start) =>
    signature.every(({ what }, index) => letter[start + index]?.what === what),
  );
  return at < 0 ? [] : letter.slice(at, at + signature.length);
}

/** How far the piece that moved or changed its size most did so; whole px. */
function shiftOf(before: readonly Piece[], after: readonly Piece[]): number {
  const [from, to] = [before[0], after[0]];
  if (!from || !to || before.length !== after.length) return Infinity;
  const shifts = before.flatMap((piece, index) => {
    const now = after[index] ?? piece;
    return [
      now.left - to.left - (piece.left - from.left),
      now.top - to.top - (piece.top - from.top),
      now.width - piece.width,
      now.height - piece.height,
    ].map(Math.abs);
  });
  return Math.round(Math.max(...shifts));
}

const served = "https://round.example/?";

/** What somebody with the first client sees: the first letter among what was sent, and the last among what came. */
async function shift(page: Page, { first, signature, letters, pictures }: Exchange): Promise<number> {
  const client = deskClients[first].standIn;
  const seen = (html: string): string => {
    let drawn = received(messageOf(html), client).html;
    for (const address of pictures.keys())
      drawn = drawn.replaceAll(`src="${address}"`, `src="${served}${encodeURIComponent(address)}"`);
    return drawn;
  };
  await page.unrouteAll();
  await page.route("**/*", (route) => {
    const address = decodeURIComponent(route.request().url().replace(served, ""));
    const bytes = pictures.get(address);
    return bytes ? route.fulfill({ contentType: "image/png", body: Buffer.from(bytes) }) : route.abort();
  });
  const own = await draw(page, seen(signature), standIns[client].canvas.light);
  const [before, after] = [
    await draw(page, seen(letters[0]), standIns[client].canvas.light),
    await draw(page, seen(letters[1]), standIns[client].canvas.light),
  ];
  return shiftOf(lastOf(own, before), lastOf(own, after));
}

test("after three rounds a signature stands to the px where it stood, between every two clients", async ({
  page,
}) => {
  const exchanges = allExchanges();
  const moved: string[] = [];
  for (const exchange of exchanges) {
    const px = await shift(page, exchange);
    if (px > 0) moved.push(`${exchange.first} and ${exchange.second}: ${px} px`);
  }
  expect(exchanges).toHaveLength(25);
  expect(moved).toEqual([]);
});

test("what moves is seen to move", async ({ page }) => {
  const [exchange] = allExchanges();
  if (!exchange) throw new Error("Nobody writes to anybody.");
  const [first, last] = exchange.letters;
  const unsized = last
    .replace(/ height="\d+"|;?height:\d+px/g, "")
    .replace(/ width="\d+"|;?width:\d+px/g, "");
  expect(await shift(page, { ...exchange, letters: [first, unsized] })).toBeGreaterThan(20);
  expect(await shift(page, { ...exchange, letters: [first, "<p>Gone</p>"] })).toBe(Infinity);
});
