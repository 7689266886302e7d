/** What a table of foreign HTML says of itself and of the room between its cells. Lengths in px. */
import { attributeOf, type Element } from "../../html";
import type { Reporter } from "../report";
import type { StyledElement } from "./frames";
import { isDrawn, type GridCell, type TablePart } from "./parts";

/** Where a table stands in wider room, as it or what is around it says. */
export function placeOf(element: Element): TablePart["place"] {
  const align = (attributeOf(element, "align") ?? "").toLowerCase();
  if (align === "center" || align === "right") return align;
  // `center` and an `align` of what is around a table move it as well; text-align moves only what is in it.
  for (let around = element.parentNode; around && "tagName" in around; around = around.parentNode) {
    if (around.tagName === "center") return "center";
    const said = (attributeOf(around, "align") ?? "").toLowerCase();
    if (said === "center" || said === "right") return said;
    if (said === "left" || around.tagName === "table") return null;
  }
  return null;
}

/** Cells with the room between them as padding, and what the table itself draws. */
export function spaced(
  { rows, columns, cells }: Pick<TablePart, "rows" | "columns" | "cells">,
  { element, box }: StyledElement,
  reporter: Reporter,
): readonly GridCell[] {
  const gap = box.spacing;
  const drawn = cells.some(isDrawn);
  if (gap > 0 && drawn)
    reporter.say(
      element,
      "changed",
      "spacing",
      `${gap} px between cells`,
      "cells meet here: the room stands inside them",
    );
  return cells.map((cell) => {
    const edge = {
      top: cell.row === 0,
      left: cell.column === 0,
      bottom: cell.row + cell.rowspan === rows,
      right: cell.column + cell.colspan === columns,
    };
    const { padding } = cell;
    return {
      ...cell,
      padding:
        gap > 0
          ? {
              top: padding.top + (edge.top ? gap : 0),
              left: padding.left + (edge.left ? gap : 0),
              right: padding.right + gap,
              bottom: padding.bottom + gap,
            }
          : padding,
      background: cell.background ?? box.background,
      border: {
        top: cell.border.top ?? (edge.top ? box.border.top : null),
        right: cell.border.right ?? (edge.right ? box.border.right : null),
        bottom: cell.border.bottom ?? (edge.bottom ? box.border.bottom : null),
        left: cell.border.left ?? (edge.left ? box.border.left : null),
      },
    };
  });
}
