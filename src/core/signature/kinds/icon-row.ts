/**
 * Icons side by side, or stacked, at one display height and one gap, written as a small table of its own so
 * that no client breaks the row. Sizes in px.
 */
import type { Node } from "prosemirror-model";
import { element } from "../html";
import { writeInline, writeInlinePlain } from "../inline";
import { marked, partAttributes, type BlockKind } from "../kind";
import { number, oneOf } from "../values";
import type { PictureAttributes } from "./picture";
import { readPieces } from "./pieces";
import { layoutTable } from "./table";

interface IconRowAttributes {
  /** The height of every icon; each keeps its own proportions. */
  readonly size: number;
  readonly gap: number;
  readonly direction: "row" | "column";
}

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
  },
  draw(node) {
    const { size, gap, direction } = node.attrs as IconRowAttributes;
    const style = `--icon-size:${size}px;gap:${gap}px;flex-direction:${direction}`;
    return ["div", { ...marked(node), class: "drawn-icon-row", style }, 0];
  },
  write(node, writing) {
    const { size, gap, direction } = node.attrs as IconRowAttributes;
    const icons = iconsOf(node).map((icon) => sized(icon, size));
    if (icons.length === 0) return "";
    const across = direction === "row";
    const cells = icons.map((icon, index) => {
      const rest = index === icons.length - 1 ? 0 : gap;
      const wide = (icon.attrs as PictureAttributes).width + (across ? rest : 0);
      const widened = across && rest > 0;
      return {
        wide,
        html: element(
          "td",
          { width: across || index === 0 ? wide : null, valign: "middle" },
          {
            width: across || index === 0 ? wide : null,
            "box-sizing": widened ? "border-box" : null,
            padding: rest === 0 ? null : across ? `0 ${rest}px 0 0` : `0 0 ${rest}px`,
            "vertical-align": "middle",
          },
          writeInline([icon], { ...writing, standingPictures: true }, readPieces) ?? "",
        ),
      };
    });
    const width = across
      ? cells.reduce((sum, cell) => sum + cell.wide, 0)
      : Math.max(...cells.map((cell) => cell.wide));
    const row = (html: string): string => element("tr", {}, {}, html);
    const html = cells.map((cell) => cell.html);
    return element(
      "table",
      layoutTable(width),
      { "border-collapse": "collapse", width },
      across ? row(html.join("")) : html.map(row).join(""),
    );
  },
  writePlain: (node, writing) =>
    iconsOf(node)
      .map((icon) => writeInlinePlain([icon], writing, readPieces))
      .filter((text) => text)
      .join("\n"),
};
