/** A measured gap: a table of one cell exactly so many px high, since no margin is kept by every client. */
import { element } from "../../html";
import { px } from "../../values";
import { attribute, describeAttributes } from "../description";
import { blockKind, marked, partAttributes } from "../kind";
import type { Writing } from "../writing";

/** A gap of `height` px in a cell with `room` px; nothing for a height of 0. */
export function writeGap(height: number, room: number, writing: Writing): string {
  if (height <= 0) return "";
  return element(
    "table",
    { role: "presentation", cellpadding: 0, cellspacing: 0, border: 0, width: room },
    { "border-collapse": "collapse", width: room },
    element(
      "tr",
      {},
      {},
      element(
        "td",
        { width: room, height: Math.round(height) },
        {
          width: room,
          height,
          "font-size": 1,
          "line-height": height,
          "mso-line-height-rule": writing.documentEngine ? "exactly" : null,
        },
        "&nbsp;",
      ),
    ),
  );
}

export const spacer = describeAttributes(["spacer"], { ...partAttributes, height: attribute(px(1, 400), 8) });

export const spacerKind = blockKind({
  name: "spacer",
  word: "spacer",
  structure: { group: "block", atom: true, selectable: true },
  attributes: spacer.attributes,
  draw: (node) => [
    "div",
    { ...marked(node), class: "drawn-spacer", style: `height:${spacer.of(node).height}px` },
  ],
  write: (node, writing) => writeGap(spacer.of(node).height, writing.availableWidth, writing),
  writePlain: () => "",
});
