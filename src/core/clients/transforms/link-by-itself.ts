/** Phone numbers, dates and addresses that a client makes links of by itself, in its own colour. */
import {
  append,
  createElement,
  createText,
  detach,
  insertBefore,
  isText,
  visitNodes,
  type Element,
} from "../../html";
import { detectLinks, type FoundLink } from "../../links";
import type { OwnMessage } from "../message";
import type { OwnLink } from "../stand-in";

const cache = new Map<string, readonly FoundLink[]>();
const cacheLimit = 2000;

function linksIn(text: string): readonly FoundLink[] {
  const known = cache.get(text);
  if (known) return known;
  const found = detectLinks(text);
  if (cache.size >= cacheLimit) cache.clear();
  cache.set(text, found);
  return found;
}

const said: Readonly<Record<OwnLink, string>> = {
  phone: "a phone number",
  address: "an address",
  date: "a date",
};

const isOwn = (kind: FoundLink["kind"], own: readonly OwnLink[]): kind is OwnLink =>
  own.some((other) => other === kind);

/** Makes links of what stands in no link yet. They are drawn underlined, in the colour of the client's links. */
export function linkByItself({ body, reportAt }: OwnMessage, own: readonly OwnLink[], color: string): void {
  if (own.length === 0) return;
  let inLink = 0;
  const isLink = ({ tagName }: Element): boolean => tagName === "a";
  visitNodes(body, {
    enter(node, parent) {
      if ("tagName" in node) {
        if (isLink(node)) inLink += 1;
        return;
      }
      if (!isText(node) || inLink > 0 || node.value.length < 4) return;
      const found = linksIn(node.value).filter(({ kind }) => isOwn(kind, own));
      if (found.length === 0) return;
      let from = 0;
      for (const { kind, start, end, href } of found) {
        if (!isOwn(kind, own)) continue;
        if (start > from) insertBefore(parent, createText(node.value.slice(from, start)), node);
        const link = createElement("a", {
          ...(href ? { href } : {}),
          style: `color:${color};text-decoration:underline`,
        });
        append(link, createText(node.value.slice(start, end)));
        insertBefore(parent, link, node);
        from = end;
        if ("tagName" in parent)
          reportAt(parent)(
            "text-linked",
            node.value.slice(start, end),
            `it makes a link of ${said[kind]} by itself`,
          );
      }
      if (from < node.value.length) insertBefore(parent, createText(node.value.slice(from)), node);
      detach(node);
    },
    leave(element) {
      if (isLink(element)) inLink -= 1;
    },
  });
}
