/** A line of text: one paragraph, which wraps where the cell ends. Alignment and line height may be its own. */
import type { Node } from "prosemirror-model";
import { element } from "../../html";
import { fontStack } from "../fonts";
import { writeInline, writeInlinePlain } from "../inline";
import type { Settings } from "../settings";
import { isBlank } from "../spaces";
import { strutOf } from "../strut";
import { choice, optional, largest } from "../../values";
import { lineDirections, ownDirection } from "../direction";
import { attribute, describeAttributes } from "../description";
import { blockKind, marked, partAttributes } from "../kind";
import { horizontalAlignment, lineHeight } from "../values";
import { image } from "./picture";
import { readPieces } from "./pieces";
import { writeGap } from "./spacer";

export const line = describeAttributes(["line"], {
  ...partAttributes,
  /** Null is as the cell. */
  align: attribute(optional(horizontalAlignment), null),
  /** Null takes the signature's; "auto" that of its first letter. */
  direction: attribute(optional(choice(...lineDirections)), null),
  /** Null takes the signature's. */
  lineHeight: attribute(optional(lineHeight), null),
});

/** A line's height in px: its own ratio or the signature's, times its largest text. */
const lineHeightPx = (ratio: number, size: number): number => Math.round(ratio * size);

/** How high each line of a line of text, or of a button's label, is; px. */
export const heightOf = (node: Node, settings: Settings): number =>
  lineHeightPx(
    (line.is(node) ? line.of(node).lineHeight : null) ?? settings.lineHeight,
    strutOf(node.children, settings).size,
  );

const children = (node: Node): readonly Node[] => node.content.content;

export const lineKind = blockKind({
  name: "line",
  word: "line",
  structure: { content: "inline*", group: "block" },
  attributes: line.attributes,
  parse: [{ tag: "p" }],
  draw(node) {
    const own = line.of(node);
    const style = [
      own.align && `text-align:${own.align}`,
      own.lineHeight && `line-height:${own.lineHeight}`,
    ].filter(Boolean);
    return [
      "p",
      {
        ...marked(node),
        ...(own.direction ? { dir: own.direction } : {}),
        ...(style.length ? { style: style.join(";") } : {}),
      },
      0,
    ];
  },
  leastWidth: (node) =>
    largest(
      children(node).map((child) => (image.is(child) ? image.of(child).width : 0)),
      0,
    ),
  write(node, writing) {
    const { settings } = writing;
    const own = line.of(node);
    const strut = strutOf(children(node), settings);
    const height = heightOf(node, settings);
    // An empty line holds its place as a measured gap: an empty paragraph is a different height in each client.
    if (isBlank(node)) {
      const breaks = children(node).filter(({ type }) => type.name === "break").length;
      return writeGap(height * (1 + breaks), writing.availableWidth, writing);
    }
    const inline = writeInline(children(node), { ...writing, strut }, readPieces);
    if (inline === null) return "";
    const inherited = lineHeightPx(settings.lineHeight, settings.size);
    // A document engine cuts off a picture that is higher than its exact line.
    const exact = writing.documentEngine && children(node).every(({ type }) => type.name !== "inlinePicture");
    return element(
      "div",
      { dir: ownDirection(node, own.direction, settings), align: own.align },
      {
        "font-family": strut.font === writing.strut.font ? null : fontStack(strut.font),
        "font-size": strut.size === writing.strut.size ? null : strut.size,
        "line-height": height === inherited && !exact ? null : height,
        "mso-line-height-rule": exact ? "exactly" : null,
      },
      inline,
    );
  },
  writePlain: (node, writing) => writeInlinePlain(children(node), writing, readPieces) ?? "",
});
