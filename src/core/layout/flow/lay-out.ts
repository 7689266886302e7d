/**
 * HTML of tables, lines and pictures drawn without a browser: where every cell, word and picture of it lies. Normal flow (CSS 2.2, chapters
 * 9 and 10) and tables (CSS Tables 3) as far as signatures and what mail clients make of them use it. px, origin at the top
 * left of the body, y down.
 */
import { attributeOf, elementsIn, isElement, isText, type Element, type ParentNode } from "../../html";
import { missingLetters } from "../../measure";
import type { Sides } from "../../signature";
import { largest } from "../../values";
import type { Box } from "../box";
import { breakLines } from "./break-lines";
import { columnNeeds, distributed, type CellNeed, type ColumnNeed } from "./column-widths";
import { drawnFace, ownStyleOf, textStyleOf, type FaceOf, type TextStyle } from "./computed-style";
import {
  inlineBox,
  InlineFlow,
  narrowest,
  pictureSize,
  pictureStands,
  rootBox,
  unbrokenOf,
  type InlineBox,
  type Unbroken,
} from "./inline-content";
import type { OwnStyle } from "./own-style";
import { alignedAt, placeLines } from "./place-lines";
import { flattened, groupAt, type Group, type PlacedElement, type PlacedWord } from "./placed";
import { rowHeights } from "./row-heights";
import { gridOf, type Grid, type GridCell } from "./table-grid";

export interface Page {
  /** How wide the body is. */
  readonly width: number;
  /** The type of the body: a font stack and a size. */
  readonly type: { readonly families: readonly string[]; readonly size: number };
  readonly faceOf: FaceOf;
  /** Whether a word that has no room is broken anywhere. */
  readonly breakWords?: boolean;
}

export interface Geometry {
  readonly elements: readonly PlacedElement[];
  readonly words: readonly PlacedWord[];
  /** How high the body is. */
  readonly height: number;
  /** How far to the right what is drawn reaches. */
  readonly width: number;
  /** Letters that the face they are set in lacks, so that how wide they are is taken for what letters mostly are. */
  readonly missing: readonly string[];
  /** What the HTML says of places that is not read here. */
  readonly unread: readonly string[];
}

/** What an element holds, from top to bottom: lines, or something that stands as a block. */
type Content =
  | { readonly kind: "lines"; readonly flow: InlineFlow; readonly pieces: readonly Unbroken[] }
  | { readonly kind: "block"; readonly element: Element; readonly own: OwnStyle; readonly around: TextStyle };

interface Widths {
  readonly least: number;
  readonly most: number;
}

const inlineTags: ReadonlySet<string> = new Set(
  "a abbr b bdi bdo big cite code del em font i img ins kbd label mark q s samp small span strike strong sub sup tt u var wbr".split(
    " ",
  ),
);
const skipped: ReadonlySet<string> = new Set([
  "style",
  "script",
  "head",
  "title",
  "meta",
  "link",
  "template",
]);

const textIn = (element: Element): string =>
  element.childNodes
    .map((node) => (isText(node) ? node.value : isElement(node) ? textIn(node) : ""))
    .join("");

const isBlock = ({ tagName }: Element, own: OwnStyle): boolean =>
  own.display === undefined ? !inlineTags.has(tagName) : own.display !== "inline";

const sum = (numbers: readonly number[]): number => numbers.reduce((all, each) => all + each, 0);
const across = ({ left, right }: Sides<number>): number => left + right;
const along = ({ top, bottom }: Sides<number>): number => top + bottom;

/** A length that an attribute gives; nothing where it is none or zero (WHATWG HTML 2.4.4.5). */
function lengthAttribute(element: Element, name: "width" | "height"): number | undefined {
  const said = attributeOf(element, name)?.trim() ?? "";
  return /^\d+(\.\d+)?(px)?$/.test(said) && Number.parseFloat(said) > 0 ? Number.parseFloat(said) : undefined;
}

const saidLength = (element: Element, own: OwnStyle, name: "width" | "height"): number | undefined =>
  own[name] ?? lengthAttribute(element, name);

