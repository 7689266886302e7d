/** Where the words and pictures of a frame's body are drawn, px from the top left of all of them. */
import type { DrawnWords } from "@/core/importing";

/** More would keep the page busy: what moves among so many shows as well. */
const most = 2000;

/** Waits for the fonts and pictures that decide where things stand. */
export async function drawnWordsOf(body: HTMLElement): Promise<DrawnWords> {
  const page = body.ownerDocument;
  await page.fonts.ready;
  const waiting = [...page.images].filter((image) => !image.complete);
  await Promise.all(waiting.map((image) => image.decode().catch(() => undefined)));
  const found: { what: string; left: number; top: number; right: number; bottom: number }[] = [];
  const texts = page.createTreeWalker(body, NodeFilter.SHOW_TEXT);
  for (let node = texts.nextNode(); node && found.length < most; node = texts.nextNode())
    for (const word of (node.textContent ?? "").matchAll(/[\p{L}\p{N}]+/gu)) {
      const range = page.createRange();
      range.setStart(node, word.index);
      range.setEnd(node, word.index + word[0].length);
      const { left, top, right, bottom, width } = range.getBoundingClientRect();
      if (width > 0) found.push({ what: word[0], left, top: (top + bottom) / 2, right, bottom });
    }
  for (const image of page.images) {
    const { left, top, right, bottom, width, height } = image.getBoundingClientRect();
    if (width > 2 && height > 2) found.push({ what: image.alt || image.src, left, top, right, bottom });
  }
  const left = Math.min(...found.map((box) => box.left));
  const top = Math.min(...found.map((box) => box.top));
  return {
    width: found.length === 0 ? 0 : Math.max(...found.map((box) => box.right)) - left,
    height: found.length === 0 ? 0 : Math.max(...found.map((box) => box.bottom)) - top,
    boxes: found.map((box) => ({ what: box.what, left: box.left - left, top: box.top - top })),
  };
}
