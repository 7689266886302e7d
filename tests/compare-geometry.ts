/**
 * What is laid out without a browser beside what Chromium draws of the same HTML: the box of every element and of every word, and which
 * line it stands in. px.
 */
import { readFileSync } from "node:fs";
import type { Page as BrowserPage, Route } from "playwright-core";
import {
  elementsIn,
  isElement,
  isText,
  parseMessage,
  type Element,
  type ParentNode,
  type TextNode,
} from "@/core/html";
import { inLines, layOut, type Geometry, type Page } from "@/core/layout";
import { drawnFontRules } from "@/core/signature";

export interface Compared {
  /** How many boxes were held against each other. */
  readonly boxes: number;
  /** Those that lie more than 1 px apart, said each. */
  readonly apart: readonly string[];
  /** Texts whose words stand in other lines. */
  readonly wraps: readonly string[];
}

type Numbers = readonly [number, number, number, number];

interface DrawnWord {
  readonly text: string;
  readonly box: Numbers;
}

interface Drawn {
  readonly elements: readonly { readonly tag: string; readonly box: Numbers }[];
  /** The words of each text. */
  readonly texts: readonly (readonly DrawnWord[])[];
}

/** A picture of one px: what counts is the size that it is given. */
const picture = Buffer.from(
  "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==",
  "base64",
);
const fontFile = /^\/fonts\/((.+?)-(?:latin|latin-ext|cyrillic|greek|hebrew)-[47]00-\w+\.woff2)$/;
const address = "http://drawn.example/";

async function answer(route: Route, body: string): Promise<void> {
  const { pathname } = new URL(route.request().url());
  const [, file, family] = fontFile.exec(pathname) ?? [];
  if (pathname === "/") await route.fulfill({ contentType: "text/html;charset=utf-8", body });
  else if (file)
    await route.fulfill({
      contentType: "font/woff2",
      body: readFileSync(`node_modules/@fontsource/${family}/files/${file}`),
    });
  else await route.fulfill({ contentType: "image/png", body: picture });
}

/** In the browser. Functions in it have no names, so that it runs however it was compiled. */
const readDrawn = async (): Promise<Drawn[]> => {
  void document.body.offsetHeight;
  await document.fonts.ready;
  return [...document.querySelectorAll(".one")].map((one) => {
    const { left, top } = one.getBoundingClientRect();
    const texts: DrawnWord[][] = [];
    const walker = document.createTreeWalker(one, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const words: DrawnWord[] = [];
      for (const found of (node.nodeValue ?? "").matchAll(/\S+/g)) {
        const range = document.createRange();
        range.setStart(node, found.index);
        range.setEnd(node, found.index + found[0].length);
        for (const rect of range.getClientRects())
          if (rect.width > 0)
            words.push({ text: found[0], box: [rect.left - left, rect.top - top, rect.width, rect.height] });
      }
      texts.push(words);
    }
    return {
      elements: [...one.querySelectorAll("*")].map((element) => {
        const rect = element.getBoundingClientRect();
        return {
          tag: element.tagName.toLowerCase(),
          box: [rect.left - left, rect.top - top, rect.width, rect.height] as const,
        };
      }),
      texts,
    };
  });
};

const textsIn = (parent: ParentNode): readonly TextNode[] =>
  parent.childNodes.flatMap((node) => (isText(node) ? [node] : isElement(node) ? textsIn(node) : []));

const isApart = (one: Numbers, other: Numbers): boolean =>
  one.some((length, index) => Math.abs(length - (other[index] ?? 0)) > 1);
const said = (box: Numbers): string => box.map((length) => length.toFixed(1)).join(" ");
const numbers = (box: { left: number; top: number; width: number; height: number }): Numbers => [
  box.left,
  box.top,
  box.width,
  box.height,
];

/** As they stand on the page: those of a line from the left. */
const inOrder = (words: readonly DrawnWord[]): readonly DrawnWord[] =>
  [...words].sort(
    (one, other) =>
      Math.round((one.box[1] - other.box[1]) / Math.max(4, one.box[3] / 2)) || one.box[0] - other.box[0],
  );

