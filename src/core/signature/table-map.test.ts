import { describe, expect, it } from "vitest";
import { parseSignature } from "./validate";
import { borderOn } from "./borders";
import { schema } from "./schema";
import { cellAt, innerWidth, placeAtOffset, placeWidth, tableMap } from "./table-map";

const cell = (text: string, attrs: object = {}) => ({
  type: "cell",
  attrs,
  content: [{ type: "line", content: [{ type: "text", text }] }],
});

/** A at the left over both rows; B and C on the first; D under both of them. */
const table = parseSignature({
  type: "signature",
  content: [
    {
      type: "table",
      content: [
        {
          type: "row",
          content: [cell("A", { rowspan: 2, colwidth: [80] }), cell("B", { colwidth: [100] }), cell("C")],
        },
        { type: "row", content: [cell("D", { colspan: 2, colwidth: [100, 50] })] },
      ],
    },
  ],
}).firstChild!;

describe("the map of a table", () => {
  it("says which cell covers each position", () => {
    const map = tableMap(table);
    expect([map.rows, map.columns]).toEqual([2, 3]);
    expect(map.grid.map((covering) => covering!.node.textContent)).toEqual(["A", "B", "C", "A", "D", "D"]);
    expect(map.problems).toEqual([]);
  });

  it("takes each column's width from the first cell that gives one", () => {
    expect(tableMap(table).columnWidths).toEqual([80, 100, 50]);
    expect(tableMap(table).width).toBe(230);
  });

  it("is the same object for the same table", () => {
    expect(tableMap(table)).toBe(tableMap(table));
  });

  it("tells cells apart that are the very same node", () => {
    const { table: tableType, row, cell: cellType, line } = schema.nodes;
    const same = cellType.create({ colwidth: [50] }, line.create());
    const map = tableMap(tableType.create(null, row.create(null, [same, same])));
    expect(map.places.map(({ column, offset }) => [column, offset])).toEqual([
      [0, 1],
      [1, 5],
    ]);
    expect(placeAtOffset(map, 5)).toBe(map.places[1]);
    expect(() => placeAtOffset(map, 2)).toThrow("No cell at offset 2 (table is 1 × 2)");
  });

  it("gives each cell its whole width, and its content what padding and half of each line leave", () => {
    const line = { width: 3, style: "solid", color: "#111111" };
    const none = { top: null, right: null, bottom: null, left: null };
    const document = parseSignature({
      type: "signature",
      content: [
        {
          type: "table",
          content: [
            {
              type: "row",
              content: [
                cell("A", {
                  colwidth: [100],
                  padding: { top: 0, right: 10, bottom: 0, left: 0 },
                  border: { ...none, right: line },
                }),
                cell("B", { colwidth: [200], padding: { top: 0, right: 0, bottom: 0, left: 20 } }),
              ],
            },
          ],
        },
      ],
    });
    const map = tableMap(document.firstChild!);
    const [first, second] = map.places;
    expect([placeWidth(map, first!), innerWidth(map, first!)]).toEqual([100, 88]);
    // The line stands on the first cell, and the second gives up its half of it all the same.
    expect([placeWidth(map, second!), innerWidth(map, second!)]).toEqual([200, 178]);
    expect(borderOn(map, second!, "left")).toEqual(line);
    expect(borderOn(map, second!, "right")).toBeNull();
  });

  it("gives the cell at a position, and names the place of one that is not there", () => {
    expect(cellAt(table, 1, 2).textContent).toBe("D");
    expect(() => cellAt(table, 3, 1)).toThrow("No cell at row 4, column 2 (table is 2 × 3)");
  });
});
