/** How high rows and lines are: what they say, where that is more than what is in them needs. Lengths in px. */
import { row } from "../../signature";
import { within, largest } from "../../values";
import { lineHeightOf } from "../style/look";
import { isBlankPart, type LinePart } from "./parts";
import type { SizedCell } from "./size-table";

const rowHeight = row.attributes.height.value.value;

/** How high each line of a paragraph is: the highest of what stands in it. */
export function lineHeight({ look, inlines }: LinePart): number {
  return inlines.reduce(
    (height, inline) => (inline.kind === "text" ? Math.max(height, lineHeightOf(inline.look)) : height),
    lineHeightOf(look),
  );
}

/**
 * What a row says of its height, where that is more than what is in it needs; null where it is as high as that. `emptyLine`
 * is how high a line without anything is.
 */
export function heightOfRow(cells: readonly SizedCell[], emptyLine: number): number | null {
  const own = cells.filter(({ rowspan }) => rowspan === 1);
  const blank =
    own.length > 0 && own.length === cells.length && own.every(({ parts }) => parts.every(isBlankPart));
  const needed = largest(
    own.map((cell) => neededHeight(cell)),
    0,
  );
  if (blank) {
    const height = largest(own.map((cell) => Math.max(cell.height ?? 0, neededHeight(cell))));

    const declared = own.some((cell) => cell.height !== null);
    return !declared && Math.round(height) === emptyLine
      ? null
      : height >= 1
        ? within(rowHeight, height)
        : null;
  }
  const declared = largest(
    own.map(({ height }) => height ?? 0),
    0,
  );
  const everywhere = own.length > 0 && own.every(({ height }) => height === declared);
  return declared >= 1 && (declared > needed + 1 || (everywhere && declared >= needed - 1))
    ? within(rowHeight, declared)
    : null;
}

function neededHeight({ parts, padding }: SizedCell): number {
  const inside = parts.reduce((sum, part) => {
    if (part.kind === "gap") return sum + part.height;
    if (part.kind === "picture") return sum + part.picture.height;
    if (part.kind === "icons") return sum + part.size;
    if (part.kind === "divider") return sum + part.thickness;
    if (part.kind === "line")
      return sum + lineHeight(part) * (1 + part.inlines.filter(({ kind }) => kind === "break").length);
    return sum;
  }, 0);
  return inside + padding.top + padding.bottom;
}