/** One drawing: what is read of an element is read once. */
class Drawing {
  private readonly contents = new Map<Element, readonly Content[]>();
  private readonly grids = new Map<Element, Grid>();
  private readonly widths = new Map<Element, Widths>();
  private readonly needs = new Map<Element, readonly ColumnNeed[]>();
  readonly missing = new Set<string>();

  constructor(private readonly faceOf: FaceOf) {}

  private styled(element: Element, own: OwnStyle, around: TextStyle): TextStyle {
    return textStyleOf(element, own, around, this.faceOf, () => textIn(element));
  }

  private gridOf(table: Element, { direction }: TextStyle): Grid {
    const known = this.grids.get(table);
    if (known) return known;
    const grid = gridOf(table, direction === "rtl");
    this.grids.set(table, grid);
    return grid;
  }

  /** What an element of a style holds. */
  private contentsOf(element: Element, style: TextStyle): readonly Content[] {
    const known = this.contents.get(element);
    if (known) return known;
    const found: Content[] = [];
    let flow = new InlineFlow();
    const close = (): void => {
      if (flow.items.length > 0) found.push({ kind: "lines", flow, pieces: unbrokenOf(flow.items) });
      flow = new InlineFlow();
    };
    const walk = (parent: ParentNode, box: InlineBox): void => {
      for (const node of parent.childNodes) {
        if (isText(node)) {
          flow.text(node, box);
          for (const letter of missingLetters(node.value, box.style)) this.missing.add(letter);
        }
        if (!isElement(node) || skipped.has(node.tagName)) continue;
        const own = ownStyleOf(node);
        if (own.display === "none") continue;
        if (node.tagName === "br") flow.lineBreak(box);
        else if (isBlock(node, own)) {
          close();
          found.push({ kind: "block", element: node, own, around: box.style });
        } else if (node.tagName === "img")
          flow.picture({
            element: node,
            box,
            ...pictureSize(node, own),
            stands: pictureStands(own.verticalAlign),
          });
        else walk(node, inlineBox(node, box, this.styled(node, own, box.style), own.verticalAlign));
      }
    };
    walk(element, rootBox(style));
    close();
    this.contents.set(element, found);
    return found;
  }

  /** The narrowest and the widest that some content is drawn. */
  private widthsOf(contents: readonly Content[]): Widths {
    const each = contents.map((content): Widths => {
      if (content.kind === "block") return this.blockWidths(content.element, content.own, content.around);
      const { pieces } = content;
      let line = 0;
      let most = 0;
      for (const { width, advance, forced } of pieces) {
        most = Math.max(most, line + width);
        line = forced ? 0 : line + advance;
      }
      return { least: narrowest(pieces), most };
    });
    return {
      least: largest(
        each.map(({ least }) => least),
        0,
      ),
      most: largest(
        each.map(({ most }) => most),
        0,
      ),
    };
  }

  private blockWidths(element: Element, own: OwnStyle, around: TextStyle): Widths {
    const known = this.widths.get(element);
    if (known) return known;
    const widths = this.freshBlockWidths(element, own, around);
    this.widths.set(element, widths);
    return widths;
  }

  private freshBlockWidths(element: Element, own: OwnStyle, around: TextStyle): Widths {
    if (element.tagName === "img") {
      const { width } = pictureSize(element, own);
      return { least: width, most: width };
    }
    const style = this.styled(element, own, around);
    if (element.tagName === "table") return this.tableWidths(element, own, style);
    if (own.width !== undefined) return { least: own.width, most: own.width };
    return this.widthsOf(this.contentsOf(element, style));
  }

  private cellStyle({ element, own }: GridCell, table: TextStyle): TextStyle {
    return this.styled(element, own, table);
  }

  /** The width that a cell asks for, with its padding and its borders. */
  private askedWidth({ element, own, padding, border }: GridCell): number | undefined {
    const said = saidLength(element, own, "width");
    const around = across(padding) + across(border);
    if (said === undefined) return undefined;
    return own.borderBox ? Math.max(said, around) : said + around;
  }

