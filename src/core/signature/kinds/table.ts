/** A table of rows: the outer one, or one level down inside a cell. Widths in px. */
import { element } from "../../html";
import { blockKind, marked, partAttributes } from "../kind";
import { tableMap } from "../table-map";
import { writePlainChildren } from "../writing";

/** The attributes that every layout table carries, so that no client adds gaps, lines or a reading order. */
export const layoutTable = (width: number) => ({
  role: "presentation",
  cellpadding: 0,
  cellspacing: 0,
  border: 0,
  width,
});

export const tableKind = blockKind({
  name: "table",
  word: "table",
  structure: { content: "row+", group: "block", tableRole: "table", isolating: true },
  attributes: partAttributes,
  parse: [{ tag: "table" }],
  draw: (node) => ["table", marked(node), ["tbody", 0]],
  write(table, writing) {
    const map = tableMap(table);
    const { width } = map;
    const inside = { ...writing, outermost: false };
    const rows = table.content.content.map((row, index) =>
      writing.write(row, {
        ...inside,
        rowPlaces: { map, places: map.places.filter((place) => place.row === index) },
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
      { "border-collapse": "collapse", width },
      rows.join(""),
    );
  },
  writePlain: writePlainChildren,
});
