/** Webmail that keeps inline styles only. */
import {
  attributeOf,
  createElement,
  createText,
  detach,
  insertBefore,
  isText,
  removeAttribute,
  setAttribute,
  walkElements,
  walkLeaves,
  type Element,
  type Message,
} from "../../html";
import type { Report } from "../changes";
import { longestWord } from "../stand-ins";
import { dropUnsupported, type DeclarationRule } from "./drop-unsupported";

/** `rgb(63 91 46)`: one such colour and the whole style attribute is gone. */
const spacedColor = /rgba?\(\s*[\d.%]+\s+[\d.%]+/i;

const rule: DeclarationRule = ({ property, value }) => {
  if (property.startsWith("mso-")) return { drop: "only document engines read it" };
  if (/^margin/.test(property) && /(^|\s)-/.test(value)) return { drop: "negative margins are not kept" };
  return null;
};

const isVector = (source: string): boolean => /^data:image\/svg|\.svg([?#]|$)/i.test(source);

function picture(element: Element, report: Report): void {
  const source = attributeOf(element, "src") ?? "";
  if (!/^data:/i.test(source) && !isVector(source)) return;
  report(
    "picture-dropped",
    source.slice(0, 40),
    isVector(source) ? "vector pictures are not shown" : "pictures inside the HTML are not kept",
  );
  removeAttribute(element, "src");
}

function breakLongWords(body: Element, reportAt: (element: Element) => Report): void {
  const long = new RegExp(`\\S{${longestWord + 1},}`, "u");
  walkLeaves(body, (node, parent) => {
    if (!isText(node) || !long.test(node.value)) return;
    if ("tagName" in parent)
      reportAt(parent)(
        "word-broken",
        long.exec(node.value)![0].slice(0, 40),
        `words are broken every ${longestWord} characters`,
      );
    for (const word of node.value.split(/(\s+)/)) {
      const characters = Array.from(word);
      for (let from = 0; from < characters.length; from += longestWord) {
        if (from > 0) insertBefore(parent, createElement("wbr", {}), node);
        insertBefore(parent, createText(characters.slice(from, from + longestWord).join("")), node);
      }
    }
    detach(node);
  });
}

export function toWebmailInline(message: Message, reportAt: (element: Element) => Report): void {
  const { head, body } = message;
  for (const holder of [head, body])
    walkElements(holder, (element) => {
      if (element.tagName !== "style") return;
      reportAt(element)("element-dropped", "<style>", "style sheets are not kept in a signature");
      detach(element);
    });
  walkElements(body, (element) => {
    const report = reportAt(element);
    for (const name of ["class", "id"])
      if (attributeOf(element, name) !== null) {
        report("attribute-dropped", name, "this kind does not keep it");
        removeAttribute(element, name);
      }
    const style = attributeOf(element, "style");
    if (style && spacedColor.test(style)) {
      report("style-dropped", "style", "a colour written with spaces drops the whole style");
      removeAttribute(element, "style");
    }
    dropUnsupported(element, "webmail-inline", rule, report);
    if (element.tagName === "img") picture(element, report);
    if (element.tagName === "a" && attributeOf(element, "href") !== null) {
      report("link-opens-new-window", attributeOf(element, "href")!, "links open in a new window");
      setAttribute(element, "target", "_blank");
      setAttribute(element, "rel", "noopener noreferrer");
    }
  });
  breakLongWords(body, reportAt);
}
