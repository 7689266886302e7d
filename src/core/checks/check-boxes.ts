/** Findings about what does not fit, and about the sizes of what stands beside each other. Lengths in px. */
import type { Node } from "prosemirror-model";
import { faceSeen, standIns, standInIds } from "../clients";
import { wordWidth } from "../layout";
import type { Person } from "../people";
import {
  button,
  cell,
  drawnInRow,
  fieldText,
  iconRow,
  image,
  innerWidth,
  line,
  outerTable,
  personField,
  settingsIn,
  settingsOf,
  tableMap,
  textLook,
  type CellPlace,
  type TableMap,
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

const narrowestPhone = Math.min(
  ...standInIds.map((id) => standIns[id]).flatMap(({ family, width }) => (family === "phone" ? [width] : [])),
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

/** Parts for which a column is wider than it was set to, each cell once. */
function checkRoom(map: TableMap, start: number): Found[] {
  return map.places.flatMap((place): Found[] => {
    const given = setWidth(map, place);
    if (given === null) return [];
    const drawn = map.columnWidths
      .slice(place.column, place.column + place.colspan)
      .reduce((sum, width) => sum + width, 0);
    if (drawn <= given + tolerance) return [];
    const room = innerWidth(map, place) - (drawn - given);
    let widest: { readonly node: Node; readonly position: number } | null = null;
    place.node.forEach((node, offset) => {
      if (widthOf(node) > room + tolerance && (!widest || widthOf(node) > widthOf(widest.node)))
        widest = { node, position: start + place.offset + 1 + offset };
    });
    // Another cell of the column makes it wider.
    if (!widest) return [];
    const { node, position } = widest as { node: Node; position: number };
    return [
      {
        code: "column-wider-than-set",
        position,
        message: `The ${named(node)} is ${Math.round(widthOf(node))} px wide and its cell has room for ${Math.max(0, Math.round(room))} px, so the column is ${Math.round(drawn - given)} px wider than it was set to.`,
      },
    ];
  });
}

/** Words that are wider than the room in their cell, each cell's widest. */
function checkWords(document: Node, map: TableMap, start: number, person: Person | null): Found[] {
  const settings = settingsOf(document);
  return map.places.flatMap((place): Found[] => {
    const room = innerWidth(map, place);
    let worst: { readonly position: number; readonly word: string; readonly width: number } | null = null;
    place.node.forEach((block, offset) => {
      if (!line.is(block)) return;
      block.forEach((node, inside) => {
        const said = node.isText ? (node.text ?? "") : personField.is(node) ? fieldText(node, person) : "";
        const look = textLook(node.marks, settingsIn(block, settings));
        for (const word of said.split(/[\s\u200b-]+/)) {
          const drawn = look.upperCase ? word.toUpperCase() : word;
          const width = wordWidth(drawn, look);
          if (width > room + 2 && (!worst || width > worst.width))
            worst = { position: start + place.offset + 2 + offset + inside, word, width };
        }
      });
    });
    if (!worst) return [];
    const { position, word, width } = worst as { position: number; word: string; width: number };
    return [
      {
        code: "word-wider-than-its-cell",
        position,
        message: `“${word.slice(0, 50)}” is about ${Math.round(width)} px wide and has ${Math.round(room)} px: it widens its column, or sticks out of it.`,
      },
    ];
  });
}

/** What every kind would draw where nothing of a stack is installed. */
const anyKind = { fonts: "phone-without-fonts" } as const;

/** Lines that fit as they are set, and wrap in the widest face that falls in where their font is not there. */
function checkWithoutFont(document: Node, map: TableMap, start: number, person: Person | null): Found[] {
  const settings = settingsOf(document);
  return map.places.flatMap((place) => {
    const room = innerWidth(map, place);
    const found: Found[] = [];
    place.node.forEach((block, offset) => {
      if (!line.is(block)) return;
      let own = 0;
      let widest = 0;
      let said = "";
      block.forEach((node) => {
        const words = node.isText ? (node.text ?? "") : personField.is(node) ? fieldText(node, person) : "";
        const look = textLook(node.marks, settingsIn(block, settings));
        const drawn = look.upperCase ? words.toUpperCase() : words;
        const face = faceSeen(anyKind, look.font, "widest").drawnWith ?? "dejavu-sans";
        own += wordWidth(drawn, look);
        widest += wordWidth(drawn, { ...look, face });
        said += words || " ";
      });
      if (!/\s/.test(said.trim()) || own > room || widest <= room + tolerance) return;
      found.push({
        code: "wraps-without-its-font",
        position: start + place.offset + 1 + offset,
        message: `“${said.trim().slice(0, 50)}” has ${Math.floor(room - own)} px to spare: where its font is not there, the widest face that may fall in needs ${Math.ceil(widest - room)} px more than there is, and it wraps.`,
      });
    });
    return found;
  });
}

interface PlacedIcon {
  readonly position: number;
  readonly height: number;
  readonly cell: number;
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
        return Math.max(width, height) <= largestIcon
          ? [{ position: start + offset + 1, height, cell: offset }]
          : [];
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

/** The smallest type of a document that has letters; px. */
function smallestType(document: Node): number {
  const settings = settingsOf(document);
  let smallest = Infinity;
  document.descendants((node, _position, parent) => {
    if ((node.isText && /[\p{L}\p{N}]/u.test(node.text ?? "")) || personField.is(node))
      smallest = Math.min(smallest, textLook(node.marks, settingsIn(parent, settings)).size);
  });
  return smallest;
}

function checkWhole(document: Node): Found[] {
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
  const smallest = smallestType(document);
  for (const id of standInIds) {
    const standIn = standIns[id];
    const scale = standIn.width / (width + aroundOnPhones);
    if (!standIn.shrinks || scale >= 1 || smallest * scale >= leastShown || smallest === Infinity) continue;
    found.push({
      code: "type-too-small-on-a-phone",
      position: null,
      message: `On a phone of ${standIn.width} px it is shown at ${Math.round(scale * 100)} %, and its type of ${smallest} px at ${(smallest * scale).toFixed(1)} px: ${leastShown} px can be read.`,
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

export function checkBoxes(document: Node, person: Person | null): readonly Found[] {
  const inTables = tablesIn(document).flatMap(({ table, start }) => {
    const map = tableMap(table);
    return [
      ...checkRoom(map, start),
      ...checkWords(document, map, start, person),
      ...checkWithoutFont(document, map, start, person),
      ...checkIconCells(map, start),
    ];
  });
  return [...checkWhole(document), ...inTables, ...checkIcons(document), ...checkButtons(document)];
}
