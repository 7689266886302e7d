/**
 * A row. A document engine gives all cells of a row the row's largest top and bottom padding, so a row is
 * written with the padding that its cells share; what a cell has beyond that becomes a spacer inside it.
 */
import type { Node } from "prosemirror-model";
import { element } from "../../html";
import { optional, px } from "../../values";
import { attribute, describeAttributes } from "../description";
import { blockKind, marked, partAttributes } from "../kind";
import { tallestRow } from "../values";
import { writePlainChildren } from "../writing";
import { cell } from "./cell-attributes";

export const row = describeAttributes(["row"], {
  ...partAttributes,
  /** Null is as high as it needs. */
  height: attribute(optional(px(1, tallestRow)), null),
});

export interface SharedPadding {
  readonly top: number;
  readonly bottom: number;
}

/** The padding that every cell of a row has at least; px. */
export function sharedPadding(node: Node): SharedPadding {
  let top = Infinity;
  let bottom = Infinity;
  node.forEach((child) => {
    const { padding } = cell.of(child);
    top = Math.min(top, padding.top);
    bottom = Math.min(bottom, padding.bottom);
  });
  return node.childCount === 0 ? { top: 0, bottom: 0 } : { top, bottom };
}

export const rowKind = blockKind({
  name: "row",
  word: "row",
  structure: { content: "cell*", tableRole: "row" },
  attributes: row.attributes,
  draw: (node) => ["tr", marked(node), 0],
  write(node, writing) {
    if (!writing.rowPlaces) throw new TypeError("A row is written by its table, not by itself");
    const { map, places, height, rowsUnder } = writing.rowPlaces;
    const inside = { ...writing, rowHeight: height, sharedPadding: sharedPadding(node) };
    const cells = places.map((place) =>
      writing.write(place.node, { ...inside, cell: { map, place, rows: rowsUnder(place) } }),
    );
    return element("tr", {}, {}, cells.join(""));
  },
  writePlain: writePlainChildren,
});
