/** Which cells hold a measured gap, which is sent as a table as wide as the cell's room. */
import type { Node } from "prosemirror-model";
import { cell } from "./kinds/cell-attributes";
import { isEmptyCell } from "./kinds/cell";
import { divider } from "./kinds/divider";
import { sharedPadding } from "./kinds/row";
import { isBlank } from "./spaces";

const isGap = (part: Node): boolean =>
  part.type.name === "spacer" ||
  (divider.is(part) && divider.of(part).width === null) ||
  (part.type.name === "line" && isBlank(part));

/** Whether a cell of a row holds a gap: a spacer, a divider, an empty line, or padding that its neighbours lack. */
export function gapsIn(row: Node, own: Node): boolean {
  const shared = sharedPadding(row);
  const { padding } = cell.of(own);
  if (padding.top > shared.top || padding.bottom > shared.bottom) return true;
  return !isEmptyCell(own) && own.children.some(isGap);
}
