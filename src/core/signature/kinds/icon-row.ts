/**
 * Icons side by side, or stacked, at one display height and one gap, written as a small table of its own so
 * that no client breaks the row. Sizes in px.
 */
import type { Node } from "prosemirror-model";
import { element, px as length } from "../../html";
import { iconLook, iconSize } from "../../icons";
import type { Size } from "../../pictures";
import { writeInline, writeInlinePlain } from "../inline";
import { choice, count, optional, px, largest } from "../../values";
import { attribute, describeAttributes, type AttributesOf } from "../description";
import { blockKind, marked, partAttributes } from "../kind";
import { widest } from "../values";
import { image } from "./picture";
import { readPieces } from "./pieces";
import { layoutTable } from "./table";

export const iconRow = describeAttributes(["iconRow"], {
  ...partAttributes,
  /** The height of every icon; each keeps its own proportions. */
  size: attribute(iconSize, 24),
  gap: attribute(px(0, 60), 6),
  direction: attribute(choice("row", "column"), "row"),
  /** How many stand side by side before the next line begins; 0 for all of them. */
  columns: attribute(count(0, 8), 0),
  /** How the row's icons are drawn, so that further ones are drawn alike; null while each is as it came. */
  look: attribute(optional(iconLook), null),
});
type IconRowAttributes = AttributesOf<typeof iconRow.attributes>;

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

const iconsOf = (row: Node): readonly Node[] =>
  row.children.filter((icon) => image.is(icon) && image.of(icon).source !== "");

/**
 * The size that an icon is drawn at in a row, px: at the row's height; one that would be wider than any picture may be is
 * as wide as that, and lower.
 */
export function drawnInRow(icon: Node, row: Node): Size {
  const { width, height } = image.of(icon);
  const scale = Math.min(iconRow.of(row).size / height, widest / width);
  const side = (length: number): number => Math.max(1, Math.round(scale * length));
  return { width: side(width), height: side(height) };
}

/** The icons at their drawn sizes, row by row, and the columns that they stand in; px. */
function gridOf(node: Node): {
  rows: readonly (readonly Node[])[];
  columns: readonly number[];
  width: number;
} {
  const { gap } = iconRow.of(node);
  const icons = iconsOf(node).map((icon) =>
    icon.type.create({ ...icon.attrs, ...drawnInRow(icon, node) }, null, icon.marks),
  );
  const rows = inRows(icons, iconRow.of(node));
  const across = rows[0]?.length ?? 0;
  // Each column is as wide as its widest icon, and has the gap at its right.
  const columns = Array.from(
    { length: across },
    (_, column) =>
      largest(rows.map(({ [column]: icon }) => (icon ? image.of(icon).width : 0))) +
      (column === across - 1 ? 0 : gap),
  );
  return { rows, columns, width: columns.reduce((sum, column) => sum + column, 0) };
}

export const iconRowKind = blockKind({
  name: "iconRow",
  word: "icon row",
  structure: { content: "inlinePicture*", group: "block", marks: "link" },
  attributes: iconRow.attributes,
  draw(node) {
    const { size, gap, direction, columns } = iconRow.of(node);
    const inColumns = direction === "row" && columns > 0;
    const laid = inColumns
      ? `display:grid;grid-template-columns:repeat(${Math.min(columns, Math.max(1, node.childCount))},max-content)`
      : `flex-direction:${direction}`;
    const style = `--icon-size:${size}px;gap:${gap}px;${laid}`;
    return ["div", { ...marked(node), class: "drawn-icon-row", style }, 0];
  },
  leastWidth: (node) => gridOf(node).width,
  write(node, writing) {
    const { gap } = iconRow.of(node);
    const { rows, columns, width } = gridOf(node);
    const across = columns.length;
    if (across === 0) return "";
    const cell = (icon: Node, column: number, top: number): string => {
      const right = column === across - 1 ? 0 : gap;
      const bottom = top === rows.length - 1 ? 0 : gap;
      const wide = top === 0 ? columns[column] : null;
      return element(
        "td",
        { width: wide, valign: "middle" },
        {
          width: wide,
          "box-sizing": right ? "border-box" : null,
          padding: right || bottom ? `0 ${length(right)} ${length(bottom)} 0` : null,
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
});
