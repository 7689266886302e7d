/**
 * HTML of tables, lines and pictures laid out without a browser: where every cell, word and picture of it lies. Normal flow (CSS 2.2,
 * chapters 9 and 10) and tables (CSS Tables 3) as far as signatures and what mail clients make of them use it: tables are as large as a
 * document may have them. px, origin at the top left of the body, y down.
 */
import { attributeOf, elementsIn, type Element } from "../../html";
import type { Sides } from "../../signature";
import { largest } from "../../values";
import type { Box } from "../box";
import { breakLines } from "./break-lines";
import { drawnFace, lengthSaid, ownStyleOf, sizeSaid, type FaceOf, type TextStyle } from "./computed-style";
import { across, Contents, sum, type Content } from "./contents";
import type { OwnStyle } from "./own-style";
import { alignedAt, placeLines } from "./place-lines";
import { flattened, groupAt, type Group, type PlacedElement, type PlacedWord } from "./placed";
import { rowHeights } from "./row-heights";

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

const along = ({ top, bottom }: Sides<number>): number => top + bottom;

interface DrawnContents {
  readonly height: number;
  readonly group: Group;
}

interface DrawnTable extends DrawnContents {
  readonly width: number;
}

class Drawing {
  constructor(private readonly of: Contents) {}

  /** Draws a table whose left edge is given by its caller; answers its size and what is in it. */
  private drawTable(table: Element, own: OwnStyle, style: TextStyle, room: number): DrawnTable {
    const grid = this.of.gridOf(table, style);
    const { least, most } = this.of.tableWidths(table, own, style);
    const width = Math.max(least, Math.min(room, most));
    const inside = width - across(grid.border);
    const columns = this.of.columnWidths(table, own, style, inside);
    const drawn = grid.cells.map((cell) => {
      const wide = sum(columns.slice(cell.column, cell.column + cell.colspan));
      const cellRoom = Math.max(0, wide - across(cell.padding) - across(cell.border));
      const inCell = this.of.styled(cell.element, cell.own, style);
      const content = this.drawContents(this.of.contentsOf(cell.element, inCell), inCell, cellRoom);
      const around = along(cell.padding) + along(cell.border);
      const said = lengthSaid(cell.element, cell.own, "height") ?? 0;
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
      const { width, height } = sizeSaid(element, own);
      const box = { left: at(width), top: 0, width, height };
      return { box, group: { ...groupAt(0, 0, []), elements: [{ element, ...box }] } };
    }
    const style = this.of.styled(element, own, around);
    if (element.tagName === "table") {
      const { width, height, group } = this.drawTable(element, own, style, room);
      const left = at(width);
      return { box: { left, top: 0, width, height }, group: { ...group, left } };
    }
    const width = own.width ?? room;
    const content = this.drawContents(this.of.contentsOf(element, style), style, width);
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

  private drawContents(contents: readonly Content[], style: TextStyle, room: number): DrawnContents {
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

  draw(body: Element, style: TextStyle, room: number): DrawnContents {
    return this.drawContents(this.of.contentsOf(body, style), style, room);
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
  const contents = new Contents(faceOf);
  const { height, group } = new Drawing(contents).draw(body, style, width);
  const { elements, words } = flattened(group);
  const unread = new Set(elementsIn(body).flatMap((element) => ownStyleOf(element).unread));
  const reached = [...elements, ...words].map((placed) => placed.left + placed.width);
  return {
    ...{ elements, words, height, width: largest(reached, 0) },
    ...{ missing: [...contents.missing], unread: [...unread] },
  };
}
