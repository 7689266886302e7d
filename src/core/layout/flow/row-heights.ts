/** How high the rows of a table are (CSS Tables 3, section 3.10), from what its cells need; px. */

export interface CellHeight {
  readonly row: number;
  readonly span: number;
  readonly height: number;
}

const total = (numbers: readonly number[]): number => numbers.reduce((sum, each) => sum + each, 0);

/**
 * Rows made higher until a cell that spans them has room: rows in which other such cells begin, else rows that are not
 * empty and that nobody gave a height, else the last one where all are empty, else all that are not.
 */
function grown(
  rows: readonly number[],
  wanted: number,
  { fixed, begins }: { readonly fixed: readonly boolean[]; readonly begins: readonly boolean[] },
): readonly number[] {
  const missing = wanted - total(rows);
  if (missing <= 0) return rows;
  const where = (is: (index: number) => boolean): readonly number[] =>
    rows.flatMap((_height, index) => (is(index) ? [index] : []));
  const evenly = (indexes: readonly number[]): readonly number[] =>
    rows.map((height, index) => (indexes.includes(index) ? height + missing / indexes.length : height));
  const inProportion = (indexes: readonly number[]): readonly number[] => {
    const all = total(indexes.map((index) => rows[index] ?? 0));
    return rows.map((height, index) =>
      indexes.includes(index) ? height + (missing * height) / all : height,
    );
  };
  const spanning = where((index) => index > 0 && begins[index] === true);
  if (spanning.length > 0) return evenly(spanning);
  const open = where((index) => (rows[index] ?? 0) > 0 && !fixed[index]);
  if (open.length > 0) return inProportion(open);
  const filled = where((index) => (rows[index] ?? 0) > 0);
  const empty = where((index) => (rows[index] ?? 0) === 0);
  if (filled.length === 0) return evenly([rows.length - 1]);
  const openEmpty = empty.filter((index) => !fixed[index]);
  if (openEmpty.length > 0) return evenly(openEmpty.slice(-1));
  return inProportion(filled);
}

/** `fixed` says which rows a cell gives a height. */
export function rowHeights(
  count: number,
  cells: readonly CellHeight[],
  fixed: readonly boolean[],
): readonly number[] {
  const own = Array.from({ length: count }, () => 0);
  for (const { row, span, height } of cells) if (span === 1) own[row] = Math.max(own[row] ?? 0, height);
  let rows: readonly number[] = own;
  const spanning = cells
    .filter(({ span }) => span > 1)
    .sort((one, other) => one.span - other.span || one.row - other.row);
  const begins = Array.from({ length: count }, (_unused, row) => spanning.some((cell) => cell.row === row));
  for (const { row, span, height } of spanning) {
    const end = Math.min(count, row + span);
    const under = grown(rows.slice(row, end), height, {
      fixed: fixed.slice(row, end),
      begins: begins.slice(row, end),
    });
    rows = [...rows.slice(0, row), ...under, ...rows.slice(end)];
  }
  return rows;
}
