/** What no mail client shows: scripts, frames, forms, event handlers and addresses that run. */
import {
  attributeOf,
  detach,
  isComment,
  removeAttribute,
  walkElements,
  walkLeaves,
  type Element,
} from "../../html";
import type { Report } from "../changes";

const running = new Set(
  "script noscript iframe frame frameset object embed applet form input button select textarea base link meta title template svg math audio video source track canvas dialog portal".split(
    " ",
  ),
);
const addressAttributes = ["href", "src", "background", "action", "formaction", "xlink:href"];

/** White space and control characters are ignored inside a scheme by browsers, so they are here. */
const runs = (address: string): boolean =>
  /^(javascript|vbscript):/i.test(address.replace(/[\u0000-\u0020\u007f]/g, "")) ||
  /^data:(?!image\/)/i.test(address.trim());

export function dropWhatRuns(body: Element, reportAt: (element: Element) => Report): void {
  walkElements(body, (element) => {
    if (running.has(element.tagName)) {
      reportAt(element)("element-dropped", `<${element.tagName}>`, "no mail client shows it");
      detach(element);
      return;
    }
    for (const { name } of [...element.attrs]) {
      const value = attributeOf(element, name)!;
      const handler = name.startsWith("on");
      if (handler || name === "srcdoc" || (addressAttributes.includes(name) && runs(value))) {
        reportAt(element)("attribute-dropped", name, "nothing in a mail may run");
        removeAttribute(element, name);
      }
    }
  });
  walkLeaves(body, (node, parent) => {
    if (!isComment(node)) return;
    if ("tagName" in parent) reportAt(parent)("comment-dropped", "comment", "comments are not shown");
    detach(node);
  });
}
