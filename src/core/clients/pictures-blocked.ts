/** A signature as it looks while its pictures are blocked: a box of each one's size, with its alt text in it. */
import {
  attributeOf,
  appendText,
  createElement,
  detach,
  insertBefore,
  isElement,
  parseMessage,
  writeParts,
  type ParentNode,
} from "./html-tree";

/** Sizes are those of the attributes; px. */
function block(parent: ParentNode): void {
  for (const child of [...parent.childNodes]) {
    if (!isElement(child)) continue;
    if (child.tagName !== "img") {
      block(child);
      continue;
    }
    const side = (name: string): string => `${Number.parseInt(attributeOf(child, name) ?? "", 10) || 24}px`;
    const box = createElement("span", {
      style: `display:inline-block;box-sizing:border-box;overflow:hidden;vertical-align:middle;border:1px solid #9aa19c;width:${side("width")};height:${side("height")};font-size:11px;line-height:13px;padding:1px 2px`,
    });
    appendText(box, attributeOf(child, "alt") ?? "");
    insertBefore(parent, box, child);
    detach(child);
  }
}

/** Takes and gives HTML for a body. */
export function picturesBlocked(html: string): string {
  const { body } = parseMessage(html);
  block(body);
  return writeParts(body);
}
