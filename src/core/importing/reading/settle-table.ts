/**
 * What a table of foreign HTML is in a signature: a gap, a divider, a button, a row of icons, a wrapper that carries
 * nothing, or a table. Each is told by its geometry and content, never by names. Lengths in px.
 */
import { largest, smallest } from "../../values";
import { signatureSettings } from "../../signature";
import { lineHeightOf } from "../style/look";
import {
  isBlankPart,
  isDrawn,
  isPadded,
  type ButtonPart,
  type DividerPart,
  type GridCell,
  type IconsPart,
  type Inline,
  type Part,
  type TablePart,
} from "./parts";

/** A divider is at most so high, as the document has them. */
const thickest = 8;
/** Pictures up to this height that stand side by side are icons. */
const largestIcon = 64;

const isEmpty = (cell: GridCell): boolean => cell.parts.every(isBlankPart);

/** How high the content of a cell without words is. */
const contentHeight = (cell: GridCell): number =>
  cell.parts.reduce((sum, part) => {
    if (part.kind === "gap") return sum + part.height;
    if (part.kind === "line") return sum + lineHeightOf(part.look);
    return sum;
  }, 0);

const heightOf = (cell: GridCell): number => {
  const { padding, border } = cell;
  const around = padding.top + padding.bottom + (border.top?.width ?? 0) + (border.bottom?.width ?? 0);
  const declared = cell.height === null ? 0 : cell.wholeWidth ? cell.height : cell.height + around;
  return Math.max(declared, contentHeight(cell) + around);
};

const singleCell = ({ cells }: TablePart): GridCell | null =>
  cells.length === 1 ? (cells[0] ?? null) : null;

function asDivider(table: TablePart): DividerPart | null {
  const cell = singleCell(table);
  if (!cell || !isEmpty(cell)) return null;
  const { top, bottom, left, right } = cell.border;
  const width = table.width ?? cell.width;
  const ruled = top ?? bottom;
  if (ruled && !(top && bottom) && !left && !right && cell.background === null && ruled.width <= thickest)
    return heightOf(cell) - ruled.width < 4
      ? {
          kind: "divider",
          thickness: ruled.width,
          style: ruled.style,
          color: ruled.color,
          width,
          element: table.element,
        }
      : null;
  if (cell.background !== null && !top && !bottom && !left && !right) {
    const height = heightOf(cell);
    if (height > 0 && height <= thickest)
      return {
        kind: "divider",
        thickness: height,
        style: "solid",
        color: cell.background,
        width,
        element: table.element,
      };
  }
  return null;
}

function asGap(table: TablePart): Part | null {
  const cell = singleCell(table);
  if (!cell || !isEmpty(cell) || isDrawn(cell)) return null;
  return { kind: "gap", height: heightOf(cell), element: table.element };
}

const textRuns = (inlines: readonly Inline[]): readonly (Inline & { kind: "text" })[] =>
  inlines.filter(
    (inline): inline is Inline & { kind: "text" } => inline.kind === "text" && inline.text.trim() !== "",
  );

function asButton(table: TablePart): ButtonPart | null {
  const cell = singleCell(table);
  if (!cell || cell.background === null || Object.values(cell.border).some((side) => side !== null))
    return null;
  const [line, ...others] = cell.parts.filter((part) => !isBlankPart(part));
  if (line?.kind !== "line" || others.length > 0) return null;
  if (line.inlines.some(({ kind }) => kind !== "text")) return null;
  const runs = textRuns(line.inlines);
  const [first] = runs;
  const link = first?.look.link ?? null;
  if (!first || link === null || runs.some(({ look }) => look.link !== link)) return null;
  const { padding } = cell;
  const gaps = cell.parts.reduce((sum, part) => sum + (part.kind === "gap" ? part.height : 0), 0);
  const declared = table.width && "px" in table.width ? table.width.px : null;
  const own = cell.width && "px" in cell.width ? cell.width.px : null;
  const sideways = padding.left + padding.right;
  const width = declared ?? (own === null ? null : cell.wholeWidth ? own : own + sideways);
  // Some buttons are as high as one line of them: what is more than text needs is padding.
  const tall = largest(
    runs.map(({ look }) => lineHeightOf(look)),
    lineHeightOf(line.look),
  );
  const size = largest(runs.map(({ look }) => look.size));
  const within = tall > size * 1.8 ? tall - size * signatureSettings.attributes.lineHeight.default : 0;
  return {
    kind: "button",
    label: line.inlines,
    look: line.look,
    link,
    background: cell.background,
    paddingVertical: (padding.top + padding.bottom + gaps + within) / 2,
    paddingHorizontal: sideways / 2,
    radius: cell.radius,
    width: width ?? 0,
    element: table.element,
  };
}

