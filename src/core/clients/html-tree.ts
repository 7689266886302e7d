/** HTML as inert data: parsed by parse5, walked with places, and written back. Nothing in it ever runs. */
import { defaultTreeAdapter, parse, parseFragment, serialize, type DefaultTreeAdapterTypes } from "parse5";

export type Element = DefaultTreeAdapterTypes.Element;
export type ChildNode = DefaultTreeAdapterTypes.ChildNode;
export type ParentNode = DefaultTreeAdapterTypes.ParentNode;

export const isElement = (node: ChildNode): node is Element => "tagName" in node;
export const isText = (node: ChildNode): node is DefaultTreeAdapterTypes.TextNode =>
  node.nodeName === "#text";
export const isComment = (node: ChildNode): node is DefaultTreeAdapterTypes.CommentNode =>
  node.nodeName === "#comment";

/** A message's HTML, fragment or whole file, as one tree of head and body. */
export interface Message {
  readonly head: Element;
  readonly body: Element;
}

/** Reads any HTML as a browser would (WHATWG HTML 13.2). Never throws. */
export function parseMessage(html: string): Message {
  const document = parse(html);
  const root = document.childNodes.find(isElement)!;
  const [head, body] = root.childNodes.filter(isElement);
  return { head: head!, body: body! };
}

export const parseParts = (html: string): readonly ChildNode[] => parseFragment(html).childNodes;

export const writeParts = (parent: ParentNode): string => serialize(parent);

export const attributeOf = (element: Element, name: string): string | null =>
  element.attrs.find((attribute) => attribute.name === name)?.value ?? null;

export function setAttribute(element: Element, name: string, value: string): void {
  const found = element.attrs.find((attribute) => attribute.name === name);
  if (found) found.value = value;
  else element.attrs.push({ name, value });
}

export function removeAttribute(element: Element, name: string): void {
  element.attrs = element.attrs.filter((attribute) => attribute.name !== name);
}

export const detach = (node: ChildNode): void => defaultTreeAdapter.detachNode(node);

export const insertBefore = (parent: ParentNode, node: ChildNode, before: ChildNode): void =>
  defaultTreeAdapter.insertBefore(parent, node, before);

export const createElement = (name: string, attributes: Readonly<Record<string, string>>): Element =>
  defaultTreeAdapter.createElement(
    name,
    "http://www.w3.org/1999/xhtml" as Element["namespaceURI"],
    Object.entries(attributes).map(([attribute, value]) => ({ name: attribute, value })),
  );

export const append = (parent: ParentNode, node: ChildNode): void =>
  defaultTreeAdapter.appendChild(parent, node);

export const appendText = (parent: ParentNode, text: string): void =>
  defaultTreeAdapter.insertText(parent, text);

export function prepend(parent: ParentNode, node: ChildNode): void {
  const first = parent.childNodes[0];
  if (first) insertBefore(parent, node, first);
  else append(parent, node);
}

const words: Readonly<Record<string, string>> = {
  tr: "row",
  td: "cell",
  th: "cell",
  img: "picture",
  a: "link",
  p: "paragraph",
};

/** The place of an element: "row 2, cell 1, link". Tables are named where they are nested. */
export function placeInMessage(element: Element): string {
  const steps: string[] = [];
  for (let at: Element | null = element; at && at.tagName !== "body";) {
    const parent: ParentNode | null = at.parentNode;
    const siblings =
      parent?.childNodes.filter(isElement).filter((other) => other.tagName === at!.tagName) ?? [];
    const word = words[at.tagName];
    if (word) {
      const counted = word === "row" || word === "cell" || siblings.length > 1;
      steps.unshift(counted ? `${word} ${siblings.indexOf(at) + 1}` : word);
    } else if (
      at.tagName === "table" &&
      steps.length > 0 &&
      parent &&
      "tagName" in parent &&
      parent.tagName !== "body"
    )
      steps.unshift("table");
    at = parent && "tagName" in parent ? parent : null;
  }
  return steps.join(", ") || "message";
}

/** Visits every element below a node, parents first. Elements that the visit detaches are not entered. */
export function walkElements(parent: ParentNode, visit: (element: Element) => void): void {
  for (const child of [...parent.childNodes]) {
    if (!isElement(child)) continue;
    visit(child);
    if (child.parentNode === parent) walkElements(child, visit);
  }
}

/** Visits every text and comment below a node. */
export function walkLeaves(parent: ParentNode, visit: (node: ChildNode, parent: ParentNode) => void): void {
  for (const child of [...parent.childNodes])
    if (isElement(child)) walkLeaves(child, visit);
    else visit(child, parent);
}
