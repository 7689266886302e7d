/** Making a line of text fit for more people, in one step. Positions are those of the document that it was found in; px. */
import type { Node } from "prosemirror-model";
import type { Transform } from "prosemirror-transform";
import {
  innerWidth,
  personField,
  placeAtOffset,
  separator,
  setAttributes,
  setColumnWidth,
  settingsOf,
  style,
  tableMap,
  textLook,
  type CellPlace,
  type TableMap,
} from "../signature";
import { blockAt } from "./drawn-lines";

export type FitMend =
  /** No gap beside a separator of the line is wider. */
  | { readonly kind: "narrow-separators"; readonly position: number; readonly gap: number }
  /** All type of the line is so much smaller. */
  | { readonly kind: "shrink-type"; readonly position: number; readonly by: number }
  /** What follows stands on a line of its own, without the separator between the two. */
  | { readonly kind: "part-line"; readonly position: number; readonly from: number; readonly to: number }
  /** The last column that its cell covers is so much wider, and the table with it. */
  | { readonly kind: "widen-column"; readonly position: number; readonly by: number };

function narrowSeparators(transform: Transform, position: number, most: number): void {
  blockAt(transform.doc, position).forEach((node, offset) => {
    if (!separator.is(node)) return;
    const { gap, gapBefore } = separator.of(node);
    setAttributes(transform, position + 1 + offset, separator, {
      gap: Math.min(gap, most),
      gapBefore: gapBefore === null ? null : Math.min(gapBefore, most),
    });
  });
}

/** Sizes keep their hundredths. */
const smaller = (from: number, by: number): number => Math.round((from - by) * 100) / 100;

function shrinkType(transform: Transform, position: number, by: number): void {
  const settings = settingsOf(transform.doc);
  blockAt(transform.doc, position).forEach((node, offset) => {
    if (!node.isText && !personField.is(node) && !separator.is(node)) return;
    const at = position + 1 + offset;
    const own = textLook(node.marks, settings).size;
    transform.addMark(at, at + node.nodeSize, style.size(smaller(own, by)));
  });
}

interface Around {
  /** Where the table begins. */
  readonly table: number;
  readonly map: TableMap;
  readonly place: CellPlace;
}

/** The cells around a position, from the inside out, each with the table that it lies in. */
function cellsAround(document: Node, position: number): readonly Around[] {
  const at = document.resolve(position);
  const found: Around[] = [];
  for (let depth = at.depth; depth > 2; depth--) {
    if (at.node(depth).type.name !== "cell") continue;
    const table = at.before(depth - 2);
    const map = tableMap(at.node(depth - 2));
    const place = placeAtOffset(map, at.before(depth) - table - 1);
    if (place) found.push({ table, map, place });
  }
  return found;
}

/** A table that has no room any more in the cell around it makes that cell wider too. */
function widenColumn(transform: Transform, position: number, by: number): void {
  let more = by;
  let width = 0;
  for (const { table, map, place } of cellsAround(transform.doc, position)) {
    if (width > 0) more = Math.ceil(width - innerWidth(map, place));
    if (more <= 0) return;
    const column = place.column + place.colspan - 1;
    setColumnWidth(transform, table, column, (map.columnWidths[column] ?? 0) + more);
    const widened = transform.doc.nodeAt(table);
    width = widened ? tableMap(widened).width : 0;
  }
}

function applyFitMend(transform: Transform, mend: FitMend): void {
  switch (mend.kind) {
    case "narrow-separators":
      narrowSeparators(transform, mend.position, mend.gap);
      break;
    case "shrink-type":
      shrinkType(transform, mend.position, mend.by);
      break;
    case "part-line":
      transform.delete(mend.from, mend.to).split(mend.from);
      break;
    case "widen-column":
      widenColumn(transform, mend.position, mend.by);
  }
}

/** Carries out mends in the document that they were found in: their positions are of it, so one that parts a line is the last. */
export function applyFitMends<T extends Transform>(transform: T, mends: readonly FitMend[]): T {
  for (const mend of mends) applyFitMend(transform, mend);
  return transform;
}
