/** New documents and new parts of them. */
import type { Node } from "prosemirror-model";
import { build } from "./builder";

/** The narrow first column is for a photo or logo, the wide one for text; px. */
const firstColumn = 110;
const otherColumn = 310;

/** A blank signature of `rows` × `columns` empty cells. Throws a RangeError outside 1 to 6 rows, 1 to 8 columns. */
export function blankSignature(rows: number, columns: number): Node {
  const fits = Number.isInteger(rows) && Number.isInteger(columns);
  if (!fits || rows < 1 || rows > 6 || columns < 1 || columns > 8)
    throw new RangeError(`A blank table has 1 to 6 rows and 1 to 8 columns, not ${rows} × ${columns}`);
  const width = columns <= 2 ? otherColumn : Math.floor((firstColumn + otherColumn) / columns);
  const widths = Array.from({ length: columns }, (_unused, index) =>
    columns === 2 && index === 0 ? firstColumn : width,
  );
  const cellOf = (columnWidth: number, index: number): Node =>
    build.cell(
      {
        width: [columnWidth],
        padding: { left: index === 0 ? 0 : 12, right: index === columns - 1 ? 0 : 12 },
      },
      build.line(),
    );
  return build.signature(
    {},
    build.table(...Array.from({ length: rows }, () => build.row(...widths.map(cellOf)))),
  );
}
