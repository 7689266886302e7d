/**
 * The cells of an HTML table in its rows and columns (WHATWG HTML 4.9.12), with the borders between them: where they collapse, there is
 * one between two cells, the wider, of which each has half (CSS Tables 3, section 4.4). Lengths in px.
 */
import { attributeOf, isElement, type Element } from "../../html";
import { sideNames, type Sides } from "../../signature";
import { ownStyleOf } from "./computed-style";
import type { OwnStyle } from "./own-style";

export interface GridCell {
  readonly element: Element;
  readonly own: OwnStyle;
  readonly row: number;
  readonly column: number;
  readonly rowspan: number;
  readonly colspan: number;
  /** What of its box is border, and what padding. */
  readonly border: Sides<number>;
  readonly padding: Sides<number>;
}

export interface Grid {
  readonly rows: readonly Element[];
  readonly columns: number;
  readonly cells: readonly GridCell[];
  /** The border of the table itself: the outer half of the widest at each side. */
  readonly border: Sides<number>;
}

const noBorder: Sides<number> = { top: 0, right: 0, bottom: 0, left: 0 };
const sectionNames: ReadonlySet<string> = new Set(["tbody", "thead", "tfoot"]);

const rowsOf = (table: Element): readonly Element[] =>
  table.childNodes
    .filter(isElement)
    .flatMap((child) =>
      child.tagName === "tr"
        ? [child]
        : sectionNames.has(child.tagName)
          ? child.childNodes.filter(isElement)
          : [],
    )
    .filter(({ tagName }) => tagName === "tr");

const spanOf = (cell: Element, name: "colspan" | "rowspan"): number =>
  Math.max(1, Math.min(1000, Number.parseInt(attributeOf(cell, name) ?? "1", 10) || 1));

type Placed = Omit<GridCell, "border" | "padding">;

function placedCells(rows: readonly Element[]): {
  readonly cells: readonly Placed[];
  readonly columns: number;
} {
  const cells: Placed[] = [];
  const taken = rows.map(() => new Set<number>());
  let columns = 0;
  rows.forEach((tr, row) => {
    let column = 0;
    for (const element of tr.childNodes.filter(isElement)) {
      if (element.tagName !== "td" && element.tagName !== "th") continue;
      while (taken[row]?.has(column)) column += 1;
      const colspan = spanOf(element, "colspan");
      const rowspan = Math.min(spanOf(element, "rowspan"), rows.length - row);
      for (let down = row; down < row + rowspan; down++)
        for (let across = column; across < column + colspan; across++) taken[down]?.add(across);
      cells.push({ element, own: ownStyleOf(element), row, column, rowspan, colspan });
      column += colspan;
      columns = Math.max(columns, column);
    }
  });
  return { cells, columns };
}

const declared = (own: OwnStyle): Sides<number> => ({ ...noBorder, ...own.border });

const halved = ({ top, right, bottom, left }: Sides<number>): Sides<number> => ({
  top: top / 2,
  right: right / 2,
  bottom: bottom / 2,
  left: left / 2,
});

/** The widest border at each edge of the grid, across for edges under and over cells, down for those beside them. */
function collapsedEdges(
  cells: readonly Placed[],
  rightToLeft: boolean,
): {
  readonly across: ReadonlyMap<string, number>;
  readonly down: ReadonlyMap<string, number>;
} {
  const across = new Map<string, number>();
  const down = new Map<string, number>();
  const put = (edges: Map<string, number>, row: number, column: number, width: number): void => {
    const key = `${row} ${column}`;
    edges.set(key, Math.max(edges.get(key) ?? 0, width));
  };
  for (const { own, row, column, rowspan, colspan } of cells) {
    const { top, right, bottom, left } = declared(own);
    for (let at = column; at < column + colspan; at++) {
      put(across, row, at, top);
      put(across, row + rowspan, at, bottom);
    }
    for (let at = row; at < row + rowspan; at++) {
      put(down, at, column, rightToLeft ? right : left);
      put(down, at, column + colspan, rightToLeft ? left : right);
    }
  }
  return { across, down };
}

function collapsedBorders(
  cells: readonly Placed[],
  rows: number,
  columns: number,
  rightToLeft: boolean,
): { readonly of: (cell: Placed) => Sides<number>; readonly outer: Sides<number> } {
  const { across, down } = collapsedEdges(cells, rightToLeft);
  const widest = (edges: ReadonlyMap<string, number>, keys: readonly string[]): number =>
    keys.reduce((most, key) => Math.max(most, edges.get(key) ?? 0), 0);
  const range = (from: number, count: number): readonly number[] =>
    Array.from({ length: count }, (_unused, index) => from + index);
  const beside = (row: number, rowspan: number, at: number): number =>
    widest(
      down,
      range(row, rowspan).map((each) => `${each} ${at}`),
    );
  const edgesOf = (row: number, column: number, rowspan: number, colspan: number): Sides<number> => ({
    top: widest(
      across,
      range(column, colspan).map((at) => `${row} ${at}`),
    ),
    bottom: widest(
      across,
      range(column, colspan).map((at) => `${row + rowspan} ${at}`),
    ),
    left: beside(row, rowspan, rightToLeft ? column + colspan : column),
    right: beside(row, rowspan, rightToLeft ? column : column + colspan),
  });
  return {
    of: ({ row, column, rowspan, colspan }) => halved(edgesOf(row, column, rowspan, colspan)),
    outer: halved(edgesOf(0, 0, rows, columns)),
  };
}

function paddingOf(table: Element, { padding }: OwnStyle): Sides<number> {
  // A cell has 1 px where nothing is said (WHATWG HTML 15.3.8).
  const said = Number.parseFloat(attributeOf(table, "cellpadding") ?? "1");
  const usual = Number.isFinite(said) ? Math.max(0, said) : 1;
  return { ...{ top: usual, right: usual, bottom: usual, left: usual }, ...padding };
}

/** Reads a table element; of one that runs from right to left, the first column is the last from the left. */
export function gridOf(table: Element, rightToLeft: boolean): Grid {
  const rows = rowsOf(table);
  const { cells, columns } = placedCells(rows);
  const style = ownStyleOf(table);
  const own = declared(style);
  const collapsed = style.collapse ? collapsedBorders(cells, rows.length, columns, rightToLeft) : null;
  const border = collapsed
    ? (Object.fromEntries(
        sideNames.map((side) => [side, Math.max(own[side] / 2, collapsed.outer[side])]),
      ) as unknown as Sides<number>)
    : own;
  return {
    rows,
    columns,
    border,
    cells: cells.map((cell) => ({
      ...cell,
      border: collapsed ? collapsed.of(cell) : declared(cell.own),
      padding: paddingOf(table, cell.own),
    })),
  };
}
