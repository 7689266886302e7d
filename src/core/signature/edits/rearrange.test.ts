import fc from "fast-check";
import type { Node } from "prosemirror-model";
import { Transform } from "prosemirror-transform";
import { describe, expect, it } from "vitest";
import { blankSignature } from "../create";
import { schema } from "../schema";
import { tableMap } from "../table-map";
import { readSignature } from "../validate";
import { readLayout } from "../table-layout";
import type { Border } from "../values";
import {
  deleteBands,
  insertBand,
  mergeCells,
  moveBand,
  rearrangeTable,
  splitCell,
  wholeCells,
} from "./rearrange";

/** A table of letters: "AAB/CDB" is A over two columns above C and D, with B at the right over both rows. */
function drawn(plan: string): Node {
  const rows = plan.split("/");
  const seen = new Set<string>();
  const reach = (letter: string, row: number, column: number) => ({
    rowspan: rows.slice(row).filter((each) => each[column] === letter).length,
    colspan: [...rows[row]!].filter((each) => each === letter).length,
  });
  return schema.nodes.table.create(
    null,
    rows.map((letters, row) =>
      schema.nodes.row.create(
        null,
        [...letters].flatMap((letter, column) => {
          if (seen.has(letter)) return [];
          seen.add(letter);
          const spans = reach(letter, row, column);
          const colwidth = Array.from({ length: spans.colspan }, (_unused, at) => 10 * (column + at + 1));
          const text = letter === "." ? [] : [schema.text(letter)];
          return [schema.nodes.cell.create({ ...spans, colwidth }, schema.nodes.line.create(null, text))];
        }),
      ),
    ),
  );
}

/** The plan of a table; an empty cell is a dot. */
function plan(table: Node): string {
  const { grid, columns, rows } = tableMap(table);
  const letters = grid.map((place) => place?.node.textContent || ".").join("");
  return Array.from({ length: rows }, (_unused, row) =>
    letters.slice(row * columns, (row + 1) * columns),
  ).join("/");
}

const widths = (table: Node): readonly number[] => tableMap(table).columnWidths;

describe("inserting rows and columns", () => {
  it("goes before a band, or after the last", () => {
    expect(plan(insertBand(drawn("AB/CD"), "row", 1))).toBe("AB/../CD");
    expect(plan(insertBand(drawn("AB/CD"), "row", 2))).toBe("AB/CD/..");
    expect(plan(insertBand(drawn("AB/CD"), "column", 0))).toBe(".AB/.CD");
  });

  it("grows the cells that span the place", () => {
    expect(plan(insertBand(drawn("AAB/CDB"), "column", 1))).toBe("AAAB/C.DB");
    expect(plan(insertBand(drawn("AAB/CDB"), "row", 1))).toBe("AAB/..B/CDB");
  });

  it("gives a new column the width asked for, or that of the one before it", () => {
    expect(widths(insertBand(drawn("AB"), "column", 1))).toEqual([10, 10, 20]);
    expect(widths(insertBand(drawn("AB"), "column", 2, 55))).toEqual([10, 20, 55]);
  });

  it("makes the new cells in the manner of their neighbours", () => {
    const line: Border = { width: 1, style: "solid", color: "#3F5B2E" };
    const table = drawn("A");
    const first = table.firstChild!.firstChild!;
    const border = { top: line, right: line, bottom: line, left: line };
    const padding = { top: 1, right: 2, bottom: 3, left: 4 };
    const styled = first.type.create(
      { ...first.attrs, border, padding, background: "#F3EFE4" },
      first.content,
    );
    const row = schema.nodes.row.create({ height: 40 }, styled);
    const below = insertBand(schema.nodes.table.create(null, row), "row", 1).lastChild!;
    expect(below.attrs.height).toBeNull();
    expect(below.firstChild!.attrs).toMatchObject({
      padding,
      background: "#F3EFE4",
      border: { top: null, right: line, bottom: null, left: line },
    });
  });

  it("names a place that the table does not have", () => {
    expect(() => insertBand(drawn("AB"), "column", 3)).toThrow("No column 4 (table is 1 × 2)");
  });
});

