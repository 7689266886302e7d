import { describe, expect, it } from "vitest";
import { parseSignature } from "./validate";
import { cellAt, tableMap } from "./table-map";

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
    expect(map.grid.map((covering) => covering!.textContent)).toEqual(["A", "B", "C", "A", "D", "D"]);
    expect(map.problems).toEqual([]);
  });

  it("takes each column's width from the first cell that gives one", () => {
    expect(tableMap(table).columnWidths).toEqual([80, 100, 50]);
    expect(tableMap(table).width).toBe(230);
  });

  it("is the same object for the same table", () => {
    expect(tableMap(table)).toBe(tableMap(table));
  });

  it("gives the cell at a position, and names the place of one that is not there", () => {
    expect(cellAt(table, 1, 2).textContent).toBe("D");
    expect(() => cellAt(table, 3, 1)).toThrow("No cell at row 4, column 2 (table is 2 × 3)");
  });
});