  private columnsOf(table: Element, style: TextStyle): readonly ColumnNeed[] {
    const known = this.needs.get(table);
    if (known) return known;
    const grid = this.gridOf(table, style);
    const cells = grid.cells.map((cell): CellNeed => {
      const { padding, border, column, colspan } = cell;
      const around = across(padding) + across(border);
      const inside = this.widthsOf(this.contentsOf(cell.element, this.cellStyle(cell, style)));
      const asked = this.askedWidth(cell);
      const least = inside.least + around;
      return {
        ...{ column, span: colspan, least },
        most: asked === undefined ? inside.most + around : Math.max(least, asked),
        asked: asked !== undefined,
      };
    });
    const needs = columnNeeds(grid.columns, cells);
    this.needs.set(table, needs);
    return needs;
  }

  private tableWidths(table: Element, own: OwnStyle, style: TextStyle): Widths {
    const said = saidLength(table, own, "width");
    const border = across(this.gridOf(table, style).border);
    if (own.fixed && said !== undefined) {
      const width = Math.max(said, sum(this.fixedColumns(table, style, said - border)) + border);
      return { least: width, most: width };
    }
    const columns = this.columnsOf(table, style);
    const least = sum(columns.map((column) => column.least)) + border;
    if (said !== undefined) return { least: Math.max(said, least), most: Math.max(said, least) };
    return { least, most: sum(columns.map(({ most }) => most)) + border };
  }

  /** Columns by what the first row says (CSS 2.2, section 17.5.2.1), in so much room. */
  private fixedColumns(table: Element, style: TextStyle, room: number): readonly number[] {
    const { cells, columns } = this.gridOf(table, style);
    const widths: (number | undefined)[] = Array.from({ length: columns }, () => undefined);
    for (const cell of cells) {
      if (cell.row > 0) continue;
      const asked = this.askedWidth(cell);
      if (asked === undefined) continue;
      for (let at = cell.column; at < cell.column + cell.colspan; at++) widths[at] ??= asked / cell.colspan;
    }
    const said = sum(widths.map((width) => width ?? 0));
    const open = widths.filter((width) => width === undefined).length;
    const left = Math.max(0, room - said);
    if (open > 0) return widths.map((width) => width ?? left / open);
    return widths.map((width) => (width ?? 0) + (said > 0 ? (left * (width ?? 0)) / said : left / columns));
  }

  /** Draws a table whose left edge is given by its caller; answers its size and what is in it. */
  private drawTable(
    table: Element,
    own: OwnStyle,
    style: TextStyle,
    room: number,
  ): { readonly width: number; readonly height: number; readonly group: Group } {
    const grid = this.gridOf(table, style);
    const { least, most } = this.tableWidths(table, own, style);
    const width = Math.max(least, Math.min(room, most));
    const inside = width - across(grid.border);
    const columns =
      own.fixed && saidLength(table, own, "width") !== undefined
        ? this.fixedColumns(table, style, inside)
        : distributed(inside, this.columnsOf(table, style));
    const drawn = grid.cells.map((cell) => {
      const wide = sum(columns.slice(cell.column, cell.column + cell.colspan));
      const cellRoom = Math.max(0, wide - across(cell.padding) - across(cell.border));
      const content = this.drawContents(
        this.contentsOf(cell.element, this.cellStyle(cell, style)),
        this.cellStyle(cell, style),
        cellRoom,
      );
      const around = along(cell.padding) + along(cell.border);
      const said = saidLength(cell.element, cell.own, "height") ?? 0;
      const asked = cell.own.borderBox ? Math.max(said, around) : said + around;
      return {
        cell,
        wide,
        content,
        around,
        height: Math.max(content.height + around, said > 0 ? asked : 0),
        fixed: said > 0,
      };
    });
    const rows = rowHeights(
      grid.rows.length,
      drawn.map(({ cell, height }) => ({ row: cell.row, span: cell.rowspan, height })),
      grid.rows.map((_row, index) =>
        drawn.some(({ cell, fixed }) => fixed && cell.row === index && cell.rowspan === 1),
      ),
    );
    const height = sum(rows) + along(grid.border);
    const elements: PlacedElement[] = [{ element: table, left: 0, top: 0, width, height }];
    const groups = drawn.map(({ cell, wide, content, around }) => {
      const before = sum(columns.slice(0, cell.column));
      const left =
        style.direction === "rtl" ? width - grid.border.right - before - wide : grid.border.left + before;
      const top = grid.border.top + sum(rows.slice(0, cell.row));
      const high = sum(rows.slice(cell.row, cell.row + cell.rowspan));
      elements.push({ element: cell.element, left, top, width: wide, height: high });
      const free = high - around - content.height;
      const align = cell.own.verticalAlign ?? attributeOf(cell.element, "valign")?.toLowerCase() ?? "middle";
      const down = align === "middle" ? free / 2 : align === "bottom" ? free : 0;
      return groupAt(
        left + cell.border.left + cell.padding.left,
        top + cell.border.top + cell.padding.top + down,
        [content.group],
      );
    });
    return { width, height, group: { left: 0, top: 0, elements, words: [], inside: groups } };
  }