describe("deleting rows and columns", () => {
  it("takes out whole bands", () => {
    expect(plan(deleteBands(drawn("AB/CD/EF"), "row", 1, 2))).toBe("AB/EF");
    expect(plan(deleteBands(drawn("ABC"), "column", 0, 2))).toBe("C");
  });

  it("shrinks the cells that reach beyond them, and keeps what they hold", () => {
    expect(plan(deleteBands(drawn("AAB/CDB"), "column", 0, 1))).toBe("AB/DB");
    expect(plan(deleteBands(drawn("AAB/CDB"), "row", 0, 1))).toBe("CDB");
  });

  it("leaves no row or column in which nothing begins", () => {
    const table = deleteBands(drawn("AAB/CDE"), "row", 1, 2);
    expect(plan(table)).toBe("AB");
    expect(widths(table)).toEqual([30, 30]);
  });

  it("keeps the last row and the last column", () => {
    expect(() => deleteBands(drawn("AB"), "row", 0, 1)).toThrow("A table keeps at least one row");
    expect(() => deleteBands(drawn("AB"), "column", 0, 2)).toThrow("A table keeps at least one column");
  });
});

describe("moving rows and columns", () => {
  it("moves to the far side of another, with its width", () => {
    expect(plan(moveBand(drawn("ABC"), "column", 0, 2))).toBe("BCA");
    expect(widths(moveBand(drawn("ABC"), "column", 2, 0))).toEqual([30, 10, 20]);
    expect(plan(moveBand(drawn("A/B/C"), "row", 2, 1))).toBe("A/C/B");
  });

  it("keeps bands together that cells tie to each other, on both sides", () => {
    expect(plan(moveBand(drawn("AAB/CDE"), "column", 0, 2))).toBe("BAA/ECD");
    expect(plan(moveBand(drawn("AAB/CDE"), "column", 2, 1))).toBe("BAA/ECD");
    expect(plan(moveBand(drawn("A/B/B/C"), "row", 3, 2))).toBe("A/C/B");
  });

  it("gives the very same table back where there is nothing to move past", () => {
    const table = drawn("AAB/CDE");
    expect(moveBand(table, "column", 0, 1)).toBe(table);
    expect(moveBand(table, "row", 1, 1)).toBe(table);
  });
});

describe("merging and splitting", () => {
  const all = { top: 0, left: 0, bottom: 1, right: 2 };

  it("holds what the cells held, in reading order, without empty lines of empty cells", () => {
    const table = mergeCells(drawn("AB./CDE"), { ...all, right: 3 });
    expect(table.firstChild!.firstChild!.textContent).toBe("AB");
    expect(table.firstChild!.firstChild!.attrs).toMatchObject({ rowspan: 1, colspan: 3 });
    expect(table.firstChild!.firstChild!.childCount).toBe(2);
  });

  it("widens to whole cells", () => {
    const rectangle = { top: 0, left: 1, bottom: 1, right: 3 };
    expect(wholeCells(readLayout(drawn("AAB/CDB/EFG")), rectangle)).toEqual({
      top: 0,
      left: 0,
      bottom: 2,
      right: 3,
    });
    const merged = mergeCells(drawn("AAB/CDB/EFG"), rectangle);
    expect(merged.firstChild!.firstChild!.textContent).toBe("ABCD");
    expect(merged.childCount).toBe(2);
  });

  it("of a whole table leaves one cell as wide as it was", () => {
    const table = mergeCells(drawn("AB/CD"), { ...all, bottom: 2 });
    expect([tableMap(table).rows, tableMap(table).columns, widths(table)]).toEqual([1, 1, [30]]);
  });

  it("splitting gives a cell for each position, the first with all that was held", () => {
    expect(plan(splitCell(drawn("AAB/CDB"), 0, 2))).toBe("AAB/CD.");
    expect(plan(splitCell(drawn("AAB/CDE"), 0, 1))).toBe("A.B/CDE");
    const table = drawn("AB");
    expect(splitCell(table, 0, 0)).toBe(table);
  });

  it("borders around stay, and stand on the outer edges once split", () => {
    const line: Border = { width: 2, style: "solid", color: "#3F5B2E" };
    const table = drawn("AAB/CDE");
    const first = table.firstChild!.firstChild!;
    const border = { top: line, right: line, bottom: null, left: line };
    const lined = first.type.create({ ...first.attrs, border }, first.content);
    const row = table.firstChild!.copy(table.firstChild!.content.replaceChild(0, lined));
    const split = splitCell(table.copy(table.content.replaceChild(0, row)), 0, 0);
    expect(split.firstChild!.child(0).attrs.border).toEqual({
      top: line,
      right: null,
      bottom: null,
      left: line,
    });
    expect(split.firstChild!.child(1).attrs.border).toEqual({
      top: line,
      right: line,
      bottom: null,
      left: null,
    });
    const merged = mergeCells(split, all);
    expect(merged.firstChild!.firstChild!.attrs.border).toEqual(border);
  });
});

