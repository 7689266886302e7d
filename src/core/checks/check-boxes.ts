/** Findings about what does not fit, and about the sizes of what stands beside each other. Lengths in px. */
import { smallest } from "../values";
import type { Node } from "prosemirror-model";
import { faceSeen, standIns, standInIds } from "../clients";
import { wordWidth } from "../layout";
import {
  button,
  cell,
  drawnInRow,
  hasWords,
  iconRow,
  image,
  innerWidth,
  line,
  outerTable,
  placeWidth,
  separator,
  settingsOf,
  tableMap,
  type CellPlace,
  type DrawnFace,
  type TableMap,
  type TextRun,
} from "../signature";
import type { Found } from "./finding";

/** The room on both sides that clients leave around a message on a phone. */
const aroundOnPhones = 16;

/** What a finger hits (WCAG 2.2, 2.5.8 asks for 24 px with what is around it). */
const leastIcon = 20;
const mostIcons = 5;
const mostCells = 24;

/** Type that is shown smaller than this is not read. */
const leastShown = 9;

/** Icons are pictures no larger than this. */
const largestIcon = 48;

/** Between what a column is set to and what stands in it, what nobody sees; px. */
const tolerance = 4;

const narrowestPhone = smallest(
  standInIds.map((id) => standIns[id]).flatMap(({ family, width }) => (family === "phone" ? [width] : [])),
);

const named = (node: Node): string =>
  image.is(node)
    ? "picture"
    : button.is(node)
      ? "button"
      : iconRow.is(node)
        ? "icon row"
        : node.type.name === "table"
          ? "nested table"
          : "part";

/** How wide a part is drawn whatever the room; 0 for what takes the room that there is. */
function widthOf(node: Node): number {
  if (image.is(node)) return image.of(node).source === "" ? 0 : image.of(node).width;
  if (button.is(node)) return button.of(node).width;
  if (node.type.name === "table") return tableMap(node).width;
  if (!iconRow.is(node)) return 0;
  const { gap, columns, direction } = iconRow.of(node);
  const icons = node.children.filter(image.is).map((icon) => drawnInRow(icon, node).width);
  const across = direction === "column" ? 1 : columns || icons.length;
  return icons.slice(0, across).reduce((sum, icon) => sum + icon + gap, -gap);
}

/** What the columns that a cell covers are set to; null where they are not. */
function setWidth({ places }: TableMap, own: CellPlace): number | null {
  const widths = new Map<number, number>();
  for (const { node, column } of places)
    cell.of(node).colwidth?.forEach((width, index) => {
      if (!widths.has(column + index)) widths.set(column + index, width);
    });
  let sum = 0;
  for (let column = own.column; column < own.column + own.colspan; column++) {
    const width = widths.get(column);
    if (width === undefined) return null;
    sum += width;
  }
  return sum;
}

/** Of some things with widths, the widest that is wider than the room; null where all have room. */
function tooWide<T extends { readonly width: number }>(all: readonly T[], room: number): T | null {
  const [widest] = [...all].sort((one, other) => other.width - one.width);
  return widest && widest.width > room ? widest : null;
}

/** Parts for which a column is wider than it was set to, each cell once. */
function checkRoom(map: TableMap, start: number): Found[] {
  return map.places.flatMap((place): Found[] => {
    const given = setWidth(map, place);
    if (given === null) return [];
    const more = placeWidth(map, place) - given;
    if (more <= tolerance) return [];
    const room = innerWidth(map, place) - more;
    const parts: { readonly node: Node; readonly position: number; readonly width: number }[] = [];
    place.node.forEach((node, offset) =>
      parts.push({ node, position: start + place.offset + 1 + offset, width: widthOf(node) }),
    );
    const widest = tooWide(parts, room + tolerance);
    // Otherwise another cell of the column makes it wider.
    if (!widest) return [];
    return [
      {
        code: "column-wider-than-set",
        position: widest.position,
        message: `The ${named(widest.node)} is ${Math.round(widest.width)} px wide and its cell has room for ${Math.max(0, Math.round(room))} px, so the column is ${Math.round(more)} px wider than it was set to.`,
      },
    ];
  });
}

