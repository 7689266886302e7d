/** Taking off, over parts of a document, what text has of its own, so that it looks as the whole signature does. */
import type { MarkType, Node } from "prosemirror-model";
import type { Transform } from "prosemirror-transform";
import { attributesIn } from "../description";
import { link } from "../marks/link";
import type { TextRange } from "../queries/text-look";
import { schema } from "../schema";
import { settingsOf } from "../settings";
import { isText } from "../strut";
import { setLinkLook } from "./link-looks";

/** What the whole signature sets and text can have of its own. */
export type OwnLook = "font" | "size" | "color";

/** In how many places text has a font, size or colour of its own; neighbours in one line count once. */
export function ownLooks(document: Node): Readonly<Record<OwnLook, number>> {
  const found = { font: 0, size: 0, color: 0 };
  document.descendants((block) => {
    if (!block.inlineContent) return;
    for (const name of ["font", "size", "color"] as const) {
      let before = false;
      block.forEach((node) => {
        const own = isText(node) && schema.marks[name].isInSet(node.marks) !== undefined;
        if (own && !before) found[name]++;
        before = own;
      });
    }
  });
  return found;
}

/** Takes the fonts, sizes or colours that text has of its own off the whole document. */
export function takeOffOwn<T extends Transform>(transform: T, name: OwnLook): T {
  transform.removeMark(0, transform.doc.content.size, schema.marks[name]);
  return transform;
}

const isKept = (type: MarkType): boolean => type === schema.marks.link;

/** Text as the signature has it: links stay, and are drawn as all of its links are. */
export function clearStyling<T extends Transform>(transform: T, ranges: readonly TextRange[]): T {
  for (const { from, to } of ranges) {
    for (const type of Object.values(schema.marks)) if (!isKept(type)) transform.removeMark(from, to, type);
    setLinkLook(transform, from, to, { color: null, underline: null });
  }
  return transform;
}

/**
 * Underlines all text of some ranges, or none of it. A link is told so by an attribute of its own, or left as all
 * links are where that comes to the same.
 */
export function setUnderline<T extends Transform>(
  transform: T,
  ranges: readonly TextRange[],
  on: boolean,
): T {
  const mark = schema.marks.underline;
  const { linkUnderline } = settingsOf(transform.doc);
  for (const { from, to } of ranges) {
    transform.doc.nodesBetween(from, to, (node, position) => {
      if (!node.isInline) return;
      const start = Math.max(from, position);
      const end = Math.min(to, position + node.nodeSize);
      if (start >= end) return;
      const linked = attributesIn(link, node.marks) !== null;
      if (on && !linked) transform.addMark(start, end, mark.create());
      else transform.removeMark(start, end, mark);
      if (linked) setLinkLook(transform, start, end, { underline: on === linkUnderline ? null : on });
    });
  }
  return transform;
}
