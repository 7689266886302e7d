/** A line across the cell. Solid ones are a filled cell of that height, which every client draws; px. */
import { element, type Declarations } from "../html";
import { marked, partAttributes, type BlockKind } from "../kind";
import { borderStyles, hexColor, number, oneOf, optional } from "../values";
import { layoutTable } from "./table";

export const dividerKind: BlockKind = {
  name: "divider",
  word: "divider",
  structure: { group: "block", atom: true, selectable: true },
  attributes: {
    ...partAttributes,
    thickness: { default: 1, check: number(0.5, 8, 0.5) },
    style: { default: "solid", check: oneOf(...borderStyles) },
    color: { default: "#D9D5C8", check: hexColor },
    /** Null takes the whole inner width of the cell. */
    width: { default: null, check: optional(number(1, 1200, 1)) },
  },
  parse: [{ tag: "hr" }],
  draw(node) {
    const { thickness, style, color, width } = node.attrs;
    return [
      "div",
      {
        ...marked(node),
        style: `border-top:${thickness}px ${style} ${color};width:${width ? `${width}px` : "100%"}`,
      },
    ];
  },
  write(node, writing) {
    const { thickness, style, color } = node.attrs as { thickness: number; style: string; color: string };
    const width = (node.attrs.width as number | null) ?? writing.availableWidth;
    const exact = writing.documentEngine ? "exactly" : null;
    const line: Declarations =
      style === "solid"
        ? { height: thickness, "background-color": color, "font-size": 1, "line-height": thickness }
        : { "border-top": `${thickness}px ${style} ${color}`, "font-size": 0, "line-height": 0 };
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
          { width, bgcolor: style === "solid" ? color : null },
          { width, ...line, "mso-line-height-rule": exact },
          style === "solid" ? "&nbsp;" : "",
        ),
      ),
    );
  },
  writePlain: () => "",
};