interface Edit {
  readonly kind: number;
  readonly a: number;
  readonly b: number;
  readonly c: number;
}

/** One random edit, its numbers brought into the table's range. */
function randomEdit(table: Node, { kind, a, b, c }: Edit): Node {
  const { rows, columns } = tableMap(table);
  const axis = a % 2 ? "row" : "column";
  const count = axis === "row" ? rows : columns;
  switch (kind) {
    case 0:
      return count < 8 ? insertBand(table, axis, b % (count + 1)) : table;
    case 1: {
      const from = b % count;
      const to = from + 1 + (c % (count - from));
      return to - from < count ? deleteBands(table, axis, from, to) : table;
    }
    case 2:
      return moveBand(table, axis, b % count, c % count);
    case 3: {
      const [top, left] = [a % rows, b % columns];
      return mergeCells(table, {
        top,
        left,
        bottom: top + 1 + (c % (rows - top)),
        right: left + 1 + (c % (columns - left)),
      });
    }
    default:
      return splitCell(table, b % rows, c % columns);
  }
}

const number = fc.nat({ max: 1000 });
const edits = fc.array(fc.record({ kind: fc.nat({ max: 4 }), a: number, b: number, c: number }), {
  minLength: 200,
  maxLength: 200,
});

describe("any sequence of 200 edits", () => {
  it("leaves a valid table whose every position is covered once; undoing them gives the first document back", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 1, max: 8 }),
        edits,
        (rows, columns, list) => {
          const first = blankSignature(rows, columns);
          const transform = new Transform(first);
          for (const edit of list) {
            rearrangeTable(transform, 0, (table) => randomEdit(table, edit));
            expect(tableMap(transform.doc.firstChild!).problems).toEqual([]);
          }
          expect(readSignature(transform.doc.toJSON())).toMatchObject({ ok: true });
          let undone = transform.doc;
          for (let step = transform.steps.length - 1; step >= 0; step--)
            undone = transform.steps[step]!.invert(transform.docs[step]!).apply(undone).doc!;
          expect(undone.eq(first)).toBe(true);
        },
      ),
      { numRuns: 12 },
    );
  });

  it("changes only the rows that an edit touches", () => {
    const transform = rearrangeTable(new Transform(blankSignature(4, 2)), 0, (table) =>
      mergeCells(table, { top: 2, left: 0, bottom: 3, right: 2 }),
    );
    const first = transform.docs[0]!.firstChild!;
    expect(transform.doc.firstChild!.child(0)).toBe(first.child(0));
    expect(transform.doc.firstChild!.child(3)).toBe(first.child(3));
    expect(() => rearrangeTable(transform, 1, (table) => table)).toThrow("No table at position 1");
  });
});
