/**
 * HTML as inert data: parsed by parse5, named by places, and written back. Nothing in it ever runs, and no tree is deeper
 * than browsers build one.
 */
import { defaultTreeAdapter, parse, serialize, type DefaultTreeAdapterTypes } from "parse5";

export type Element = DefaultTreeAdapterTypes.Element;
export type ChildNode = DefaultTreeAdapterTypes.ChildNode;
export type ParentNode = DefaultTreeAdapterTypes.ParentNode;

export type TextNode = DefaultTreeAdapterTypes.TextNode;

export const isElement = (node: ChildNode): node is Element => "tagName" in node;
export const isText = (node: ChildNode): node is TextNode => node.nodeName === "#text";
export const isComment = (node: ChildNode): node is DefaultTreeAdapterTypes.CommentNode =>
  node.nodeName === "#comment";

/** A message's HTML, fragment or whole file, as one tree of head and body. */
export interface Message {
  readonly head: Element;
  readonly body: Element;
}

/** Elements may lie this deep; browsers move what is deeper up beside what it was in, and so do we. */
export const deepestElement = 500;

/** Moves every element out of the elements of a parent, to stand after the one that it was in. */
function flatten(parent: ParentNode): void {
  const children: ChildNode[] = [];
  const waiting = [...parent.childNodes].reverse();
  for (let node = waiting.pop(); node; node = waiting.pop()) {
    node.parentNode = parent;
    children.push(node);
    if (!isElement(node)) continue;
    const inside = node.childNodes.filter(isElement);
    if (inside.length > 0) node.childNodes = node.childNodes.filter((child) => !isElement(child));
    for (const child of inside.reverse()) waiting.push(child);
  }
  parent.childNodes = children;
}

/** Leaves no element deeper than any may be: what is in one stands after it, in its order. */
function flattened<P extends ParentNode>(root: P): P {
  const level: { readonly parent: ParentNode; next: number }[] = [{ parent: root, next: 0 }];
  for (let here = level.at(-1); here; here = level.at(-1)) {
    const node = here.parent.childNodes[here.next++];
    if (node === undefined) level.pop();
    else if (isElement(node)) {
      level.push({ parent: node, next: 0 });
      if (level.length < deepestElement) continue;
      flatten(node);
      level.pop();
    }
  }
  return root;
}

/** Reads any HTML as a browser would (WHATWG HTML 13.2); `located` keeps where in it each element stands. Never throws. */
export function parseMessage(html: string, located = false): Message {
  const root = parse(html, { sourceCodeLocationInfo: located }).childNodes.find(isElement);
  const [head, body] = root?.childNodes.filter(isElement) ?? [];
  // A parser makes both of them whatever it reads; a set of frames is no body, and shows nothing in a mail.
  if (!head || !body) throw new TypeError("A parsed document has a head and a body");
  return { head, body: flattened(body) };
}

/** Reads a whole page, its head included. Never throws. */
export const parsePage = (html: string): ParentNode => flattened(parse(html));

/** The HTML of what is in a parent. */
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

export const createText = (value: string): DefaultTreeAdapterTypes.TextNode =>
  defaultTreeAdapter.createTextNode(value);

export const append = (parent: ParentNode, node: ChildNode): void =>
  defaultTreeAdapter.appendChild(parent, node);

export const appendText = (parent: ParentNode, text: string): void =>
  defaultTreeAdapter.insertText(parent, text);

export function prepend(parent: ParentNode, node: ChildNode): void {
  const first = parent.childNodes[0];
  if (first) insertBefore(parent, node, first);
  else append(parent, node);
}