const lineCounts = (words: readonly DrawnWord[]): string =>
  inLines(words.map(({ text, box: [left, top, width, height] }) => ({ text, left, top, width, height })))
    .map((line) => line.length)
    .join("+");

function compareOne(name: string, body: Element, geometry: Geometry, drawn: Drawn): Compared {
  const apart: string[] = [];
  const wraps: string[] = [];
  let boxes = 0;
  const placed = new Map(geometry.elements.map((each) => [each.element, numbers(each)]));
  elementsIn(body).forEach((element, index) => {
    const own = placed.get(element);
    const there = drawn.elements[index];
    if (there?.tag !== element.tagName)
      throw new Error(`${name}: ${element.tagName} is not where it is drawn`);
    if (!own) return;
    boxes += 1;
    if (isApart(own, there.box))
      apart.push(`${name}: ${element.tagName} ${said(own)}, drawn ${said(there.box)}`);
  });
  const words = new Map<TextNode, DrawnWord[]>();
  for (const word of geometry.words)
    if (word.width > 0) {
      const own = words.get(word.node) ?? [];
      own.push({ text: word.text, box: numbers(word) });
      words.set(word.node, own);
    }
  textsIn(body).forEach((text, index) => {
    const own = inOrder(words.get(text) ?? []);
    const there = inOrder(drawn.texts[index] ?? []);
    boxes += Math.max(own.length, there.length);
    if (lineCounts(own) !== lineCounts(there))
      wraps.push(`${name}: “${text.value}” in lines of ${lineCounts(own)} words, drawn ${lineCounts(there)}`);
    for (let at = 0; at < Math.max(own.length, there.length); at += 1) {
      const [one, other] = [own[at], there[at]];
      if (!one || !other || isApart(one.box, other.box))
        apart.push(
          `${name}: “${(one ?? other)?.text}” ${one ? said(one.box) : "nowhere"}, drawn ${other ? said(other.box) : "nowhere"}`,
        );
    }
  });
  return { boxes, apart, wraps };
}

export interface Sample {
  readonly of: string;
  readonly html: string;
}

/** Those samples all of whose letters are in the faces that they are set in: others are drawn with what a machine has. */
export const measurable = (samples: readonly Sample[], page: Page): readonly Sample[] =>
  samples.filter(({ html }) => layOut(parseMessage(html).body, page).missing.length === 0);

/** How many are drawn on one page of the browser. */
const atOnce = 250;

/** `rules` are those of the page's style sheet, so that the browser draws as the page says. */
export async function compareGeometry(
  browser: BrowserPage,
  samples: readonly Sample[],
  page: Page,
  rules: string,
): Promise<Compared> {
  const all: Compared[] = [];
  for (let first = 0; first < samples.length; first += atOnce) {
    const some = samples.slice(first, first + atOnce);
    const body =
      `<!doctype html><style>${drawnFontRules("/fonts")}\n${rules}\nbody{margin:0}.one{width:${page.width}px;display:flow-root}</style>` +
      some.map(({ html }) => `<div class="one">${html}</div>`).join("");
    await browser.route(`${address}**`, (route) => answer(route, body));
    await browser.route(/^https?:\/\/(?!drawn\.example)/, (route) => answer(route, body));
    await browser.goto(address);
    const drawn = await browser.evaluate(readDrawn);
    await browser.unrouteAll({ behavior: "wait" });
    some.forEach(({ of, html }, index) => {
      const parsed = parseMessage(html).body;
      all.push(compareOne(of, parsed, layOut(parsed, page), drawn[index] ?? { elements: [], texts: [] }));
    });
  }
  return {
    boxes: all.reduce((sum, { boxes }) => sum + boxes, 0),
    apart: all.flatMap(({ apart }) => apart),
    wraps: all.flatMap(({ wraps }) => wraps),
  };
}
