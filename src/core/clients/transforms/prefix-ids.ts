/** Ids get letters of the client's own before them, so that no two messages share one; what points to them does not. */
import { attributeOf, setAttribute, walkElements } from "../../html";
import { idPrefix } from "../facts/attribute-limits";
import type { OwnMessage } from "../message";

export function prefixIds({ body, reportAt, has }: OwnMessage): void {
  if (!has.names.has("id")) return;
  walkElements(body, (element) => {
    const id = attributeOf(element, "id");
    if (id === null) return;
    reportAt(element)("attribute-changed", "id", "every id gets letters of the client's own before it");
    setAttribute(element, "id", `${idPrefix}${id}`);
  });
}
