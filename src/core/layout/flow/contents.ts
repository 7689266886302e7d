/**
 * What elements hold, from top to bottom, and between which widths it can be drawn: its narrowest and its widest (CSS Sizing 3, section 4);
 * px. What is read of an element is read once.
 */
import { blockElements, isElement, isText, type Element, type ParentNode } from "../../html";
import { missingLetters } from "../../measure";
import type { Sides } from "../../signature";
import { largest } from "../../values";
import {
  columnNeeds,
  distributed,
  fixedColumns,
  type AskedWidth,
  type CellNeed,
  type ColumnNeed,
} from "./column-widths";
import { lengthSaid, ownStyleOf, sizeSaid, textStyleOf, type FaceOf, type TextStyle } from "./computed-style";
import {
  inlineBox,
  InlineFlow,
  narrowest,
  pictureStands,
  rootBox,
  unbrokenOf,
  type InlineBox,
  type Unbroken,
} from "./inline-content";
import type { OwnStyle } from "./own-style";
import { gridOf, type Grid, type GridCell } from "./table-grid";

/** Lines, or something that stands as a block. */
export type Content =
  | { readonly kind: "lines"; readonly flow: InlineFlow; readonly pieces: readonly Unbroken[] }
  | { readonly kind: "block"; readonly element: Element; readonly own: OwnStyle; readonly around: TextStyle };

interface Widths {
  readonly least: number;
  readonly most: number;
}

/** What nothing is drawn of. */
const undrawn: ReadonlySet<string> = new Set(["style", "script", "title", "meta", "link", "template"]);

const textIn = (element: Element): string =>
  element.childNodes
    .map((node) => (isText(node) ? node.value : isElement(node) ? textIn(node) : ""))
    .join("");

const isBlock = ({ tagName }: Element, { display }: OwnStyle): boolean =>
  display === undefined ? blockElements.has(tagName) : display !== "inline";

export const sum = (numbers: readonly number[]): number => numbers.reduce((all, each) => all + each, 0);
export const across = ({ left, right }: Sides<number>): number => left + right;

/** The width that a cell asks for, with its padding and its borders. */
function askedWidth({ element, own, padding, border }: GridCell): number | undefined {
  const said = lengthSaid(element, own, "width");
  const around = across(padding) + across(border);
  if (said === undefined) return undefined;
  return own.borderBox ? Math.max(said, around) : said + around;
}

/** A table that says no width is never laid out fixed (CSS 2.2, section 17.5.2.1). */
const isFixed = (table: Element, own: OwnStyle): boolean =>
  own.fixed === true && lengthSaid(table, own, "width") !== undefined;

export class Contents {
  private readonly contents = new Map<Element, readonly Content[]>();
  private readonly grids = new Map<Element, Grid>();
  private readonly widths = new Map<Element, Widths>();
  private readonly needs = new Map<Element, readonly ColumnNeed[]>();
  /** Letters that the face they are set in lacks, of all that was read. */
  readonly missing = new Set<string>();

  constructor(private readonly faceOf: FaceOf) {}

  styled(element: Element, own: OwnStyle, around: TextStyle): TextStyle {
    return textStyleOf(element, own, around, this.faceOf, () => textIn(element));
  }

  gridOf(table: Element, { direction }: TextStyle): Grid {
    const known = this.grids.get(table);
    if (known) return known;
    const grid = gridOf(table, direction === "rtl");
    this.grids.set(table, grid);
    return grid;
  }

  /** What an element of a style holds. */
  contentsOf(element: Element, style: TextStyle): readonly Content[] {
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
        if (!isElement(node) || undrawn.has(node.tagName)) continue;
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
            ...sizeSaid(node, own),
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
      const { width } = sizeSaid(element, own);
      return { least: width, most: width };
    }
    const style = this.styled(element, own, around);
    if (element.tagName === "table") return this.tableWidths(element, own, style);
    if (own.width !== undefined) return { least: own.width, most: own.width };
    return this.widthsOf(this.contentsOf(element, style));
  }

  private columnsOf(table: Element, style: TextStyle): readonly ColumnNeed[] {
    const known = this.needs.get(table);
    if (known) return known;
    const grid = this.gridOf(table, style);
    const cells = grid.cells.map((cell): CellNeed => {
      const { padding, border, column, colspan } = cell;
      const around = across(padding) + across(border);
      const inside = this.widthsOf(this.contentsOf(cell.element, this.styled(cell.element, cell.own, style)));
      const asked = askedWidth(cell);
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

  tableWidths(table: Element, own: OwnStyle, style: TextStyle): Widths {
    const said = lengthSaid(table, own, "width");
    const border = across(this.gridOf(table, style).border);
    const columns = this.columnNeeds(table, own, style);
    const least = sum(columns.map((column) => column.least)) + border;
    if (said !== undefined) return { least: Math.max(said, least), most: Math.max(said, least) };
    return { least, most: sum(columns.map(({ most }) => most)) + border };
  }

  /** How wide the columns of a table are that has so much room inside its own borders. */
  columnWidths(table: Element, own: OwnStyle, style: TextStyle, room: number): readonly number[] {
    return isFixed(table, own)
      ? fixedColumns(this.gridOf(table, style).columns, this.askedInFirstRow(table, style), room)
      : distributed(room, this.columnNeeds(table, own, style));
  }

  /** What the first row asks for, whose widths alone count in a table that is laid out fixed. */
  private askedInFirstRow(table: Element, style: TextStyle): readonly AskedWidth[] {
    return this.gridOf(table, style).cells.flatMap((cell) => {
      const asked = cell.row === 0 ? askedWidth(cell) : undefined;
      return asked === undefined ? [] : [{ column: cell.column, span: cell.colspan, asked }];
    });
  }

  private columnNeeds(table: Element, own: OwnStyle, style: TextStyle): readonly ColumnNeed[] {
    if (!isFixed(table, own)) return this.columnsOf(table, style);
    // What stands in them counts for nothing.
    const { columns } = this.gridOf(table, style);
    return fixedColumns(columns, this.askedInFirstRow(table, style), 0).map((width) => ({
      least: width,
      most: width,
      asked: true,
    }));
  }
}
