/** New documents and new parts of them. */
import type { Node } from "prosemirror-model";
import { build } from "./builder";

/** The narrow first column is for a photo or logo, the wide one for text; px. */
const firstColumn = 110;
const otherColumn = 310;
/** At either side of what lies between two columns; px. */
const gap = 12;

/** A blank signature of `rows` × `columns` empty cells. Throws a RangeError outside 1 to 6 rows, 1 to 8 columns. */
export function blankSignature(rows: number, columns: number): Node {
  const fits = Number.isInteger(rows) && Number.isInteger(columns);
  if (!fits || rows < 1 || rows > 6 || columns < 1 || columns > 8)
    throw new RangeError(`A blank table has 1 to 6 rows and 1 to 8 columns, not ${rows} × ${columns}`);
  const paddings = Array.from({ length: columns }, (_unused, index) => ({
    left: index === 0 ? 0 : gap,
    right: index === columns - 1 ? 0 : gap,
  }));
  // Equal in what they hold, whatever lies between them.
  const held = Math.floor((firstColumn + otherColumn - 2 * gap * (columns - 1)) / columns);
  const widths = paddings.map(({ left, right }, index) => {
    if (columns > 2) return held + left + right;
    return columns === 2 && index === 0 ? firstColumn : otherColumn;
  });
  const cellOf = (width: number, index: number): Node =>
    build.cell({ width: [width], padding: paddings[index] ?? {} }, build.line());
  return build.signature(
    {},
    build.table(...Array.from({ length: rows }, () => build.row(...widths.map(cellOf)))),
  );
}
