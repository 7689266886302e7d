/** Where the cells, words and pictures of a drawn signature lie, on the sheet or as it is sent; px from its top left. */
import type { Locator } from "@playwright/test";

export interface DrawnBoxes {
  /** Width and height of the whole table. */
  readonly size: readonly [number, number];
  /** Left, top, right and bottom of each cell of the outer table, in reading order. */
  readonly cells: readonly (readonly number[])[];
  /** Left and top of each word. */
  readonly words: Readonly<Record<string, readonly [number, number]>>;
  /** Left, top, right and bottom of each picture. */
  readonly pictures: readonly (readonly number[])[];
}

/** Measures what is drawn in an element that holds the signature's table. */
export const drawnBoxes = (holder: Locator): Promise<DrawnBoxes> =>
  holder.evaluate(async (element) => {
    // A font is asked for when the first word is set in it.
    void element.getBoundingClientRect();
    await document.fonts.ready;
    const table = element.querySelector("table");
    if (!table) throw new Error("No table is drawn");
    const origin = table.getBoundingClientRect();
    const box = (rect: DOMRect): number[] =>
      [
        rect.left - origin.left,
        rect.top - origin.top,
        rect.right - origin.left,
        rect.bottom - origin.top,
      ].map((length) => Math.round(length * 100) / 100);
    const words: Record<string, [number, number]> = {};
    const walker = document.createTreeWalker(table, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode())
      for (const found of (node.nodeValue ?? "").matchAll(/w\d+[a-z]*/g)) {
        const range = document.createRange();
        range.setStart(node, found.index);
        range.setEnd(node, found.index + found[0].length);
        const [left = 0, top = 0] = box(range.getClientRects()[0] ?? range.getBoundingClientRect());
        words[found[0]] = [left, top];
      }
    return {
      size: [origin.width, origin.height],
      cells: [...table.rows].flatMap((row) =>
        [...row.cells].map((cell) => box(cell.getBoundingClientRect())),
      ),
      words,
      pictures: [...table.querySelectorAll("img:not(.ProseMirror-separator)")].map((picture) =>
        box(picture.getBoundingClientRect()),
      ),
    };
  });

/** Whatever lies more than `within` px apart, each said once; empty where both are the same. */
export function differences(sheet: DrawnBoxes, sent: DrawnBoxes, within: number): readonly string[] {
  const far = (one: readonly number[], other: readonly number[] | undefined): boolean =>
    !other ||
    one.length !== other.length ||
    one.some((length, index) => Math.abs(length - (other[index] ?? 0)) > within);
  const said = (what: string, one: readonly number[], other: readonly number[] | undefined): string =>
    `${what}: ${one.join(" ")} on the sheet, ${other?.join(" ") ?? "nothing"} as sent`;
  const listed = (what: string, one: readonly (readonly number[])[], other: readonly (readonly number[])[]) =>
    one.flatMap((box, index) =>
      far(box, other[index]) ? [said(`${what} ${index + 1}`, box, other[index])] : [],
    );
  return [
    ...(far(sheet.size, sent.size) ? [said("table", sheet.size, sent.size)] : []),
    ...listed("cell", sheet.cells, sent.cells),
    ...Object.entries(sheet.words).flatMap(([word, place]) =>
      far(place, sent.words[word]) ? [said(word, place, sent.words[word])] : [],
    ),
    ...listed("picture", sheet.pictures, sent.pictures),
  ];
}
