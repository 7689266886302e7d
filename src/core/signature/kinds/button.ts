/**
 * A call to action: a filled cell with a link in it, so that it is a solid button even where a client keeps no
 * radius and no padding on links. Lengths in px.
 */
import type { Node } from "prosemirror-model";
import { element, px } from "../html";
import { fontStack } from "../fonts";
import { largestSize, writeInline, writeInlinePlain } from "../inline";
import { marked, partAttributes, type BlockKind } from "../kind";
import { hexColor, linkTarget, number, optional } from "../values";
import { readPieces } from "./pieces";
import { lineHeightPx } from "./line";
import { publicAddress } from "../writing";
import { layoutTable } from "./table";

interface ButtonAttributes {
  readonly link: string | null;
  readonly background: string;
  readonly color: string;
  readonly paddingVertical: number;
  readonly paddingHorizontal: number;
  readonly radius: number;
  /** The whole width of the button. */
  readonly width: number;
}

const label = (node: Node): readonly Node[] => node.content.content;

export const buttonKind: BlockKind = {
  name: "button",
  word: "button",
  structure: {
    content: "(text | personField)*",
    group: "block",
    marks: "bold italic size font letterSpacing upperCase",
    isolating: true,
  },
  attributes: {
    ...partAttributes,
    link: { default: null, check: optional(linkTarget) },
    background: { default: "#1F5B57", check: hexColor },
    color: { default: "#FFFFFF", check: hexColor },
    paddingVertical: { default: 8, check: number(0, 60, 1) },
    paddingHorizontal: { default: 16, check: number(0, 100, 1) },
    radius: { default: 4, check: number(0, 60, 1) },
    width: { default: 160, check: number(20, 1200, 1) },
  },
  draw(node) {
    const button = node.attrs as ButtonAttributes;
    const style = [
      `background:${button.background}`,
      `color:${button.color}`,
      `padding:${px(button.paddingVertical)} ${px(button.paddingHorizontal)}`,
      `border-radius:${px(button.radius)}`,
      `width:${px(button.width)}`,
      "box-sizing:border-box;text-align:center",
    ];
    return ["div", { ...marked(node), style: style.join(";") }, 0];
  },
  write(node, writing) {
    const button = node.attrs as ButtonAttributes;
    const { settings } = writing;
    const inside = {
      ...writing,
      settings: { ...settings, linkColor: button.color, textColor: button.color, linkUnderline: false },
    };
    const linked = button.link
      ? label(node).map((child) =>
          child.mark(node.type.schema.marks.link!.create({ href: button.link }).addToSet(child.marks)),
        )
      : label(node);
    const inline = writeInline(linked, inside, readPieces);
    if (inline === null) return "";
    return element(
      "table",
      layoutTable(button.width),
      { "border-collapse": "collapse", width: button.width },
      element(
        "tr",
        {},
        {},
        element(
          "td",
          { width: button.width, align: "center", bgcolor: button.background },
          {
            width: button.width,
            "box-sizing": "border-box",
            padding: `${px(button.paddingVertical)} ${px(button.paddingHorizontal)}`,
            "background-color": button.background,
            "border-radius": button.radius || null,
            "font-family": fontStack(settings.font),
            "font-size": settings.size,
            "line-height": lineHeightPx(settings.lineHeight, largestSize(label(node), writing)),
            "mso-line-height-rule": writing.documentEngine ? "exactly" : null,
            color: button.color,
          },
          inline,
        ),
      ),
    );
  },
  writePlain(node, writing) {
    const said = writeInlinePlain(label(node), writing, readPieces);
    const { link } = node.attrs as ButtonAttributes;
    return said === null ? "" : link ? `${said} <${publicAddress(link, writing.base)}>` : said;
  },
};
