/**
 * How text looks over parts of a document: what all of it has in common, and what differs. What tools show of a
 * selection, whatever it is: a piece of text, a line, a block of cells. Sizes in px.
 */
import type { Mark, Node } from "prosemirror-model";
import { fieldLink, type Person } from "../../people";
import { attributesIn } from "../description";
import { textStyle } from "../inline";
import { button } from "../kinds/button";
import { fieldText, personField } from "../kinds/person-field";
import { link } from "../marks/link";
import { settingsOf, type Settings } from "../settings";
import { isText } from "../strut";

/** What is not the same all over. */
export const mixed = Symbol("mixed");
export type Mixed = typeof mixed;

export interface TextLook {
  readonly font: string;
  readonly size: number;
  /** As it is drawn: that of the signature or of its links where the text has none of its own. */
  readonly color: string;
  readonly bold: boolean;
  readonly italic: boolean;
  /** As it is drawn: a link is underlined by itself, as all links are, or as text is. */
  readonly underline: boolean;
  readonly upperCase: boolean;
  readonly strikethrough: boolean;
  readonly superscript: boolean;
  readonly subscript: boolean;
  /** Added after each letter. */
  readonly letterSpacing: number;
  /** The colour behind it; null for none. */
  readonly highlight: string | null;
  /** Where its link leads; null outside links, and in fields that lead somewhere by themselves. */
  readonly link: string | null;
}

/** The same with what differs said so. */
export type SharedLook = { readonly [K in keyof TextLook]: TextLook[K] | Mixed };

/** How text with these marks looks; `leads` says that it is drawn as a link without being marked as one. */
export function textLook(marks: readonly Mark[], settings: Settings, leads = false): TextLook {
  const href = attributesIn(link, marks)?.href ?? null;
  const { script, link: drawn, ...style } = textStyle(marks, settings, leads || href !== null);
  return {
    ...style,
    color: style.color ?? drawn?.color ?? settings.textColor,
    underline: style.underline || (drawn?.underline ?? false),
    superscript: script === "super",
    subscript: script === "sub",
    link: href,
  };
}

/** Whether a field of the directory leads somewhere by itself, and is drawn in the colour of links. */
export function leadsByItself(node: Node, person: Person | null): boolean {
  if (!personField.is(node)) return false;
  const leading = fieldLink(personField.of(node).field, fieldText(node, person), person?.callingCode);
  return leading !== null && leading !== "visit";
}

/** The settings that hold for text in a block: the words of a button are in its own colour. */
export const settingsIn = (block: Node | null, settings: Settings): Settings =>
  block && button.is(block) ? { ...settings, textColor: button.of(block).color } : settings;

function shared<T>(one: T | Mixed, other: T): T | Mixed {
  return one === other ? one : mixed;
}

const bothOf = (one: SharedLook, other: TextLook): SharedLook => ({
  font: shared(one.font, other.font),
  size: shared(one.size, other.size),
  color: shared(one.color, other.color),
  bold: shared(one.bold, other.bold),
  italic: shared(one.italic, other.italic),
  underline: shared(one.underline, other.underline),
  upperCase: shared(one.upperCase, other.upperCase),
  strikethrough: shared(one.strikethrough, other.strikethrough),
  superscript: shared(one.superscript, other.superscript),
  subscript: shared(one.subscript, other.subscript),
  letterSpacing: shared(one.letterSpacing, other.letterSpacing),
  highlight: shared(one.highlight, other.highlight),
  link: shared(one.link, other.link),
});

export interface TextRange {
  readonly from: number;
  readonly to: number;
}

/**
 * What the text in these ranges of a document has in common, drawn for a person; null where they hold none. Small
 * pictures and breaks are no text.
 */
export function textLookIn(
  document: Node,
  ranges: readonly TextRange[],
  person: Person | null = null,
): SharedLook | null {
  const settings = settingsOf(document);
  let found: SharedLook | null = null;
  for (const { from, to } of ranges)
    document.nodesBetween(from, to, (node, position, parent) => {
      // A range that ends before a node touches it, and does not hold any of it.
      const within = Math.min(to, position + node.nodeSize) > Math.max(from, position);
      if (!within || !node.isInline || !isText(node)) return;
      const look = textLook(node.marks, settingsIn(parent, settings), leadsByItself(node, person));
      found = found ? bothOf(found, look) : look;
    });
  return found;
}
