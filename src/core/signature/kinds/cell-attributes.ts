/**
 * The attributes of a cell, in a file of their own: the map of a table and its borders are read from them, and a cell is
 * written with both.
 */
import { color, count, optional, px } from "../../values";
import { attribute, describeAttributes, type AttributesOf } from "../description";
import { border, columnWidths, horizontalAlignment, noSides, sides, verticalAlignment } from "../values";

/** Rows and columns covered by one cell. */
const span = count(1, 100);

export const cell = describeAttributes(["cell"], {
  /** Columns and rows covered; the names are those of HTML, which the table editing package also reads. */
  colspan: attribute(span, 1),
  rowspan: attribute(span, 1),
  colwidth: attribute(optional(columnWidths), null),
  padding: attribute(sides(px(0, 200)), noSides(0)),
  border: attribute(sides(optional(border)), noSides(null)),
  background: attribute(optional(color), null),
  align: attribute(optional(horizontalAlignment), null),
  verticalAlign: attribute(verticalAlignment, "top"),
});
export type CellAttributes = AttributesOf<typeof cell.attributes>;
