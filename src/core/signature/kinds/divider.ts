/** A rule across the cell. Solid ones are a filled cell of that height, which every client draws; px. */
import { element, type Declarations } from "../../html";
import { color, optional, px } from "../../values";
import { attribute, describeAttributes } from "../description";
import { blockKind, marked, partAttributes } from "../kind";
import { borderStyle, widest } from "../values";
import { layoutTable } from "./table";

export const divider = describeAttributes(["divider"], {
  ...partAttributes,
  thickness: attribute(px(0.5, 8, 0.5), 1),
  style: attribute(borderStyle, "solid"),
  color: attribute(color, "#D9D5C8"),
  /** Null takes the whole inner width of the cell. */
  width: attribute(optional(px(1, widest)), null),
});

export const dividerKind = blockKind({
  name: "divider",
  word: "divider",
  structure: { group: "block", atom: true, selectable: true },
  attributes: divider.attributes,
  draw(node) {
    const { thickness, style, color: ink, width } = divider.of(node);
    return [
      "div",
      {
        ...marked(node),
        class: "drawn-divider",
        style: `border-top:${thickness}px ${style} ${ink};width:${width ? `${width}px` : "100%"}`,
      },
    ];
  },
  leastWidth: (node) => divider.of(node).width ?? 0,
  write(node, writing) {
    const { thickness, style, color: ink, width: own } = divider.of(node);
    const width = own ?? writing.availableWidth;
    const exact = writing.documentEngine ? "exactly" : null;
    const rule: Declarations =
      style === "solid"
        ? { height: thickness, "background-color": ink, "font-size": 1, "line-height": thickness }
        : { "border-top": `${thickness}px ${style} ${ink}`, "font-size": 0, "line-height": 0 };
    return element(
      "table",
      layoutTable(width),
      { "border-collapse": "collapse", width },
      element(
        "tr",
        {},
        {},
        element(
          "td",
          { width, bgcolor: style === "solid" ? ink : null },
          { width, ...rule, "mso-line-height-rule": exact },
          style === "solid" ? "&nbsp;" : "",
        ),
      ),
    );
  },
  writePlain: () => "",
});
