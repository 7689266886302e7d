/** Every table laid out fixed (CSS 2.2, section 17.5.2.1): columns whose first row says no width get equal shares. */
import {
  attributeOf,
  elementsIn,
  isElement,
  parseDeclarations,
  setAttribute,
  type Element,
} from "../../html";
import type { OwnMessage } from "../message";

const saysWidth = (element: Element): boolean =>
  attributeOf(element, "width") !== null ||
  parseDeclarations(attributeOf(element, "style") ?? "").some(
    ({ property }) => property === "width" || property === "inline-size",
  );

/** The cells of a table's first row. */
function firstCells(table: Element): readonly Element[] {
  const rows = table.childNodes
    .filter(isElement)
    .flatMap((child) => (child.tagName === "tr" ? [child] : child.childNodes.filter(isElement)))
    .filter(({ tagName }) => tagName === "tr");
  return rows[0]?.childNodes.filter(isElement) ?? [];
}

export function fixTables({ body, reportAt }: OwnMessage): void {
  for (const table of elementsIn(body)) {
    if (table.tagName !== "table") continue;
    const cells = firstCells(table);
    if (cells.length > 1 && saysWidth(table) && cells.some((cell) => !saysWidth(cell)))
      reportAt(table)("table-fixed", "a column without a width", "columns without a width get equal shares");
    const style = attributeOf(table, "style");
    setAttribute(table, "style", `${style ? `${style};` : ""}table-layout:fixed`);
  }
}
