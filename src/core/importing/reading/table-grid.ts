/** Where the cells of a foreign table lie, as HTML's own algorithm places them (WHATWG HTML 4.9.12). */
import { attributeOf, type Element } from "../../html";
import type { GridCell } from "./parts";

const span = (element: Element, name: string, most: number): number => {
  const value = Math.floor(Number(attributeOf(element, name) ?? 1));
  return Number.isFinite(value) && value >= 1 ? Math.min(most, value) : 1;
};

type Unplaced = Omit<GridCell, "row" | "column" | "rowspan" | "colspan">;

/** Gathers cells row by row. */
export class TableGrid {
  private row = -1;
  private column = 0;
  private readonly cells: GridCell[] = [];
  /** For each column, the first row that nothing from above covers. */
  private readonly free: number[] = [];

  beginRow(): void {
    this.row += 1;
    this.column = 0;
  }

  /** Whether a row is open. */
  get begun(): boolean {
    return this.row >= 0;
  }

  add(cell: Unplaced, spanned: Element | null): void {
    if (this.row < 0) this.beginRow();
    const colspan = spanned ? span(spanned, "colspan", 100) : 1;
    const rowspan = spanned ? span(spanned, "rowspan", 1000) : 1;
    while ((this.free[this.column] ?? 0) > this.row) this.column += 1;
    let end = this.column + 1;
    // Two cells never cover one place here: a span ends before what comes from above.
    while (end < this.column + colspan && (this.free[end] ?? 0) <= this.row) end += 1;
    this.cells.push({ ...cell, row: this.row, column: this.column, rowspan, colspan: end - this.column });
    for (let column = this.column; column < end; column++) this.free[column] = this.row + rowspan;
    this.column = end;
  }

  /** The cells, with spans cut at the last row, and rows and columns that nothing begins in taken out. */
  finish(): { readonly rows: number; readonly columns: number; readonly cells: readonly GridCell[] } {
    return compacted(this.cells);
  }
}

/** The grid without rows and columns in which no cell begins: they have no size of their own. */
function compacted(cells: readonly GridCell[]): {
  readonly rows: number;
  readonly columns: number;
  readonly cells: readonly GridCell[];
} {
  const begun = (axis: "row" | "column"): readonly number[] =>
    [...new Set(cells.map((cell) => cell[axis]))].sort((one, other) => one - other);
  const rowsBegun = begun("row");
  const columnsBegun = begun("column");
  const indexOf = (list: readonly number[]): ((at: number) => number) => {
    const known = new Map(list.map((at, index) => [at, index]));
    // The first begun place from `at` on.
    return (at) => {
      const found = known.get(at);
      if (found !== undefined) return found;
      let low = 0;
      let high = list.length;
      while (low < high) {
        const middle = (low + high) >> 1;
        if ((list[middle] ?? 0) < at) low = middle + 1;
        else high = middle;
      }
      return low;
    };
  };
  const row = indexOf(rowsBegun);
  const column = indexOf(columnsBegun);
  return {
    rows: rowsBegun.length,
    columns: columnsBegun.length,
    cells: cells.map((cell) => ({
      ...cell,
      row: row(cell.row),
      column: column(cell.column),
      rowspan: row(cell.row + cell.rowspan) - row(cell.row),
      colspan: column(cell.column + cell.colspan) - column(cell.column),
    })),
  };
}
