/** A table of rows: the outer one, or one level down inside a cell. Widths in px. */
import type { Node } from "prosemirror-model";
import { element } from "../../html";
import { blockKind, marked, partAttributes } from "../kind";
import { tableMap, type CellPlace, type TableMap } from "../table-map";
import { writePlainChildren } from "../writing";
import { cell } from "./cell-attributes";
import { row } from "./row";

/** The attributes that every layout table carries, so that no client adds gaps, lines or a reading order. */
export const layoutTable = (width: number) => ({
  role: "presentation",
  cellpadding: 0,
  cellspacing: 0,
  border: 0,
  width,
});

const hasBorder = ({ node }: CellPlace): boolean =>
  Object.values(cell.of(node).border).some((border) => border !== null);

interface WrittenRow {
  readonly node: Node;
  /** Which row of the table it is. */
  readonly row: number;
  readonly places: readonly CellPlace[];
  /** Null is as high as it needs. */
  readonly height: number | null;
}

/**
 * The rows in which a cell begins: HTML has no row without one (WHATWG HTML 4.9.12). One that is wholly spanned from
 * above leaves its height to the row before it.
 */
function writtenRows(table: Node, map: TableMap): readonly WrittenRow[] {
  const written: WrittenRow[] = [];
  table.forEach((node, _offset, index) => {
    const places = map.places.filter((place) => place.row === index);
    const { height } = row.of(node);
    const last = written.at(-1);
    if (places.length > 0 || !last) written.push({ node, row: index, places, height });
    else if (height !== null) written[written.length - 1] = { ...last, height: (last.height ?? 0) + height };
  });
  return written;
}

export const tableKind = blockKind({
  name: "table",
  word: "table",
  structure: { content: "row+", group: "block", tableRole: "table", isolating: true },
  attributes: partAttributes,
  draw: (node) => ["table", marked(node), ["tbody", 0]],
  leastWidth: (table) => tableMap(table).width,
  write(table, writing) {
    const map = tableMap(table);
    const { width } = map;
    const inside = { ...writing, outermost: false };
    const rows = writtenRows(table, map).map(({ node, places, height }, index, written) =>
      writing.write(node, {
        ...inside,
        rowPlaces: {
          map,
          places,
          height,
          rowsUnder: ({ row, rowspan }) =>
            written.slice(index).filter((under) => under.row < row + rowspan).length,
        },
      }),
    );
    const outer = writing.outermost;
    const { direction, language } = writing.settings;
    return element(
      "table",
      {
        ...layoutTable(width),
        dir: outer && direction === "rtl" ? "rtl" : null,
        lang: outer && language ? language : null,
      },
      {
        "border-collapse": "collapse",
        // Beside a table without a style of border browsers count some of its cells' borders twice.
        border: map.places.some(hasBorder) ? "0 solid" : null,
        width,
      },
      rows.join(""),
    );
  },
  writePlain: writePlainChildren,
});
