/**
 * How wide the columns of a table are (CSS Tables 3, section 3.9), from what its cells need and ask for; px.
 */

/** What one cell needs: its narrowest, its widest, and whether that is a width that it asks for. */
export interface CellNeed {
  readonly column: number;
  readonly span: number;
  readonly least: number;
  readonly most: number;
  readonly asked: boolean;
}

export interface ColumnNeed {
  readonly least: number;
  readonly most: number;
  /** Whether a cell asks for a width of it. */
  readonly asked: boolean;
}

const nothing: ColumnNeed = { least: 0, most: 0, asked: false };
const total = (numbers: readonly number[]): number => numbers.reduce((sum, each) => sum + each, 0);

/** A column with one more cell in it: widths that are asked for count before those that content would like. */
function withCell(column: ColumnNeed | null, cell: CellNeed): ColumnNeed {
  if (!column) return { least: cell.least, most: Math.max(cell.least, cell.most), asked: cell.asked };
  const least = Math.max(column.least, cell.least);
  const most =
    cell.asked && !column.asked
      ? cell.most
      : column.asked && !cell.asked
        ? column.most
        : Math.max(column.most, cell.most);
  return { least, most: Math.max(least, most), asked: column.asked || cell.asked };
}

/** A width shared in proportion to weights, evenly where none weighs anything. */
function shared(width: number, weights: readonly number[]): readonly number[] {
  const all = total(weights);
  return weights.map((weight) => (all > 0 ? (width * weight) / all : width / weights.length));
}

/**
 * A width given to columns: at least what each needs, then up to what is asked for, then up to what content would like,
 * and what is left to those that nobody asks a width of, or to all.
 */
export function distributed(width: number, columns: readonly ColumnNeed[]): readonly number[] {
  const least = columns.map((column) => column.least);
  const asked = columns.map((column) => (column.asked ? column.most : column.least));
  const most = columns.map((column) => column.most);
  const between = (lower: readonly number[], upper: readonly number[]): readonly number[] => {
    const rest = shared(
      width - total(lower),
      upper.map((each, index) => each - (lower[index] ?? 0)),
    );
    return lower.map((each, index) => each + (rest[index] ?? 0));
  };
  if (width <= total(least)) return least;
  if (width < total(asked)) return between(least, asked);
  if (width < total(most)) return between(asked, most);
  const free = columns.some((column) => !column.asked);
  const growing = columns.map((column) => (free && column.asked ? 0 : column.most));
  const grows = columns.map((column) => !free || !column.asked);
  const rest = width - total(most);
  const even = total(growing) === 0;
  const counted = grows.filter(Boolean).length;
  const extra = even ? grows.map((each) => (each ? rest / counted : 0)) : shared(rest, growing);
  return most.map((each, index) => each + (extra[index] ?? 0));
}

/** What the columns need, from their cells; those that cover several come last, the fewest columns first. */
export function columnNeeds(count: number, cells: readonly CellNeed[]): readonly ColumnNeed[] {
  const columns: (ColumnNeed | null)[] = Array.from({ length: count }, () => null);
  for (const cell of cells)
    if (cell.span === 1) columns[cell.column] = withCell(columns[cell.column] ?? null, cell);
  const needs = columns.map((column) => column ?? nothing);
  for (const cell of cells.filter(({ span }) => span > 1).sort((one, other) => one.span - other.span)) {
    const covered = needs.slice(cell.column, cell.column + cell.span);
    const least = distributed(cell.least, covered);
    const grown = covered.map((column, index) => {
      const own = Math.max(column.least, least[index] ?? 0);
      return { ...column, least: own, most: Math.max(own, column.most) };
    });
    const most = distributed(Math.max(cell.least, cell.most), grown);
    grown.forEach((column, index) => {
      needs[cell.column + index] = { ...column, most: Math.max(column.most, most[index] ?? 0) };
    });
  }
  return needs;
}

/** What a cell of the first row asks for, with all that is around its content. */
export interface AskedWidth {
  readonly column: number;
  readonly span: number;
  readonly asked: number;
}

/**
 * The columns of a table that is laid out fixed (CSS 2.2, section 17.5.2.1), in so much room: as the first row asks; the others
 * have equal parts of what is left, or all have their part of it.
 */
export function fixedColumns(count: number, first: readonly AskedWidth[], room: number): readonly number[] {
  const widths: (number | undefined)[] = Array.from({ length: count }, () => undefined);
  for (const { column, span, asked } of first)
    for (let at = column; at < column + span; at++) widths[at] ??= asked / span;
  const said = total(widths.map((width) => width ?? 0));
  const open = widths.filter((width) => width === undefined).length;
  const left = Math.max(0, room - said);
  if (open > 0) return widths.map((width) => width ?? left / open);
  return shared(
    left,
    widths.map((width) => width ?? 0),
  ).map((extra, at) => (widths[at] ?? 0) + extra);
}
