/**
 * Where the signature is in a message: after the line that parts it from the text (RFC 3676, section 4.3), in a wrapper that
 * a client named so, as the block that comes again further down the thread, or as the last block with a picture or links.
 */
import {
  attributeOf,
  elementsIn,
  isElement,
  isText,
  nodesIn,
  parseMessage,
  parsePage,
  setAttribute,
  visitNodes,
  writeParts,
  type ChildNode,
  type Element,
  type ParentNode,
} from "../html";

export type FoundBy = "delimiter" | "wrapper" | "repeated" | "last-block" | "whole";

export interface SignatureBlock {
  readonly foundBy: FoundBy;
  /** Which of the body's elements it is, in document order; several where a delimiter parts them from the text. */
  readonly elements: readonly number[];
  /** Its HTML with what is around it, so that it looks as it did. */
  readonly html: string;
  /** The beginning of its text. */
  readonly text: string;
}

const plain = (text: string): string => text.replace(/[\s\u00a0]+/g, " ").trim();

const textOf = (parent: ParentNode): string =>
  plain(
    nodesIn(parent)
      .filter(isText)
      .map(({ value }) => value)
      .join(" "),
  );

const parentOf = (node: ChildNode): Element | null => {
  const { parentNode } = node;
  return parentNode && "tagName" in parentNode ? parentNode : null;
};

const isQuote = (element: Element): boolean =>
  element.tagName === "blockquote" ||
  /quote|reply|forward/i.test(`${attributeOf(element, "class") ?? ""} ${attributeOf(element, "id") ?? ""}`);

const isNamed = (element: Element): boolean =>
  /signature|(^|[^a-z])sig([^a-z]|$)/i.test(
    ["class", "id", "name", "aria-label"].map((name) => attributeOf(element, name) ?? "").join(" "),
  );

const blocks = new Set(["table", "div", "p", "section", "td"]);

/** What is asked of every element of a message, found in one walk. */
interface Read {
  /** Elements that say something that a signature would: a picture, or words. */
  readonly saying: ReadonlySet<Element>;
  /** How many letters are in an element, those in what it holds among them. */
  readonly letters: ReadonlyMap<Element, number>;
  /** Elements within a quote, the quote itself among them. */
  readonly quoted: ReadonlySet<Element>;
}

function readBody(body: Element): Read {
  const saying = new Set<Element>();
  const letters = new Map<Element, number>();
  const quoted = new Set<Element>();
  visitNodes(body, {
    enter: (node, parent) => {
      if (!isElement(node)) {
        if (isText(node) && "tagName" in parent) count(parent, plain(node.value).length);
        return;
      }
      if (isQuote(node) || ("tagName" in parent && quoted.has(parent))) quoted.add(node);
      if (node.tagName === "img") saying.add(node);
    },
    leave: (element) => {
      const own = letters.get(element) ?? 0;
      if (own > 0) saying.add(element);
      const around = parentOf(element);
      if (!around) return;
      count(around, own);
      if (saying.has(element)) saying.add(around);
    },
  });
  function count(element: Element, more: number): void {
    letters.set(element, (letters.get(element) ?? 0) + more);
  }
  return { saying, letters, quoted };
}

/** The start tag of an element, as what is in it would be wrapped. */
function wrapped(element: Element, inside: string): string {
  const attributes = element.attrs
    .map(({ name, value }) => ` ${name}="${value.replaceAll("&", "&amp;").replaceAll('"', "&quot;")}"`)
    .join("");
  return `<${element.tagName}${attributes}>${inside}</${element.tagName}>`;
}

/** HTML of some neighbours with the elements that they stand in, and the message's own style sheets. */
function withAround(nodes: readonly ChildNode[], head: Element, body: Element): string {
  const [first] = nodes;
  if (!first) return "";
  let html = nodes.map((node) => writeParts({ ...body, childNodes: [node] })).join("");
  for (let around = parentOf(first); around && around !== body; around = parentOf(around))
    // Cells and rows of a layout around it are no part of it.
    if (!/^(table|tbody|thead|tfoot|tr|td|th)$/.test(around.tagName)) html = wrapped(around, html);
  const styles = [...elementsIn(head), ...elementsIn(body)].filter(({ tagName }) => tagName === "style");
  const sheets = styles.map((style) => writeParts({ ...body, childNodes: [style] })).join("");
  return `<html><head>${sheets}</head>${wrapped(body, html)}</html>`;
}

