/** What of some HTML is neither in the document that it became nor in its report: words, links and pictures. */
import type { Node } from "prosemirror-model";
import { attributeOf, elementsIn, isText, nodesIn, parseMessage, type Element } from "@/core/html";
import type { Imported } from "@/core/importing";
import { hrefOf, image, picturesOf, personField, separator } from "@/core/signature";

export interface Unaccounted {
  readonly words: readonly string[];
  readonly links: readonly string[];
  readonly pictures: readonly string[];
}

const notShown = new Set("script style title noscript template head xml".split(" "));

const isShown = (element: Element | null): boolean => {
  for (let around = element; around && "tagName" in around; around = around.parentNode as Element | null)
    if (notShown.has(around.tagName)) return false;
  return true;
};

const wordsOf = (text: string): readonly string[] => text.normalize("NFC").match(/[\p{L}\p{N}]+/gu) ?? [];

/** Words as often as they stand there. */
function counted(words: readonly string[]): Map<string, number> {
  const counts = new Map<string, number>();
  for (const word of words) counts.set(word, (counts.get(word) ?? 0) + 1);
  return counts;
}

function documentWords(document: Node): string {
  const found: string[] = [];
  document.descendants((node) => {
    if (node.isText) found.push(node.text ?? "");
    else if (personField.is(node)) found.push(personField.of(node).fallback);
    else if (separator.is(node)) found.push(separator.of(node).glyph);
    // Text stands in pieces where its look changes within a word.
    if (node.isTextblock || node.type.name === "break") found.push(" ");
  });
  return found.join("");
}

/** A text as words do not depend on where elements part it. */
const joined = (text: string): string => text.replace(/[^\p{L}\p{N}]+/gu, "");

/** What the HTML says, element by element, where it is shown at all. */
export function unaccounted(html: string, { document, notes, pictures }: Imported): Unaccounted {
  const { body } = parseMessage(html);
  const said = notes.map(({ what }) => what).join(" ");
  const held = counted(wordsOf(`${documentWords(document)} ${said}`));
  const all = joined(`${documentWords(document)} ${said}`.normalize("NFC"));
  const texts = nodesIn(body)
    .filter(isText)
    .filter(({ parentNode }) => isShown(parentNode as Element));
  const words = texts
    .flatMap(({ value }) => wordsOf(value))
    .filter((word) => {
      const left = held.get(word) ?? 0;
      if (left > 0) {
        held.set(word, left - 1);
        return false;
      }
      return !all.includes(word);
    });
  const elements = elementsIn(body).filter(isShown);
  const leads = new Set<string>();
  document.descendants((node) => {
    const href = hrefOf(node);
    if (href !== null) leads.add(href);
  });
  const plain = documentWords(document);
  const links = elements
    .filter(({ tagName }) => tagName === "a" || tagName === "area")
    .flatMap((element) => (attributeOf(element, "href") ?? "").trim() || [])
    .map((href) => href.replace(/[\t\n\r]/g, "").replace(/\s/g, "%20"))
    .filter((href) => {
      if (leads.has(href) || said.includes(href)) return false;
      // Text that leads there by itself needs no mark.
      const bare = href.replace(/^(mailto:|tel:|https?:\/\/)/i, "").replace(/\/$/, "");
      return !plain.includes(bare) && !plain.replace(/\D/g, "").includes(bare.replace(/\D/g, "") || "none");
    });
  const shown = new Set(picturesOf(document).map(({ node }) => image.of(node).source));
  const mentioned = new Set(pictures.map(({ address }) => address));
  const missing = elements
    .filter(({ tagName }) => tagName === "img")
    .flatMap((element) => (attributeOf(element, "src") ?? "").trim() || [])
    .filter((source) => !shown.has(source) && !mentioned.has(source) && !said.includes(source.slice(0, 40)));
  return { words, links, pictures: missing };
}