/** The runs of each line, by where it begins. */
type RunsByBlock = ReadonlyMap<number, readonly TextRun[]>;

interface Line {
  readonly node: Node;
  readonly position: number;
  readonly runs: readonly TextRun[];
}

/** The lines of a cell that say anything. */
function linesIn({ node, offset }: CellPlace, start: number, runs: RunsByBlock): readonly Line[] {
  const found: Line[] = [];
  node.forEach((block, inside) => {
    const position = start + offset + 1 + inside;
    const own = runs.get(position);
    if (line.is(block) && own) found.push({ node: block, position, runs: own });
  });
  return found;
}

const drawnText = ({ text, look }: TextRun): string => (look.upperCase ? text.toUpperCase() : text);

/** Rounding of letters; px. */
const ofLetters = 2;

/** Words that are wider than the room in their cell, each cell's widest. */
function checkWords(map: TableMap, start: number, runs: RunsByBlock): Found[] {
  return map.places.flatMap((place): Found[] => {
    const room = innerWidth(map, place);
    const words = linesIn(place, start, runs).flatMap((own) =>
      own.runs.flatMap((run) =>
        drawnText(run)
          .split(/[\s\u200b-]+/)
          .map((word) => ({ word, position: run.position, width: wordWidth(word, run.look) })),
      ),
    );
    const widest = tooWide(words, room + ofLetters);
    if (!widest) return [];
    return [
      {
        code: "word-wider-than-its-cell",
        position: widest.position,
        message: `“${widest.word.slice(0, 50)}” is about ${Math.round(widest.width)} px wide and has ${Math.round(room)} px: it widens its column, or sticks out of it.`,
      },
    ];
  });
}

/** What every kind would draw where nothing of a stack is installed. */
const anyKind = { fonts: "phone-without-fonts" } as const;

/** What in a line is as wide whatever the font: small pictures and the gaps of separators. */
const fixedWidth = (node: Node): number =>
  node.children.reduce((sum, child) => {
    if (image.is(child)) return sum + image.of(child).width;
    if (!separator.is(child)) return sum;
    const { gap, gapBefore } = separator.of(child);
    return sum + (gapBefore ?? gap) + gap;
  }, 0);

/** Lines that fit as they are set, and wrap in the widest face that falls in where their font is not there. */
function checkWithoutFont(map: TableMap, start: number, runs: RunsByBlock): Found[] {
  return map.places.flatMap((place) => {
    const room = innerWidth(map, place);
    return linesIn(place, start, runs).flatMap(({ node, position, runs: own }): Found[] => {
      const said = own.map(({ text }) => text).join(" ");
      const widthIn = (faceOf: (run: TextRun) => DrawnFace | null): number =>
        own.reduce((sum, run) => {
          const face = faceOf(run);
          return sum + wordWidth(drawnText(run), { ...run.look, ...(face && { face }) });
        }, fixedWidth(node));
      const set = widthIn(() => null);
      const widest = widthIn(({ look }) => faceSeen(anyKind, look.font, "widest").drawnWith);
      if (!/\s/.test(said.trim()) || set > room || widest <= room + tolerance) return [];
      return [
        {
          code: "wraps-without-its-font",
          position,
          message: `“${said.trim().slice(0, 50)}” has ${Math.floor(room - set)} px to spare: where its font is not there, the widest face that may fall in needs ${Math.ceil(widest - room)} px more than there is, and it wraps.`,
        },
      ];
    });
  });
}

interface PlacedIcon {
  readonly position: number;
  readonly height: number;
}

/** Icons that stand alone in cells of one row, with different heights. */
function checkIconCells(map: TableMap, start: number): Found[] {
  const found: Found[] = [];
  for (let row = 0; row < map.rows; row++) {
    const icons = map.places
      .filter((place) => place.row === row && place.node.childCount === 1)
      .flatMap(({ node, offset }): PlacedIcon[] => {
        const [only] = node.children;
        if (!only || !image.is(only)) return [];
        const { width, height } = image.of(only);
        return Math.max(width, height) <= largestIcon ? [{ position: start + offset + 1, height }] : [];
      });
    const heights = [...new Set(icons.map(({ height }) => height))];
    const [first] = icons;
    if (icons.length > 2 && heights.length > 1 && first)
      found.push({
        code: "icons-of-different-sizes-in-cells",
        position: first.position,
        message: `The icons in this row's cells are ${icons.map(({ height }) => height).join(", ")} px high: an icon row draws them all at one size.`,
      });
  }
  return found;
}

