/** What stands in a line as nodes of a document that has its settings: text with its marks, separators, small pictures. */
import type { Mark, Node } from "prosemirror-model";
import type { Element } from "../../html";
import { detectLinks } from "../../links";
import { letterSpacing, schema, separator, spaceWidth, type Settings } from "../../signature";
import { textSize, within } from "../../values";
import type { Look } from "../style/look";
import type { Inline, PictureRead } from "./parts";

const { nodes, marks } = schema;

/** Characters that no document holds are dropped by every client as well. */
export const withoutControls = (text: string): string =>
  text.replace(/[\u0000-\u0008\u000b-\u001f\u007f]/g, "") || " ";

/** Makes the nodes of one document, and keeps the element that each picture came from. */
export class InlineNodes {
  constructor(
    private readonly settings: Settings,
    private readonly elements: Map<Node, Element>,
  ) {}

  of(inlines: readonly Inline[]): readonly Node[] {
    const made: Node[] = [];
    for (let at = 0; at < inlines.length; at++) {
      const separator = this.separatorAt(inlines, at);
      if (separator) {
        made.push(separator);
        at += 2;
        continue;
      }
      const inline = inlines[at];
      if (!inline) continue;
      if (inline.kind === "break") made.push(nodes.break.create());
      else if (inline.kind === "picture")
        made.push(this.picture(inline.picture, inline.look, inline.element));
      else if (inline.text !== "") made.push(this.text(inline.text, inline.look));
    }
    return made;
  }

  text(written: string, look: Look): Node {
    const text = withoutControls(written);
    const own = this.marksOf(
      this.linksItself(text, look)
        ? { ...look, link: null, color: this.settings.textColor, underline: false }
        : look,
    );
    return schema.text(text, own);
  }

  /** Whether text leads where it does without anybody saying so, and looks as it would. */
  private linksItself(text: string, { link, color, underline }: Look): boolean {
    if (link === null) return false;
    const [found, ...others] = detectLinks(text);
    if (!found || others.length > 0 || found.start > 0 || found.end < text.length) return false;
    const { linkColor, linkUnderline, textColor, visitLink } = this.settings;
    return found.href === null
      ? link === visitLink && color === textColor && underline === linkUnderline
      : link === found.href && color === linkColor && underline === linkUnderline;
  }

  /** A mark between two things whose gaps are set by letter spacing, as they are sent. */
  private separatorAt(inlines: readonly Inline[], at: number): Node | null {
    const [before, glyph, after] = inlines.slice(at, at + 3);
    if (before?.kind !== "text" || glyph?.kind !== "text" || after?.kind !== "text") return null;
    if (before.text !== "\u00a0" || after.text !== " " || !/^[^\s\u00a0\p{L}\p{N}]{1,2}$/u.test(glyph.text))
      return null;
    if (before.look.letterSpacing === 0 && after.look.letterSpacing === 0) return null;
    const width = ({ look }: Inline): number =>
      within(separator.attributes.gap.value, spaceWidth(look.font, look.size) + look.letterSpacing);
    const [gapBefore, gap] = [width(before), width(after)];
    return nodes.separator.create(
      { glyph: glyph.text, gap, gapBefore: gapBefore === gap ? null : gapBefore },
      null,
      this.marksOf(glyph.look),
    );
  }

  picture(shown: PictureRead, look: Look, element: Element): Node {
    const made = nodes.inlinePicture.create(
      shown,
      null,
      look.link === null ? [] : [marks.link.create({ href: look.link })],
    );
    this.elements.set(made, element);
    return made;
  }

  marksOf(look: Look): readonly Mark[] {
    const { settings } = this;
    const own: Mark[] = [];
    if (look.link !== null) {
      const color = look.color === settings.linkColor ? null : look.color;
      const underline = look.underline === settings.linkUnderline ? null : look.underline;
      own.push(marks.link.create({ href: look.link, color, underline }));
    } else {
      if (look.color !== settings.textColor) own.push(marks.color.create({ color: look.color }));
      if (look.underline) own.push(marks.underline.create());
    }
    if (look.highlight !== null) own.push(marks.highlight.create({ color: look.highlight }));
    const size = within(textSize, look.size);
    if (size !== settings.size) own.push(marks.size.create({ size }));
    if (look.font !== settings.font) own.push(marks.font.create({ font: look.font }));
    const spacing = within(letterSpacing.attributes.spacing.value, look.letterSpacing);
    if (spacing !== 0) own.push(marks.letterSpacing.create({ spacing }));
    if (look.upperCase) own.push(marks.upperCase.create());
    if (look.bold) own.push(marks.bold.create());
    if (look.italic) own.push(marks.italic.create());
    if (look.strikethrough) own.push(marks.strikethrough.create());
    if (look.script === "super") own.push(marks.superscript.create());
    if (look.script === "sub") own.push(marks.subscript.create());
    return own.reduce<readonly Mark[]>((set, mark) => mark.addToSet(set), []);
  }
}
