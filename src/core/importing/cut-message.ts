/** Messages beyond all size are read from their beginning, so that there is an end to waiting. */
import { elementsIn, type Element } from "../html";
import type { Reporter } from "./report";

/** A hundred times as many as a document has parts. */
export const mostElements = 200_000;

/** Takes away an element and all that comes after it in the order of the message. */
function takeFrom(element: Element, body: Element): void {
  let at = element;
  for (let beside = 0; at !== body; beside = 1) {
    const parent = at.parentNode;
    if (!parent) break;
    parent.childNodes.length = parent.childNodes.indexOf(at) + beside;
    if (!("tagName" in parent)) break;
    at = parent;
  }
}

/** Takes away what is too much of a body, and tells how much that is. */
export function cutMessage(body: Element, reporter: Reporter): void {
  const elements = elementsIn(body);
  const one = elements[mostElements];
  if (!one) return;
  takeFrom(one, body);
  const count = elements.length - mostElements;
  reporter.sayOnce(
    "lost",
    "layout",
    `${count.toLocaleString("en")} elements at its end, with the text that is in and after them`,
    `a message is read up to its first ${mostElements.toLocaleString("en")} elements, which is more than any signature has`,
  );
}
