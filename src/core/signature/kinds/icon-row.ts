/**
 * Icons side by side, or stacked, at one display height and one gap, written as a small table of its own so
 * that no client breaks the row. Sizes in px.
 */
import type { Node } from "prosemirror-model";
import { iconStyles, type IconLook } from "../../icons";
import { element, px } from "../html";
import { writeInline, writeInlinePlain } from "../inline";
import { marked, partAttributes, type BlockKind } from "../kind";
import { hexColor, number, oneOf, optional, type Check } from "../values";
import type { PictureAttributes } from "./picture";
import { readPieces } from "./pieces";
import { layoutTable } from "./table";

interface IconRowAttributes {
  /** The height of every icon; each keeps its own proportions. */
  readonly size: number;
  readonly gap: number;
  readonly direction: "row" | "column";
  /** How many stand side by side before the next line begins; 0 for all of them. */
  readonly columns: number;
  /** How the row's icons are drawn, so that further ones are drawn alike; null while each is as it came. */
  readonly look: IconLook | null;
}

/** The icons line by line. */
function inRows(
  icons: readonly Node[],
  { direction, columns }: IconRowAttributes,
): readonly (readonly Node[])[] {
  const across = direction === "column" ? 1 : columns || icons.length;
  return Array.from({ length: Math.ceil(icons.length / across) }, (_, row) =>
    icons.slice(row * across, (row + 1) * across),
  );
}

const iconLook: Check = (value) => {
  if (typeof value !== "object" || value === null) return "must be a look with style, color and plate";
  const { style, color, plate, ...rest } = value as Record<string, unknown>;
  if (Object.keys(rest).length > 0) return "must be a look with style, color and plate only";
  return oneOf(...iconStyles)(style) ?? optional(hexColor)(color) ?? hexColor(plate);
};

const iconsOf = (row: Node): readonly Node[] =>
  row.content.content.filter((icon) => (icon.attrs as PictureAttributes).source !== "");

/** An icon at the row's height. */
function sized(icon: Node, size: number): Node {
  const { width, height } = icon.attrs as PictureAttributes;
  return icon.type.create(
    { ...icon.attrs, height: size, width: Math.max(1, Math.round((size * width) / height)) },
    null,
    icon.marks,
  );
}

export const iconRowKind: BlockKind = {
  name: "iconRow",
  word: "icon row",
  structure: { content: "inlinePicture*", group: "block", marks: "link" },
  attributes: {
    ...partAttributes,
    size: { default: 24, check: number(8, 96, 1) },
    gap: { default: 6, check: number(0, 60, 1) },
    direction: { default: "row", check: oneOf("row", "column") },
    columns: { default: 0, check: number(0, 8, 1) },
    look: { default: null, check: optional(iconLook) },
  },
  draw(node) {
    const { size, gap, direction, columns } = node.attrs as IconRowAttributes;
    const inColumns = direction === "row" && columns > 0;
    const laid = inColumns
      ? `display:grid;grid-template-columns:repeat(${columns},max-content)`
      : `flex-direction:${direction}`;
    const style = `--icon-size:${size}px;gap:${gap}px;${laid}`;
    return ["div", { ...marked(node), class: "drawn-icon-row", style }, 0];
  },
  write(node, writing) {
    const { size, gap } = node.attrs as IconRowAttributes;
    const icons = iconsOf(node).map((icon) => sized(icon, size));
    if (icons.length === 0) return "";
    const rows = inRows(icons, node.attrs as IconRowAttributes);
    const across = rows[0]!.length;
    // Each column is as wide as its widest icon, and has the gap at its right.
    const columns = rows[0]!.map(
      (_, column) =>
        Math.max(...rows.map((row) => (row[column]?.attrs as PictureAttributes | undefined)?.width ?? 0)) +
        (column === across - 1 ? 0 : gap),
    );
    const width = columns.reduce((sum, column) => sum + column, 0);
    const cell = (icon: Node, column: number, top: number): string => {
      const right = column === across - 1 ? 0 : gap;
      const bottom = top === rows.length - 1 ? 0 : gap;
      const wide = top === 0 ? columns[column]! : null;
      return element(
        "td",
        { width: wide, valign: "middle" },
        {
          width: wide,
          "box-sizing": right ? "border-box" : null,
          padding: right || bottom ? `0 ${px(right)} ${px(bottom)} 0` : null,
          "vertical-align": "middle",
        },
        writeInline([icon], { ...writing, standingPictures: true }, readPieces) ?? "",
      );
    };
    return element(
      "table",
      layoutTable(width),
      { "border-collapse": "collapse", width },
      rows
        .map((row, top) => element("tr", {}, {}, row.map((icon, column) => cell(icon, column, top)).join("")))
        .join(""),
    );
  },
  writePlain: (node, writing) =>
    iconsOf(node)
      .map((icon) => writeInlinePlain([icon], writing, readPieces))
      .filter((text) => text)
      .join("\n"),
};