type IconInline = IconsPart["icons"][number];

/** The one picture of a cell; null where there is something else. */
function iconOf(cell: GridCell): IconInline | null {
  const [part, ...others] = cell.parts.filter((each) => !isBlankPart(each));
  if (!part || others.length > 0) return null;
  if (part.kind === "picture")
    return { kind: "picture", picture: part.picture, look: part.look, beside: 0, element: part.element };
  if (part.kind !== "line") return null;
  const shown = part.inlines.filter((inline) => inline.kind !== "text" || inline.text.trim() !== "");
  const [only] = shown;
  return shown.length === 1 && only?.kind === "picture" ? only : null;
}

const mostOf = (numbers: readonly number[]): number => {
  const counts = new Map<number, number>();
  for (const number of numbers) counts.set(number, (counts.get(number) ?? 0) + 1);
  return [...counts].reduce((best, entry) => (entry[1] > best[1] ? entry : best), [0, 0] as [
    number,
    number,
  ])[0];
};

/** Whether pictures are of one height, as far as eyes tell. */
const alike = (icons: readonly IconInline[]): boolean => {
  const heights = icons.map(({ picture }) => picture.height);
  return largest(heights) <= largestIcon && largest(heights) - smallest(heights) <= 2;
};

function asIcons(table: TablePart): IconsPart | null {
  if (table.cells.some(isDrawn) || table.cells.some(({ colspan, rowspan }) => colspan > 1 || rowspan > 1))
    return null;
  const icons: IconInline[] = [];
  const gaps: number[] = [];
  const byRow: number[] = [];
  let room = 0;
  let before: GridCell | null = null;
  for (const cell of table.cells) {
    if (before && before.row !== cell.row) {
      before = null;
      room = 0;
    }
    if (isEmpty(cell)) {
      const width = cell.width && "px" in cell.width ? cell.width.px : 0;
      room += width + cell.padding.left + cell.padding.right;
      continue;
    }
    const icon = iconOf(cell);
    if (!icon) return null;
    if (before) gaps.push(room + before.padding.right + cell.padding.left + icon.beside);
    icons.push(icon);
    byRow[cell.row] = (byRow[cell.row] ?? 0) + 1;
    before = cell;
    room = 0;
  }
  const [first] = icons;
  if (!first || icons.length < 2 || !alike(icons)) return null;
  const rows = byRow.filter((count) => count > 0);
  const across = largest(rows);
  if (rows.slice(0, -1).some((count) => count !== across)) return null;
  const stacked = across === 1;
  const vertical = stacked
    ? table.cells.map(({ padding }) => padding.top + padding.bottom).filter((gap) => gap > 0)
    : [];
  return {
    kind: "icons",
    icons,
    size: mostOf(icons.map(({ picture }) => picture.height)),
    gap: Math.round(mostOf(stacked ? vertical : gaps)),
    columns: !stacked && rows.length > 1 ? across : 0,
    stacked,
    look: table.look,
    element: table.element,
  };
}

/** Whether a cell may go without anybody seeing it. */
const carriesNothing = (cell: GridCell): boolean => !isDrawn(cell) && !isPadded(cell) && cell.radius === 0;

/** A part in room that is as wide as it says, where it fills that room. */
function inRoom(part: Part, width: TablePart["width"], place: TablePart["place"]): Part {
  if (part.kind !== "table") return part;
  const fills = part.width === null || ("percent" in part.width && part.width.percent === 100);
  return {
    ...part,
    width: part.width === null ? null : fills && width ? width : part.width,
    place: part.place ?? place,
  };
}

