/**
 * A signature as it looks while its pictures are blocked: a box of each one's size, with its alt text in it. Pictures that
 * came with the message (RFC 2392) have nothing to be fetched, and stay.
 */
import {
  appendText,
  attributeOf,
  createElement,
  detach,
  insertBefore,
  parseMessage,
  setAttribute,
  walkElements,
  writeParts,
} from "../html";
import { partAttribute } from "./message";

/** Takes and gives HTML for a body. Sizes are those of the attributes; px. */
export function picturesBlocked(html: string): string {
  const { body } = parseMessage(html);
  walkElements(body, (element) => {
    if (element.tagName !== "img" || !element.parentNode) return;
    if (/^cid:/i.test(attributeOf(element, "src") ?? "")) return;
    const side = (name: string): string => `${Number.parseInt(attributeOf(element, name) ?? "", 10) || 24}px`;
    const box = createElement("span", {
      style: `display:inline-block;box-sizing:border-box;overflow:hidden;vertical-align:middle;border:1px solid #9aa19c;width:${side("width")};height:${side("height")};font-size:11px;line-height:13px;padding:1px 2px`,
    });
    const part = attributeOf(element, partAttribute);
    if (part !== null) setAttribute(box, partAttribute, part);
    appendText(box, attributeOf(element, "alt") ?? "");
    insertBefore(element.parentNode, box, element);
    detach(element);
  });
  return writeParts(body);
}
