/**
 * Messages larger than any signature are read with their looks from their beginning, and what is written after that as plain lines: words
 * are kept, and nobody waits for the looks of what no document could hold.
 */
import {
  append,
  attributeOf,
  blockElements,
  createElement,
  createText,
  elementsIn,
  isText,
  visitNodes,
  type ChildNode,
  type Element,
} from "../html";
import { append as appendAll } from "../values";
import type { Reporter } from "./report";

/** Five times as many as a document has parts. */
export const mostElements = 10_000;

/** Takes away an element and all that comes after it in the order of the message, and answers with that. */
function takeFrom(element: Element, body: Element): readonly ChildNode[] {
  const taken: ChildNode[] = [];
  let at = element;
  for (let beside = 0; at !== body; beside = 1) {
    const parent = at.parentNode;
    if (!parent) break;
    appendAll(taken, parent.childNodes.splice(parent.childNodes.indexOf(at) + beside));
    if (!("tagName" in parent)) break;
    at = parent;
  }
  return taken;
}

/** What is in these is no text of the message. */
const unseen = new Set(["script", "style", "title", "template", "noscript", "head", "textarea", "select"]);

/** What is written in nodes, each block and table cell on a line of its own. */
function linesIn(nodes: readonly ChildNode[]): readonly string[] {
  const around = createElement("div", {});
  for (const node of nodes) append(around, node);
  const lines: string[] = [];
  let line = "";
  let within = 0;
  const end = (): void => {
    if (line.trim() !== "") lines.push(line.trim());
    line = "";
  };
  const breaks = ({ tagName }: Element): boolean => tagName === "br" || blockElements.has(tagName);
  visitNodes(around, {
    enter: (node) => {
      if (isText(node)) line += within > 0 ? "" : node.value;
      else if ("tagName" in node) {
        if (unseen.has(node.tagName)) within += 1;
        if (breaks(node)) end();
      }
    },
    leave: (element) => {
      if (unseen.has(element.tagName)) within -= 1;
      if (breaks(element)) end();
    },
  });
  end();
  return lines;
}

/** Why what comes late in a message is not as it was. */
const reason = `a message is read with its looks up to its first ${mostElements.toLocaleString("en")} elements, which is more than any signature has; what is written after them is kept as plain lines`;

/** Puts plain lines in the place of what is too much of a body, and tells what that loses: looks, and each link and picture. */
export function cutMessage(body: Element, reporter: Reporter): void {
  const elements = elementsIn(body);
  const one = elements[mostElements];
  if (!one) return;
  const plain = createElement("p", {});
  linesIn(takeFrom(one, body)).forEach((line, at) => {
    if (at > 0) append(plain, createElement("br", {}));
    append(plain, createText(line));
  });
  append(body, plain);
  const rest = elements.slice(mostElements);
  const looks = `the looks of ${rest.length.toLocaleString("en")} element${rest.length === 1 ? "" : "s"} at its end`;
  reporter.sayOnce("lost", "layout", looks, reason);
  for (const element of rest) {
    const [link, picture] = [attributeOf(element, "href"), attributeOf(element, "src")];
    if (element.tagName === "a" && link) reporter.sayOnce("lost", "link", link, reason);
    if (element.tagName === "img" && picture) reporter.sayOnce("lost", "picture", picture, reason);
  }
}