  private drawBlock(
    { element, own, around }: Content & { kind: "block" },
    room: number,
  ): { readonly box: Box; readonly group: Group } {
    const at = (width: number): number =>
      around.align.blocks
        ? alignedAt(around.align, room - width, around.direction)
        : around.direction === "rtl"
          ? room - width
          : 0;
    if (element.tagName === "img") {
      const { width, height } = pictureSize(element, own);
      const box = { left: at(width), top: 0, width, height };
      return { box, group: { ...groupAt(0, 0, []), elements: [{ element, ...box }] } };
    }
    const style = this.styled(element, own, around);
    if (element.tagName === "table") {
      const { width, height, group } = this.drawTable(element, own, style, room);
      const left = at(width);
      return { box: { left, top: 0, width, height }, group: { ...group, left } };
    }
    const width = own.width ?? room;
    const content = this.drawContents(this.contentsOf(element, style), style, width);
    const height = Math.max(own.height ?? content.height, own.leastHeight ?? 0);
    const box = { left: own.width === undefined ? 0 : at(width), top: 0, width, height };
    return {
      box,
      group: {
        ...groupAt(box.left, 0, [content.group]),
        elements: [{ element, left: 0, top: 0, width, height }],
      },
    };
  }

  private drawContents(
    contents: readonly Content[],
    style: TextStyle,
    room: number,
  ): { readonly height: number; readonly group: Group } {
    const groups: Group[] = [];
    let top = 0;
    for (const content of contents) {
      if (content.kind === "lines") {
        const { items } = content.flow;
        const { height, group } = placeLines(
          breakLines(content.pieces, items, room, style.breakWords),
          items,
          style,
          room,
        );
        groups.push({ ...group, top });
        top += height;
        continue;
      }
      const { box, group } = this.drawBlock(content, room);
      groups.push({ ...group, top });
      top += box.height;
    }
    return { height: top, group: groupAt(0, 0, groups) };
  }

  draw(body: Element, style: TextStyle, room: number): { readonly height: number; readonly group: Group } {
    return this.drawContents(this.contentsOf(body, style), style, room);
  }
}

/** Draws what is in a body. Never throws; what it passes over is told. */
export function layOut(body: Element, { width, type, faceOf, breakWords = false }: Page): Geometry {
  const style: TextStyle = {
    face: drawnFace(type.families, faceOf),
    ...{ bold: false, italic: false, size: type.size, letterSpacing: 0 },
    lineHeight: "normal",
    align: { at: "start", blocks: false },
    direction: "ltr",
    breakWords,
  };
  const drawing = new Drawing(faceOf);
  const { height, group } = drawing.draw(body, style, width);
  const { elements, words } = flattened(group);
  const unread = new Set(elementsIn(body).flatMap((element) => ownStyleOf(element).unread));
  const reached = [...elements, ...words].map((placed) => placed.left + placed.width);
  return {
    ...{ elements, words, height, width: largest(reached, 0) },
    ...{ missing: [...drawing.missing], unread: [...unread] },
  };
}
