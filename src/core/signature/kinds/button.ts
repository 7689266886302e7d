/**
 * A call to action: a filled cell with a link in it, so that it is a solid button even where a client keeps no
 * radius and no padding on links. Lengths in px.
 */
import type { Node } from "prosemirror-model";
import { publicAddress } from "../../addresses";
import { element, px as length } from "../../html";
import { color, optional, px } from "../../values";
import { fontStack } from "../fonts";
import { writeInline, writeInlinePlain } from "../inline";
import { strutOf } from "../strut";
import { attribute, describeAttributes } from "../description";
import { blockKind, marked, partAttributes } from "../kind";
import { linkTo } from "../marks/link";
import { linkTarget, widest } from "../values";
import { readPieces } from "./pieces";
import { heightOf } from "./line";
import { layoutTable } from "./table";

export const button = describeAttributes(["button"], {
  ...partAttributes,
  link: attribute(optional(linkTarget), null),
  background: attribute(color, "#1F5B57"),
  color: attribute(color, "#FFFFFF"),
  paddingVertical: attribute(px(0, 60), 8),
  paddingHorizontal: attribute(px(0, 100), 16),
  radius: attribute(px(0, 60), 4),
  /** The whole width of the button. */
  width: attribute(px(20, widest), 160),
});

const label = (node: Node): readonly Node[] => node.content.content;

export const buttonKind = blockKind({
  name: "button",
  word: "button",
  structure: {
    content: "(text | personField)*",
    group: "block",
    marks: "bold italic size font letterSpacing upperCase strikethrough superscript subscript",
    isolating: true,
  },
  attributes: button.attributes,
  draw(node) {
    const drawn = button.of(node);
    const style = [
      `background:${drawn.background}`,
      `color:${drawn.color}`,
      `padding:${length(drawn.paddingVertical)} ${length(drawn.paddingHorizontal)}`,
      `border-radius:${length(drawn.radius)}`,
      `width:${length(drawn.width)}`,
      "box-sizing:border-box;text-align:center",
    ];
    return ["div", { ...marked(node), class: "drawn-button", style: style.join(";") }, 0];
  },
  leastWidth: (node) => button.of(node).width,
  write(node, writing) {
    const written = button.of(node);
    const { settings } = writing;
    const inside = {
      ...writing,
      settings: { ...settings, linkColor: written.color, textColor: written.color, linkUnderline: false },
    };
    const { link: target } = written;
    const linked = target
      ? label(node).map((child) => child.mark(linkTo(node.type.schema, target).addToSet(child.marks)))
      : label(node);
    const strut = strutOf(label(node), settings);
    const inline = writeInline(linked, { ...inside, strut }, readPieces);
    if (inline === null) return "";
    return element(
      "table",
      layoutTable(written.width),
      { "border-collapse": "collapse", width: written.width },
      element(
        "tr",
        {},
        {},
        element(
          "td",
          { width: written.width, align: "center", bgcolor: written.background },
          {
            width: written.width,
            "box-sizing": "border-box",
            padding: `${length(written.paddingVertical)} ${length(written.paddingHorizontal)}`,
            "background-color": written.background,
            "border-radius": written.radius || null,
            "font-family": fontStack(strut.font),
            "font-size": strut.size,
            "line-height": heightOf(node, settings),
            "mso-line-height-rule": writing.documentEngine ? "exactly" : null,
            color: written.color,
          },
          inline,
        ),
      ),
    );
  },
  writePlain(node, writing) {
    const said = writeInlinePlain(label(node), writing, readPieces);
    const { link: href } = button.of(node);
    return said === null ? "" : href ? `${said} <${publicAddress(href, writing.base)}>` : said;
  },
});
