/** Phone numbers, dates and addresses that a client makes links of by itself, in its own colour. */
import {
  append,
  createElement,
  createText,
  detach,
  insertBefore,
  isElement,
  isText,
  visitNodes,
  type ParentNode,
  type TextNode,
} from "../../html";
import { remember } from "../../memory";
import { detectLinks, type FoundLink } from "../../links";
import type { OwnMessage } from "../message";
import type { OwnLink } from "../stand-in";

/** What a text holds that could be a link. The same for the same text, so that it is looked for once. */
export const linksIn = remember((text: string): readonly FoundLink[] => detectLinks(text));

const said: Readonly<Record<OwnLink, string>> = {
  phone: "a phone number",
  address: "an address",
  date: "a date",
};

const isOwn = (kind: FoundLink["kind"], own: readonly OwnLink[]): kind is OwnLink =>
  own.some((other) => other === kind);

interface PlacedText {
  readonly text: TextNode;
  readonly parent: ParentNode;
  readonly inLink: boolean;
}

/** The texts of a tree, with whether each stands in a link. */
export function textsOf(root: ParentNode): readonly PlacedText[] {
  const found: PlacedText[] = [];
  let links = 0;
  visitNodes(root, {
    enter(node, parent) {
      if (isText(node)) found.push({ text: node, parent, inLink: links > 0 });
      else if (isElement(node) && node.tagName === "a") links += 1;
    },
    leave(element) {
      if (element.tagName === "a") links -= 1;
    },
  });
  return found;
}

/** Makes links of what stands in no link yet. They are drawn underlined, in the colour of the client's links. */
export function linkByItself(
  { body, reportAt, has }: OwnMessage,
  own: readonly OwnLink[],
  color: string,
): void {
  if (!own.some((kind) => has.linkable().has(kind))) return;
  for (const { text, parent, inLink } of textsOf(body)) {
    const found = inLink ? [] : linksIn(text.value).filter(({ kind }) => isOwn(kind, own));
    if (found.length === 0) continue;
    let from = 0;
    for (const { kind, start, end, href } of found) {
      if (!isOwn(kind, own)) continue;
      if (start > from) insertBefore(parent, createText(text.value.slice(from, start)), text);
      const link = createElement("a", {
        ...(href ? { href } : {}),
        style: `color:${color};text-decoration:underline`,
      });
      append(link, createText(text.value.slice(start, end)));
      insertBefore(parent, link, text);
      from = end;
      if ("tagName" in parent)
        reportAt(parent)(
          "text-linked",
          text.value.slice(start, end),
          `it makes a link of ${said[kind]} by itself`,
        );
    }
    if (from < text.value.length) insertBefore(parent, createText(text.value.slice(from)), text);
    detach(text);
  }
}