/** What follows a node to the end of what it stands in, and of what that stands in. */
function following(node: ChildNode, read: Read): readonly ChildNode[] {
  const { parentNode } = node;
  if (!parentNode) return [];
  const at = parentNode.childNodes.indexOf(node);
  const rest = parentNode.childNodes.slice(at + 1).filter((each) => !(isElement(each) && isQuote(each)));
  const shows = rest.some((each) =>
    isElement(each) ? read.saying.has(each) : isText(each) && plain(each.value) !== "",
  );
  const around = parentOf(node);
  return shows || !around || around.tagName === "body" ? rest : following(around, read);
}

const isDelimiter = (text: string): boolean =>
  /^(--|—|–|_{5,}|-{5,}) ?$/.test(text.replace(/[\r\n\u00a0]+/g, " ").trim());

/** The blocks of a message side by side, whatever wrappers are around all of them. */
function topLevel(body: Element, { saying }: Read): readonly Element[] {
  let level = body;
  for (;;) {
    const shown = level.childNodes.filter((node) =>
      isElement(node) ? saying.has(node) : isText(node) && plain(node.value) !== "",
    );
    const [only] = shown;
    if (shown.length !== 1 || !only || !isElement(only) || only.tagName === "table")
      return shown.filter(isElement).filter(({ tagName }) => blocks.has(tagName));
    level = only;
  }
}

/** Letters of a block that may be a signature which comes again: fewer come again by chance, more are no signature. */
const shortest = 12;
const longest = 2000;

/** The most blocks that are offered. */
const most = 12;

/** The blocks of a message that may be its signature, the likeliest first; the whole message is the last. Never throws. */
export function findSignatures(html: string): readonly SignatureBlock[] {
  const { head, body } = parseMessage(html);
  const elements = elementsIn(body);
  const numbers = new Map(elements.map((element, index) => [element, index]));
  const read = readBody(body);
  const { saying, letters, quoted } = read;
  const found: SignatureBlock[] = [];
  const known = new Set<string>();
  const add = (foundBy: FoundBy, nodes: readonly ChildNode[]): void => {
    const text = plain(
      nodes.map((node) => (isText(node) ? node.value : isElement(node) ? textOf(node) : "")).join(" "),
    );
    const written = withAround(nodes, head, body);
    // The same words in another wrapper are no other choice.
    const same = `${text}\n${String(nodes.some(isElement))}`;
    if (written === "" || known.has(same) || found.length >= most) return;
    known.add(same);
    found.push({
      foundBy,
      elements: nodes.filter(isElement).flatMap((element) => numbers.get(element) ?? []),
      html: written,
      text: text.slice(0, 120),
    });
  };
  for (const node of nodesIn(body)) {
    if (!isText(node) || !isDelimiter(node.value)) continue;
    const around = parentOf(node);
    if (around && quoted.has(around)) continue;
    const rest = following(node, read);
    if (rest.length > 0) add("delimiter", rest);
    break;
  }
  for (const element of elements)
    if (isNamed(element) && !quoted.has(element) && saying.has(element)) add("wrapper", [element]);
  const quotes = elements
    .filter((element) => isQuote(element) && !quoted.has(parentOf(element) ?? body))
    .map(textOf);
  if (quotes.length > 0)
    for (const element of [...elements].reverse()) {
      const length = letters.get(element) ?? 0;
      if (quoted.has(element) || !blocks.has(element.tagName) || length < shortest || length > longest)
        continue;
      const text = textOf(element);
      if (!quotes.some((quote) => quote.includes(text))) continue;
      add("repeated", [element]);
      break;
    }
  for (const element of [...topLevel(body, read)].reverse()) {
    const inside = elementsIn(element);
    const shows = inside.some(({ tagName }) => tagName === "img" || tagName === "a");
    if (!quoted.has(element) && (element.tagName === "table" || shows)) add("last-block", [element]);
  }
  add("whole", body.childNodes);
  return found;
}

/** The attribute of what is marked. */
export const chosenAttribute = "data-chosen";
export const blockAttribute = "data-block";

/**
 * The message with the elements of each block naming it by its number, and those of the chosen one marked, for showing them
 * and for pointing at them. An element of several blocks names the likeliest. Never throws.
 */
export function withBlocksMarked(
  html: string,
  blocks: readonly Pick<SignatureBlock, "elements" | "foundBy">[],
  chosen: number,
): string {
  const page = parsePage(html);
  const body = elementsIn(page).find(({ tagName }) => tagName === "body");
  if (!body) return html;
  const all = elementsIn(body);
  for (const [index, { elements, foundBy }] of blocks.entries())
    for (const number of elements) {
      const element = all[number];
      if (!element) continue;
      if (index === chosen && foundBy !== "whole") setAttribute(element, chosenAttribute, "");
      if (attributeOf(element, blockAttribute) === null) setAttribute(element, blockAttribute, String(index));
    }
  return writeParts(page);
}
