import fc from "fast-check";
import { Transform } from "prosemirror-transform";
import { describe, expect, it } from "vitest";
import { blankSignature } from "../create";
import { cell } from "../kinds/cell-attributes";
import { tableMap } from "../table-map";
import type { Border } from "../values";
import { borderBetween, setBorder, setPadding } from "./cells";
import { moveColumnBorder, narrowestColumn, setColumnWidth } from "./columns";
import { setAttributes, setSettings } from "./set-attributes";

const red: Border = { width: 1.5, style: "solid", color: "#A3262A" };
const widths = (transform: Transform): readonly number[] => tableMap(transform.doc.firstChild!).columnWidths;

/** Positions of all cells, in reading order. */
function cellPositions(transform: Transform): number[] {
  const found: number[] = [];
  transform.doc.descendants((node, position) => {
    if (node.type.name === "cell") found.push(position);
  });
  return found;
}

describe("column widths", () => {
  it("moving a border between two columns keeps the table's width", () => {
    const transform = moveColumnBorder(new Transform(blankSignature(2, 2)), 0, 0, 20);
    expect(widths(transform)).toEqual([130, 290]);
  });

  it("moving the right edge changes the last column alone", () => {
    expect(widths(moveColumnBorder(new Transform(blankSignature(1, 2)), 0, 1, -30))).toEqual([110, 280]);
  });

  it("setting one column leaves the others", () => {
    expect(widths(setColumnWidth(new Transform(blankSignature(1, 3)), 0, 1, 77))).toEqual([136, 77, 136]);
  });

  it("a column never gets narrower than can be taken hold of, and the table keeps its width", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 2 }), fc.integer({ min: -900, max: 900 })), {
          maxLength: 30,
        }),
        (moves) => {
          const transform = new Transform(blankSignature(2, 4));
          const before = tableMap(transform.doc.firstChild!).width;
          for (const [column, by] of moves) moveColumnBorder(transform, 0, column, by);
          expect(Math.min(...widths(transform))).toBeGreaterThanOrEqual(narrowestColumn);
          expect(tableMap(transform.doc.firstChild!).width).toBe(before);
          transform.doc.check();
        },
      ),
    );
  });

  it("a column that is not there is named", () => {
    expect(() => setColumnWidth(new Transform(blankSignature(1, 2)), 0, 2, 50)).toThrow(
      "No column 3 (table is 1 × 2)",
    );
    expect(() => setColumnWidth(new Transform(blankSignature(1, 2)), 1, 0, 50)).toThrow(
      "No table at position 1",
    );
  });
});

describe("borders between cells", () => {
  it("there is one line where two cells meet, whichever of them it was set on", () => {
    const transform = new Transform(blankSignature(1, 2));
    const [first, second] = cellPositions(transform) as [number, number];
    setBorder(transform, second, "left", { ...red, width: 4 });
    expect(borderBetween(transform.doc, first, "right")).toEqual({ ...red, width: 4 });
    setBorder(transform, first, "right", red);
    expect(borderBetween(transform.doc, second, "left")).toEqual(red);
    expect(cell.of(transform.doc.nodeAt(second)!).border.left).toBeNull();
    setBorder(transform, second, "left", null);
    expect(borderBetween(transform.doc, first, "right")).toBeNull();
  });

  it("rows share theirs as well", () => {
    const transform = new Transform(blankSignature(2, 1));
    const [upper, lower] = cellPositions(transform) as [number, number];
    setBorder(transform, upper, "bottom", red);
    expect(borderBetween(transform.doc, lower, "top")).toEqual(red);
    expect(borderBetween(transform.doc, lower, "bottom")).toBeNull();
  });

  it("a place that is no cell is named", () => {
    expect(() => setBorder(new Transform(blankSignature(1, 1)), 0, "top", red)).toThrow(
      "No cell at position 0",
    );
  });
});

describe("other measures", () => {
  it("padding changes the named sides only", () => {
    const transform = setPadding(new Transform(blankSignature(1, 2)), 2, { top: 4 });
    expect(cell.of(transform.doc.nodeAt(2)!).padding).toEqual({
      top: 4,
      right: 12,
      bottom: 0,
      left: 0,
    });
  });

  it("an edit that changes nothing adds no step and keeps the document", () => {
    const document = blankSignature(1, 2);
    const transform = new Transform(document);
    setPadding(transform, 2, { right: 12 });
    setColumnWidth(transform, 0, 0, 110);
    setSettings(transform, { font: "Arial" });
    setAttributes(transform, 2, cell, { background: null });
    expect(transform.docChanged).toBe(false);
    expect(transform.doc).toBe(document);
  });

  it("settings belong to the whole document", () => {
    const transform = setSettings(new Transform(blankSignature(1, 1)), { font: "Georgia", size: 15 });
    expect(transform.doc.attrs).toMatchObject({ font: "Georgia", size: 15, lineHeight: 1.4 });
  });
});
