/** Putting a finding right in one step. */
import type { Transform } from "prosemirror-transform";
import { schema, setAttributes } from "../signature";

/** What to change in the document that the finding was found in; positions are of that document. */
export type Mend =
  | {
      readonly kind: "lead-to";
      readonly label: string;
      readonly from: number;
      readonly to: number;
      readonly href: string;
    }
  | { readonly kind: "unlink"; readonly label: string; readonly from: number; readonly to: number }
  | { readonly kind: "describe"; readonly label: string; readonly position: number; readonly alt: string }
  | { readonly kind: "take-out"; readonly label: string; readonly position: number }
  | { readonly kind: "make-icon-row"; readonly label: string; readonly position: number };

/** Makes a link of everything between two positions, keeping how a link that is there already is drawn. */
function leadTo(transform: Transform, from: number, to: number, href: string): void {
  const type = schema.marks.link!;
  transform.doc.nodesBetween(from, to, (node, position) => {
    if ("link" in node.attrs && position >= from) {
      setAttributes(transform, position, { link: href });
      return false;
    }
    if (!node.isInline) return true;
    const own = node.marks.find((mark) => mark.type === type);
    const look = own ? { color: own.attrs.color as unknown, underline: own.attrs.underline as unknown } : {};
    const begin = Math.max(from, position);
    const end = Math.min(to, position + node.nodeSize);
    transform.addMark(begin, end, type.create({ ...look, href }));
    return false;
  });
}

/** Icons of different sizes in a line become a row, which draws them all as high as the one in the middle. */
function makeIconRow(transform: Transform, position: number): void {
  const line = transform.doc.nodeAt(position)!;
  const icons = line.content.content.filter((child) => child.type.name === "inlinePicture");
  const heights = icons.map((icon) => Number(icon.attrs.height)).sort((one, other) => one - other);
  const size = Math.min(96, Math.max(8, heights[Math.floor(heights.length / 2)]!));
  const row = schema.nodes.iconRow!.create({ size, gap: 6 }, icons);
  transform.replaceWith(position, position + line.nodeSize, row);
}

/** Applies a mend to the document that its finding was found in. */
export function applyMend(transform: Transform, mend: Mend): Transform {
  switch (mend.kind) {
    case "lead-to":
      leadTo(transform, mend.from, mend.to, mend.href);
      break;
    case "unlink":
      transform.removeMark(mend.from, mend.to, schema.marks.link!);
      break;
    case "describe":
      setAttributes(transform, mend.position, { alt: mend.alt });
      break;
    case "take-out": {
      const node = transform.doc.nodeAt(mend.position);
      if (node) transform.delete(mend.position, mend.position + node.nodeSize);
      break;
    }
    case "make-icon-row":
      makeIconRow(transform, mend.position);
  }
  return transform;
}
