/**
 * A row. A document engine gives all cells of a row the row's largest top and bottom padding, so a row is
 * written with the padding that its cells share; what a cell has beyond that becomes a spacer inside it.
 */
import type { Node } from "prosemirror-model";
import { element } from "../html";
import { marked, partAttributes, type BlockKind } from "../kind";
import { number, optional } from "../values";
import { writePlainChildren } from "../writing";
import { cellAttributes } from "./cell";

export interface SharedPadding {
  readonly top: number;
  readonly bottom: number;
}

/** The padding that every cell of a row has at least; px. */
export function sharedPadding(row: Node): SharedPadding {
  let top = Infinity;
  let bottom = Infinity;
  row.forEach((cell) => {
    const { padding } = cellAttributes(cell);
    top = Math.min(top, padding.top);
    bottom = Math.min(bottom, padding.bottom);
  });
  return row.childCount === 0 ? { top: 0, bottom: 0 } : { top, bottom };
}

export const rowKind: BlockKind = {
  name: "row",
  word: "row",
  structure: { content: "cell*", tableRole: "row" },
  attributes: { ...partAttributes, height: { default: null, check: optional(number(1, 2000, 1)) } },
  parse: [{ tag: "tr" }],
  draw: (node) => [
    "tr",
    { ...marked(node), ...(node.attrs.height ? { style: `height:${node.attrs.height}px` } : {}) },
    0,
  ],
  write(row, writing) {
    const { map, places } = writing.rowPlaces!;
    const inside = { ...writing, row, sharedPadding: sharedPadding(row) };
    const cells = places.map((place) => writing.write(place.node, { ...inside, cell: { map, place } }));
    return element("tr", {}, {}, cells.join(""));
  },
  writePlain: writePlainChildren,
};
