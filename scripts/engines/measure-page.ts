/** Measuring what a page draws, in whatever browser runs it. The function is sent as text, so it uses nothing around it. */

/** px from the page's top left, rounded to hundredths. */
export type Box = readonly [left: number, top: number, right: number, bottom: number];

export interface Measured {
  readonly cells: readonly Box[];
  readonly words: readonly { readonly word: string; readonly box: Box }[];
  readonly pictures: readonly Box[];
}

/** One for each element of the class "one", from its own top left. */
export function measurePage(): Measured[] {
  return [...document.querySelectorAll(".one")].map((one) => {
    const origin = one.getBoundingClientRect();
    const box = (rect: DOMRect): Box => [
      Math.round((rect.left - origin.left) * 100) / 100,
      Math.round((rect.top - origin.top) * 100) / 100,
      Math.round((rect.right - origin.left) * 100) / 100,
      Math.round((rect.bottom - origin.top) * 100) / 100,
    ];
    const words: { word: string; box: Box }[] = [];
    const walker = document.createTreeWalker(one, 4);
    for (let node = walker.nextNode(); node; node = walker.nextNode())
      for (const found of (node.nodeValue ?? "").matchAll(/[^\s\u00a0]+/g)) {
        const range = document.createRange();
        range.setStart(node, found.index);
        range.setEnd(node, found.index + found[0].length);
        const rect = range.getClientRects()[0];
        if (rect && rect.width > 0) words.push({ word: found[0], box: box(rect) });
      }
    return {
      cells: [...one.querySelectorAll("td")].map((cell) => box(cell.getBoundingClientRect())),
      words,
      pictures: [...one.querySelectorAll("img")].map((picture) => box(picture.getBoundingClientRect())),
    };
  });
}

/** What is run in the page, once its fonts and pictures are there: a promise of what was measured. */
export const measuring = `(async () => {
  // What this is run with marks functions with their names.
  const __name = (named) => named;
  const measurePage = ${measurePage.toString()};
  void document.body.getBoundingClientRect();
  await document.fonts.ready;
  await Promise.all([...document.images].map((image) => image.complete || new Promise((resolve) => { image.onload = image.onerror = resolve; })));
  return JSON.stringify(measurePage());
})()`;