function unwrapped(table: TablePart, cell: GridCell): readonly Part[] {
  const [only, ...others] = cell.parts;
  if (only?.kind === "table" && others.length === 0) {
    if (carriesNothing(cell)) return [inRoom(only, table.width, table.place)];
  }
  if (carriesNothing(cell) && (table.width === null || isPlainFlow(cell)))
    return cell.parts.map((part) => inRoom(part, table.width, table.place));
  return [table];
}

/** Text that stands where it stands whatever its box is. */
const isPlainFlow = (cell: GridCell): boolean =>
  cell.parts.every((part) => part.kind !== "line" || part.inlines.length === 0);

/** Two boxes around the same thing as one. */
function joined(outer: GridCell, inner: GridCell): GridCell {
  const sum = (side: keyof GridCell["padding"]): number => outer.padding[side] + inner.padding[side];
  return {
    ...outer,
    padding: { top: sum("top"), right: sum("right"), bottom: sum("bottom"), left: sum("left") },
    look: inner.look,
    saysType: inner.saysType || outer.saysType,
    saysAlign: inner.saysAlign || outer.saysAlign,
    parts: inner.parts,
  };
}

/** The parts that a table of foreign HTML is; usually one. */
export function settleTable(table: TablePart): readonly Part[] {
  const settled = { ...table, cells: table.cells.map(absorbed) };
  const part = asDivider(settled) ?? asGap(settled) ?? asButton(settled) ?? asIcons(settled);
  if (part) return part.kind === "gap" && part.height <= 0 ? [] : [part];
  const cell = singleCell(settled);
  return cell ? unwrapped(settled, cell) : [settled];
}

/** A cell that holds nothing but a table of one cell takes over what that cell is. */
function absorbed(cell: GridCell): GridCell {
  const [only, ...others] = cell.parts;
  if (only?.kind !== "table" || others.length > 0) return withIconLines(cell);
  const inner = singleCell(only);
  if (!inner || only.place !== null) return cell;
  if (isDrawn(inner) && (isDrawn(cell) || isPadded(cell) || inner.background !== null)) return cell;
  return withIconLines({ ...joined(cell, inner), border: isDrawn(inner) ? inner.border : cell.border });
}

/** Lines that hold nothing but linked pictures of one height are rows of icons; a line of one picture is that picture. */
export function settleLine(part: Part): Part {
  if (part.kind !== "line") return part;
  const shown = part.inlines.filter(
    (inline) => inline.kind !== "text" || inline.text.replace(/[\s\u00a0]/g, "") !== "",
  );
  if (shown.length === 0 || !shown.every((inline): inline is IconInline => inline.kind === "picture"))
    return part;
  const [first] = shown;
  if (!first) return part;
  if (shown.length === 1)
    return {
      kind: "picture",
      picture: first.picture,
      look: { ...first.look, align: part.look.align },
      element: first.element,
    };
  if (!alike(shown) || shown.some(({ look }) => look.link === null)) return part;
  // Between them stand spaces, and the room at their sides.
  const spaces = part.inlines.filter(({ kind }) => kind === "text");
  const [space] = spaces;
  const spaceRoom =
    space?.kind === "text"
      ? ([...space.text].length * space.look.size * 0.278 * spaces.length) / Math.max(1, shown.length - 1)
      : 0;
  return {
    kind: "icons",
    icons: shown,
    size: mostOf(shown.map(({ picture }) => picture.height)),
    gap: Math.round(spaceRoom + mostOf(shown.map(({ beside }) => beside))),
    columns: 0,
    stacked: false,
    look: part.look,
    element: part.element,
  };
}

function withIconLines(cell: GridCell): GridCell {
  if (!cell.parts.some(({ kind }) => kind === "line")) return cell;
  const parts = cell.parts.map(settleLine);
  return parts.some((part, index) => part !== cell.parts[index]) ? { ...cell, parts } : cell;
}
