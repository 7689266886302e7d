/** Putting a finding right in one step. */
import type { Mapping, Transform } from "prosemirror-transform";
import type { DarkLook } from "../pictures";
import {
  attributesIn,
  build,
  iconRow,
  image,
  leadingKind,
  line,
  link,
  part,
  recolorText,
  refontText,
  resizeText,
  schema,
  setAttributes,
  setSettings,
  showInstead,
  style,
} from "../signature";

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
  | { readonly kind: "show-from"; readonly label: string; readonly position: number; readonly source: string }
  | {
      readonly kind: "show-at";
      readonly label: string;
      readonly position: number;
      /** px. */
      readonly width: number;
      readonly height: number;
    }
  | { readonly kind: "take-out"; readonly label: string; readonly position: number }
  | { readonly kind: "make-icon-row"; readonly label: string; readonly position: number }
  | { readonly kind: "show-to-all"; readonly label: string; readonly position: number }
  | { readonly kind: "recolor"; readonly label: string; readonly from: string; readonly to: string }
  | { readonly kind: "set-size"; readonly label: string; readonly from: number; readonly to: number }
  | { readonly kind: "set-font"; readonly label: string; readonly from: string; readonly to: string }
  | { readonly kind: "set-line-height"; readonly label: string; readonly position: number }
  | {
      readonly kind: "make-spacer";
      readonly label: string;
      readonly position: number;
      /** So many empty lines make room for it; px. */
      readonly lines: number;
      readonly height: number;
    }
  | { readonly kind: "underline-links"; readonly label: string }
  | Redraw;

/** Pictures are drawn anew by the server; the document shows them once that has been done. */
export interface Redraw {
  readonly kind: "redraw";
  readonly label: string;
  readonly sources: readonly string[];
  readonly look: DarkLook;
  /** What was drawn in place of each; null before that. */
  readonly drawn?: Readonly<Record<string, string>>;
}

/** Makes a link of everything between two positions, keeping how a link that is there already is drawn. */
function leadTo(transform: Transform, from: number, to: number, href: string): void {
  transform.doc.nodesBetween(from, to, (node, position) => {
    const leading = leadingKind(node);
    if (leading && position >= from) {
      setAttributes(transform, position, leading, { link: href });
      return false;
    }
    if (!node.isInline) return true;
    const begin = Math.max(from, position);
    const end = Math.min(to, position + node.nodeSize);
    transform.addMark(begin, end, style.link(href, attributesIn(link, node.marks) ?? {}));
    return false;
  });
}

/** Icons of different sizes in a line become a row, which draws them all as high as the one in the middle. */
function makeIconRow(transform: Transform, position: number): void {
  const line = transform.doc.nodeAt(position);
  const icons = line?.content.content.filter(image.is) ?? [];
  const heights = icons.map((icon) => image.of(icon).height).sort((one, other) => one - other);
  const middle = heights[Math.floor(heights.length / 2)];
  if (!line || middle === undefined) return;
  const { least, most } = iconRow.attributes.size.value;
  const size = Math.min(most, Math.max(least, middle));
  transform.replaceWith(position, position + line.nodeSize, build.iconRow({ size }, ...icons));
}

/** Empty lines give way to a spacer. */
function makeSpacer(transform: Transform, position: number, lines: number, height: number): void {
  let end = position;
  for (let index = 0; index < lines; index++) end += transform.doc.nodeAt(end)?.nodeSize ?? 0;
  transform.replaceWith(position, end, build.spacer(height));
}

/** Applies a mend to the document that its finding was found in. */
export function applyMend(transform: Transform, mend: Mend): Transform {
  switch (mend.kind) {
    case "lead-to":
      leadTo(transform, mend.from, mend.to, mend.href);
      break;
    case "unlink":
      transform.removeMark(mend.from, mend.to, schema.marks.link);
      break;
    case "describe":
      setAttributes(transform, mend.position, image, { alt: mend.alt, decorative: false });
      break;
    case "show-to-all":
      setAttributes(transform, mend.position, part, { shownFor: null });
      break;
    case "show-from":
      setAttributes(transform, mend.position, image, { source: mend.source });
      break;
    case "show-at":
      setAttributes(transform, mend.position, image, { width: mend.width, height: mend.height });
      break;
    case "take-out": {
      const node = transform.doc.nodeAt(mend.position);
      if (node) transform.delete(mend.position, mend.position + node.nodeSize);
      break;
    }
    case "make-icon-row":
      makeIconRow(transform, mend.position);
      break;
    case "recolor":
      recolorText(transform, mend.from, mend.to);
      break;
    case "set-size":
      resizeText(transform, mend.from, mend.to);
      break;
    case "set-font":
      refontText(transform, mend.from, mend.to);
      break;
    case "set-line-height":
      setAttributes(transform, mend.position, line, { lineHeight: null });
      break;
    case "make-spacer":
      makeSpacer(transform, mend.position, mend.lines, mend.height);
      break;
    case "underline-links":
      setSettings(transform, { linkUnderline: true });
      break;
    case "redraw":
      showInstead(transform, new Map(Object.entries(mend.drawn ?? {})));
  }
  return transform;
}

/** Whether a mend is of a place in the document that it was found in, and not of all of it. */
export const hasPlace = (mend: Mend): boolean =>
  "position" in mend || mend.kind === "lead-to" || mend.kind === "unlink";

/** A mend whose places are those of a document before some steps; null where what it would mend is gone. */
function mapped(mend: Mend, mapping: Mapping): Mend | null {
  if (mend.kind === "lead-to" || mend.kind === "unlink") {
    const [from, to] = [mapping.map(mend.from, 1), mapping.map(mend.to, -1)];
    return from < to ? { ...mend, from, to } : null;
  }
  // It is about the whole signature.
  if (!("position" in mend)) return mend;
  const { pos, deleted } = mapping.mapResult(mend.position, 1);
  return deleted ? null : { ...mend, position: pos };
}

/** What changes the structure comes last, so that it takes away nothing that another mend is for. */
const order: Readonly<Record<Mend["kind"], number>> = {
  "lead-to": 0,
  unlink: 0,
  describe: 0,
  "show-to-all": 0,
  "show-from": 0,
  "show-at": 0,
  recolor: 0,
  "set-size": 0,
  "set-font": 0,
  "set-line-height": 0,
  "underline-links": 0,
  redraw: 0,
  "take-out": 1,
  "make-icon-row": 2,
  "make-spacer": 2,
};

/**
 * Applies mends that were all found in one document, one after the other; those whose place an earlier one took away are
 * left out. Answers how many were applied.
 */
export function applyMends(transform: Transform, mends: readonly Mend[]): number {
  const before = transform.steps.length;
  let applied = 0;
  for (const mend of [...mends].sort((one, other) => order[one.kind] - order[other.kind])) {
    const now = mapped(mend, transform.mapping.slice(before));
    if (!now) continue;
    applyMend(transform, now);
    applied++;
  }
  return applied;
}
