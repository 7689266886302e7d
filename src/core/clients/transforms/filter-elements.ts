/** Takes out of the elements of a message whatever the tables say a kind of client drops: styles, attributes, pictures. */
import { attributeOf, removeAttribute, setAttribute, type Element } from "../../html";
import type { Report } from "../changes";
import type { KindFacts } from "../facts/kind-facts";
import type { OwnMessage } from "../message";
import { filterStyle } from "./filter-style";

function filterAttributes(element: Element, facts: KindFacts, report: Report): void {
  if (!element.attrs.some(({ name }) => facts.touchesAttribute(name))) return;
  for (const { name, value } of [...element.attrs]) {
    const effect = facts.attribute(name, value, element.tagName);
    if (!effect) continue;
    if (effect.outcome === "dropped") {
      report("attribute-dropped", name, effect.reason);
      removeAttribute(element, name);
    } else if (effect.outcome.value !== value) setAttribute(element, name, effect.outcome.value);
  }
}

/** Links that say no window of their own get the one that the kind gives every link. */
function linkTarget(element: Element, facts: KindFacts, report: Report): void {
  const href = attributeOf(element, "href");
  if (href === null) return;
  const effect = facts.attribute("target", "", "a");
  if (!effect || effect.outcome === "dropped") return;
  report("link-opens-new-window", href, "links open in a new window");
  setAttribute(element, "target", effect.outcome.value);
  setAttribute(element, "rel", "noopener noreferrer");
}

function filterPicture(element: Element, facts: KindFacts, report: Report): void {
  const source = attributeOf(element, "src");
  const effect = source === null ? null : facts.picture(source);
  if (!source || !effect) return;
  const dropped = effect.outcome === "dropped";
  report(dropped ? "picture-dropped" : "picture-converted", source.slice(0, 40), effect.reason);
  if (dropped) removeAttribute(element, "src");
}

/** One element, for a kind: the body's own attributes are filtered by it as well. */
export function filterElement(element: Element, facts: KindFacts, report: Report): void {
  filterAttributes(element, facts, report);
  const style = attributeOf(element, "style");
  if (style !== null) {
    const { text, changes } = filterStyle(style, element.tagName, facts);
    for (const { code, what, reason } of changes) report(code, what, reason);
    if (text === null) removeAttribute(element, "style");
    else if (text !== style) setAttribute(element, "style", text);
  }
  if (element.tagName === "img") filterPicture(element, facts, report);
  if (element.tagName === "a") linkTarget(element, facts, report);
}

export function filterElements({ body, eachElement, reportAt }: OwnMessage, facts: KindFacts): void {
  filterElement(body, facts, reportAt(body));
  eachElement((element, report) => filterElement(element, facts, report));
}
