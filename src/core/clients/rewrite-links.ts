/** Leading the links of a message elsewhere: a pure transform of its HTML. */
import { attributeOf, parseMessage, setAttribute, walkElements, writeParts } from "../html";

/** Gives every link the address that `lead` answers for its own; null leaves it as it is. Never throws of itself. */
export function rewriteLinks(html: string, lead: (href: string) => string | null): string {
  const { body } = parseMessage(html);
  walkElements(body, (element) => {
    const href = element.tagName === "a" ? attributeOf(element, "href") : null;
    const led = href === null ? null : lead(href);
    if (led !== null) setAttribute(element, "href", led);
  });
  return writeParts(body);
}
