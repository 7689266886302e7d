/** Webmail whose settings keep styles on elements only: no style sheets, and no names that one could go by. */
import { attributeOf, detach, elementsIn, removeAttribute } from "../../html";
import type { OwnMessage } from "../message";

export function inlineStylesOnly({ head, body, reportAt, has }: OwnMessage): void {
  if (!["<style>", "class", "id"].some((name) => has.names.has(name))) return;
  for (const element of [...elementsIn(head), ...elementsIn(body)]) {
    if (element.tagName === "style") {
      reportAt(element)("element-dropped", "<style>", "style sheets are not kept in a signature");
      detach(element);
    }
    for (const name of ["class", "id"])
      if (attributeOf(element, name) !== null) {
        reportAt(element)("attribute-dropped", name, "this kind does not keep it");
        removeAttribute(element, name);
      }
  }
}
