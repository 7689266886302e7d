/** How links are drawn: one link by itself, or every link of the signature in one step. */
import type { Mark, Node } from "prosemirror-model";
import type { Transform } from "prosemirror-transform";
import { attributesIn } from "../description";
import { textColor } from "../marks/color";
import { link, type LinkAttributes } from "../marks/link";
import { underline as underlined } from "../marks/underline";
import { schema } from "../schema";
import { setSettings } from "./set-attributes";

export type LinkLookPatch = Partial<Pick<LinkAttributes, "color" | "underline">>;

interface Linked {
  readonly from: number;
  readonly to: number;
  readonly mark: Mark;
}

const linked = (transform: Transform, from: number, to: number): Linked[] => {
  const found: Linked[] = [];
  transform.doc.nodesBetween(from, to, (node, position) => {
    const mark = node.marks.find(link.is);
    if (mark && node.isInline) found.push({ from: position, to: position + node.nodeSize, mark });
  });
  return found;
};

/** Sets how the links between two positions are drawn; null is as in the whole signature. */
export function setLinkLook<T extends Transform>(
  transform: T,
  from: number,
  to: number,
  patch: LinkLookPatch,
): T {
  for (const { mark, ...range } of linked(transform, from, to)) {
    const next = mark.type.create({ ...mark.attrs, ...patch });
    if (!next.eq(mark)) transform.addMark(range.from, range.to, next);
  }
  return transform;
}

/**
 * The links of a document that are not drawn as all of its links are, by where they begin: their colour, or null where
 * only the underline is their own. Text that leads to one place without a gap is one link, whatever marks its pieces have.
 */
export function ownLinkLooks(document: Node): ReadonlyMap<number, string | null> {
  const found = new Map<number, string | null>();
  let before = { start: -1, end: -1, href: "" };
  document.descendants((node, position) => {
    const own = node.isInline ? attributesIn(link, node.marks) : null;
    if (!own) return;
    const goesOn = before.end === position && before.href === own.href;
    before = { start: goesOn ? before.start : position, end: position + node.nodeSize, href: own.href };
    const color = attributesIn(textColor, node.marks)?.color ?? own.color;
    const underline = own.underline !== null || node.marks.some(underlined.is);
    if (color !== null || underline) found.set(before.start, found.get(before.start) ?? color);
  });
  return found;
}

/**
 * Draws every link of the signature alike: sets the signature's own colour and underline, and takes away what single
 * links, and the text in them, have of their own.
 */
export function setAllLinkLooks(
  transform: Transform,
  { linkColor, linkUnderline }: { linkColor: string; linkUnderline: boolean },
): Transform {
  setSettings(transform, { linkColor, linkUnderline });
  for (const { from, to, mark } of linked(transform, 0, transform.doc.content.size)) {
    const plain = mark.type.create({ ...mark.attrs, color: null, underline: null });
    if (!plain.eq(mark)) transform.addMark(from, to, plain);
    transform.removeMark(from, to, schema.marks.color);
    transform.removeMark(from, to, schema.marks.underline);
  }
  return transform;
}
