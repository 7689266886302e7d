import type { Node } from "prosemirror-model";
import { Transform } from "prosemirror-transform";
import { describe, expect, it } from "vitest";
import { build } from "../builder";
import { tableMap } from "../table-map";
import { readSignature } from "../validate";
import { duplicatePart, insertParts, insertRowAcross, movePart, removePart } from "./blocks";

const { cell, line, row, signature, spacer, table, text } = build;

/** One row of cells of 100 px; each letter is a line, a dash an empty one. */
const document = (...cells: string[]): Node =>
  signature(
    {},
    table(
      row(
        ...cells.map((letters) =>
          cell({ width: [100] }, ...[...letters].map((each) => (each === "-" ? line() : line(text(each))))),
        ),
      ),
    ),
  );

/** What each cell of the first row holds: a letter for a line, a dash for an empty one, "s" for a spacer. */
const held = ({ doc }: Transform): string[] =>
  doc.firstChild!.firstChild!.content.content.map((each) =>
    each.content.content.map((part) => part.textContent || (part.type.name === "line" ? "-" : "s")).join(""),
  );

/** The first cell opens at 2, so its first part is at 3; a line of one letter is 3 long, an empty one 2. */
const firstPart = 3;
/** The first part of the second cell, when the first holds so many letters. */
const secondCell = (letters: number): number => firstPart + 3 * letters + 2;

describe("parts", () => {
  it("go between others, and instead of the empty line of an empty cell", () => {
    expect(held(insertParts(new Transform(document("AB", "-")), firstPart + 3, [spacer(4)]))).toEqual([
      "AsB",
      "-",
    ]);
    expect(held(insertParts(new Transform(document("AB", "-")), secondCell(2), [spacer(4)]))).toEqual([
      "AB",
      "s",
    ]);
  });

  it("are taken out, and the cell keeps an empty line", () => {
    expect(held(removePart(new Transform(document("AB")), firstPart))).toEqual(["B"]);
    expect(held(removePart(new Transform(document("A")), firstPart))).toEqual(["-"]);
  });

  it("are copied under themselves", () => {
    expect(held(duplicatePart(new Transform(document("AB")), firstPart))).toEqual(["AAB"]);
  });

  it.each([
    ["down in their cell", ["ABC", "D"], firstPart, firstPart + 6, ["BAC", "D"]],
    ["to the end of their cell", ["ABC", "D"], firstPart, firstPart + 9, ["BCA", "D"]],
    ["up in their cell", ["ABC", "D"], firstPart + 6, firstPart, ["CAB", "D"]],
    ["into another cell", ["AB", "D"], firstPart, secondCell(2) + 3, ["B", "DA"]],
    ["back into an earlier cell", ["AB", "CD"], secondCell(2), firstPart, ["CAB", "D"]],
    ["into an empty cell", ["AB", "-"], firstPart, secondCell(2), ["B", "A"]],
    ["out of a cell that then stands empty", ["A", "B"], firstPart, secondCell(1), ["-", "AB"]],
    ["nowhere, onto themselves", ["AB", "C"], firstPart, firstPart + 3, ["AB", "C"]],
  ])("move %s", (_where, before, from, to, after) => {
    const transform = new Transform(document(...before));
    const place = movePart(transform, from, to);
    expect(held(transform)).toEqual(after);
    expect(transform.doc.nodeAt(place)!.eq(transform.before.nodeAt(from)!)).toBe(true);
  });

  it("do not put a table into a table that lies in a cell", () => {
    const nested = table(row(cell({ width: [50] }, line())));
    const transform = new Transform(signature({}, table(row(cell({ width: [100] }, line(), nested)))));
    const inside = firstPart + 2 + 3;
    expect(() => insertParts(transform, inside, [nested])).toThrow("holds no other table");
    expect(held(insertParts(transform, inside, [spacer(4)]))).toHaveLength(1);
    expect(readSignature(transform.doc.toJSON()).ok).toBe(true);
  });

  it("name the place where there is none", () => {
    expect(() => removePart(new Transform(document("A")), 1)).toThrow("No part of a cell at position 1");
    expect(() => insertParts(new Transform(document("A")), 1, [])).toThrow("No cell around position 1");
  });
});

describe("a row across all columns", () => {
  it("is one cell under or over the others", () => {
    const transform = insertRowAcross(new Transform(document("A", "B")), 0, 1, [line(text("C"))]);
    expect(tableMap(transform.doc.firstChild!).places[2]).toMatchObject({ row: 1, colspan: 2 });
    expect(transform.doc.firstChild!.lastChild!.firstChild!.attrs.colwidth).toEqual([100, 100]);
    expect(readSignature(transform.doc.toJSON()).ok).toBe(true);
  });

  it("does not cut through a cell", () => {
    const tall = cell({ width: [100] }, line());
    const spanning = tall.type.create({ ...tall.attrs, rowspan: 2 }, tall.content);
    const transform = new Transform(signature({}, table(row(spanning, tall), row(tall))));
    expect(() => insertRowAcross(transform, 0, 1, [line()])).toThrow("A cell spans the place before row 2");
    expect(() => insertRowAcross(transform, 0, 3, [line()])).toThrow("No row 4 (table is 2 × 2)");
  });
});
