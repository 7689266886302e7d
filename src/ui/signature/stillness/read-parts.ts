/** Reads where the parts of a drawn signature stand, and how they look, from the document that draws it. */
import { boxAttribute, partAttribute, wholeAttribute } from "@/core/clients";
import { around, linesOf, shifted, type DrawnPart, type DrawnWord } from "@/core/layout";
import type { Size } from "@/core/pictures";

export interface DrawnSignature {
  readonly parts: readonly DrawnPart[];
  /** The words of each text, by its id. */
  readonly words: ReadonlyMap<number, readonly DrawnWord[]>;
  /** How wide what is drawn is, beyond its pane as well; px. */
  readonly width: number;
  /** The size of the whole signature. */
  readonly whole: Size;
  /** The smallest type that has letters; px. */
  readonly smallestType: number;
}

/** Colours that let one see through them wholly, as browsers compute them. */
const seeThrough = /^(transparent|rgba\(\d+, \d+, \d+, 0\))$/;

/** The texts of a part: those in it that stand in no other part. */
function textsOf(part: Element): readonly Text[] {
  const found: Text[] = [];
  const walker = part.ownerDocument.createTreeWalker(
    part,
    NodeFilter.SHOW_ELEMENT | NodeFilter.SHOW_TEXT,
    (node) =>
      node instanceof part.ownerDocument.defaultView!.Element && node.hasAttribute(partAttribute)
        ? NodeFilter.FILTER_REJECT
        : NodeFilter.FILTER_ACCEPT,
  );
  for (let node = walker.nextNode(); node; node = walker.nextNode())
    if (node.nodeType === Node.TEXT_NODE && node.textContent?.trim()) found.push(node as Text);
  return found;
}

/** The words of a text in px of the window; a word that is broken is as many. */
function wordsOf(texts: readonly Text[]): readonly DrawnWord[] {
  const words: DrawnWord[] = [];
  for (const text of texts)
    for (const word of text.data.matchAll(/\S+/g)) {
      const range = text.ownerDocument.createRange();
      range.setStart(text, word.index);
      range.setEnd(text, word.index + word[0].length);
      for (const { left, top, width, height } of range.getClientRects())
        if (width > 0) words.push({ text: word[0], left, top, width, height });
    }
  return words;
}

/** The path of a hosted picture, whatever is asked of it after. */
const pathOf = (picture: Element): string => (picture.getAttribute("src") ?? "").split("?")[0] ?? "";

const sides = ["Top", "Right", "Bottom", "Left"] as const;

/** The cells that are drawn with a border or filled; one whose border and filling are gone is not there. */
function boxesIn(body: HTMLElement, view: Window, origin: DOMRect): readonly DrawnPart[] {
  return [...body.querySelectorAll(`[${boxAttribute}]`)].flatMap((element): readonly DrawnPart[] => {
    const style = view.getComputedStyle(element);
    const border = sides.find(
      (side) => style[`border${side}Style`] !== "none" && Number.parseFloat(style[`border${side}Width`]) > 0,
    );
    const filled = !seeThrough.test(style.backgroundColor);
    if (!border && !filled) return [];
    const { left, top, width, height } = element.getBoundingClientRect();
    return [
      {
        // Numbers below zero, since a cell may hold text as well.
        id: -1 - Number(element.getAttribute(boxAttribute)),
        kind: "box",
        text: border ? "border" : "filled cell",
        left: left - origin.left,
        top: top - origin.top,
        width,
        height,
        lines: [],
        color: border ? style[`border${border}Color`] : style.backgroundColor,
        behind: style.backgroundColor,
        fontSize: 0,
        fontFamily: "",
        source: "",
      },
    ];
  });
}

/** Every part that has a box, its place measured from the signature's top left. */
export function readParts(body: HTMLElement): DrawnSignature {
  const view = body.ownerDocument.defaultView!;
  const origin = (body.querySelector(`[${wholeAttribute}]`) ?? body).getBoundingClientRect();
  const grounds = new Map<Element, string>();
  const behind = (element: Element): string => {
    const known = grounds.get(element);
    if (known !== undefined) return known;
    const own = view.getComputedStyle(element).backgroundColor;
    const ground = !seeThrough.test(own) || !element.parentElement ? own : behind(element.parentElement);
    grounds.set(element, ground);
    return ground;
  };
  const parts: DrawnPart[] = [];
  const words = new Map<number, readonly DrawnWord[]>();
  let smallestType = Infinity;
  for (const element of body.querySelectorAll(`[${partAttribute}]`)) {
    const style = view.getComputedStyle(element);
    const picture = element.tagName === "IMG";
    const texts = picture ? [] : textsOf(element);
    const spoken = wordsOf(texts);
    const boxes = picture ? [element.getBoundingClientRect()] : spoken;
    if (boxes.length === 0) continue;
    const box = around(boxes);
    const id = Number(element.getAttribute(partAttribute));
    const fontSize = Number.parseFloat(style.fontSize);
    const text = picture
      ? ((element as HTMLImageElement).alt ?? "")
      : texts.map(({ data }) => data.trim()).join(" ");
    // Links that a client makes by itself have a colour of their own.
    const shown = texts[0]?.parentElement ?? element;
    if (/[\p{L}\p{N}]/u.test(text) && !picture) smallestType = Math.min(smallestType, fontSize);
    words.set(
      id,
      spoken.map((word) => ({ ...word, ...shifted(word, -origin.left, -origin.top) })),
    );
    parts.push({
      id,
      kind: picture ? "picture" : "text",
      text,
      ...shifted(box, -origin.left, -origin.top),
      lines: linesOf(spoken),
      color: view.getComputedStyle(shown).color,
      behind: behind(shown),
      fontSize,
      fontFamily: style.fontFamily,
      source: picture ? pathOf(element) : "",
    });
  }
  parts.push(...boxesIn(body, view, origin));
  return {
    parts,
    words,
    width: body.scrollWidth,
    whole: { width: origin.width, height: origin.height },
    smallestType,
  };
}