function checkIcons(document: Node): Found[] {
  const found: Found[] = [];
  let icons = 0;
  document.descendants((node, position) => {
    if (!iconRow.is(node)) return;
    icons += node.children.filter((icon) => image.is(icon) && image.of(icon).source !== "").length;
    const { size } = iconRow.of(node);
    if (node.childCount > 0 && size < leastIcon)
      found.push({
        code: "icon-hard-to-hit",
        position,
        message: `The icons are ${size} px high: on a phone ${leastIcon} px are hit more surely.`,
      });
  });
  if (icons > mostIcons)
    found.push({
      code: "many-icons",
      position: null,
      message: `It has ${icons} icons, and ${mostIcons} are as many as are looked at.`,
    });
  return found;
}

function checkButtons(document: Node): Found[] {
  const found: Found[] = [];
  document.descendants((node, position) => {
    if (button.is(node) && button.of(node).radius > 0 && node.childCount > 0)
      found.push({
        code: "radius-lost",
        position,
        message: `Where the radius of ${button.of(node).radius} px is not kept, the button has square corners. Nothing else changes.`,
      });
  });
  return found;
}

function checkWhole(document: Node, runs: readonly TextRun[]): Found[] {
  const found: Found[] = [];
  const { width, places } = tableMap(outerTable(document));
  const { maxWidth } = settingsOf(document);
  if (width > maxWidth)
    found.push({
      code: "table-too-wide",
      position: null,
      message: `The table is ${width} px wide, and ${maxWidth} px is the most it should be.`,
    });
  const phone = narrowestPhone - aroundOnPhones;
  if (width > phone)
    found.push({
      code: "wider-than-a-phone",
      position: null,
      message: `It is ${width} px wide, and a narrow phone has ${phone} px: there it is shrunk, cut off or scrolled.`,
    });
  const smallestType = smallest(runs.flatMap(({ text, look }) => (hasWords(text) ? [look.size] : [])));
  for (const id of standInIds) {
    const standIn = standIns[id];
    const scale = standIn.width / (width + aroundOnPhones);
    if (!standIn.shrinks || scale >= 1 || smallestType * scale >= leastShown || smallestType === Infinity)
      continue;
    found.push({
      code: "type-too-small-on-a-phone",
      position: null,
      message: `On a phone of ${standIn.width} px it is shown at ${Math.round(scale * 100)} %, and its type of ${smallestType} px at ${(smallestType * scale).toFixed(1)} px: ${leastShown} px can be read.`,
    });
  }
  if (places.length > mostCells)
    found.push({
      code: "many-cells",
      position: null,
      message: `Its table has ${places.length} cells: cells that hold nothing can be merged or taken out.`,
    });
  return found;
}

/** The outer table and those nested in it, each with the position at which its content starts. */
function tablesIn(document: Node): readonly { readonly table: Node; readonly start: number }[] {
  const found: { readonly table: Node; readonly start: number }[] = [];
  document.descendants((node, position) => {
    if (node.type.name === "table") found.push({ table: node, start: position + 1 });
    return !node.isTextblock;
  });
  return found;
}

export function checkBoxes(document: Node, runs: readonly TextRun[]): readonly Found[] {
  const byBlock = new Map<number, TextRun[]>();
  for (const run of runs) byBlock.set(run.blockPosition, [...(byBlock.get(run.blockPosition) ?? []), run]);
  const inTables = tablesIn(document).flatMap(({ table, start }) => {
    const map = tableMap(table);
    return [
      ...checkRoom(map, start),
      ...checkWords(map, start, byBlock),
      ...checkWithoutFont(map, start, byBlock),
      ...checkIconCells(map, start),
    ];
  });
  return [...checkWhole(document, runs), ...inTables, ...checkIcons(document), ...checkButtons(document)];
}
