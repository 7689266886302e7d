import fc from "fast-check";
import type { Node } from "prosemirror-model";
import { describe, expect, it } from "vitest";
import { anyDocument } from "../../../tests/any-document";
import { build } from "./builder";
import { isEmptyCell } from "./kinds/cell";
import { emptyTable, tableWithout, type LeavingOut } from "./leave-out";
import { tableMap } from "./table-map";
import { readSignature } from "./validate";
import { tallestRow, widestColumn } from "./values";

const { cell, line, row, signature, spacer, table, text } = build;
const words = (value: string): Node => line(text(value));

/** Leaves out what says so, and every row that begins with it. */
const saying = (word: string, keepsWidth = true): LeavingOut => ({
  leaves: (node) =>
    node.type.name === "row" ? node.firstChild?.textContent === `row ${word}` : node.textContent === word,
  keepsWidth,
});
const gone = saying("gone");
const narrower = saying("gone", false);

/** A cell that reaches into the row below. */
const tall = (node: Node): Node => node.type.create({ ...node.attrs, rowspan: 2 }, node.content);

const widths = (node: Node | null): readonly number[] => (node ? tableMap(node).columnWidths : []);
const said = (node: Node | null): readonly string[] =>
  (node?.children ?? []).map((each) => each.children.map(({ textContent }) => textContent || "-").join("|"));

describe("a table without some of its parts", () => {
  it("is the very same one where none is left out", () => {
    const whole = table(row(cell({ width: [100] }, words("Ada")), cell({ width: [200] }, words("Quill"))));
    expect(tableWithout(whole, gone)).toBe(whole);
  });

  it("keeps cells that hold more, and empties those that hold only room besides", () => {
    const whole = table(
      row(cell({ width: [100] }, words("gone"), words("stays")), cell({ width: [200] }, words("Ada"))),
      row(cell({ width: [100] }, words("gone"), spacer(9), line()), cell({ width: [200] }, words("Quill"))),
    );
    const left = tableWithout(whole, gone);
    expect(said(left)).toEqual(["stays|Ada", "-|Quill"]);
    expect(isEmptyCell(left!.child(1).child(0))).toBe(true);
    expect(widths(left)).toEqual([100, 200]);
  });

  it("loses a column that stands empty, and its width or not, as asked", () => {
    const whole = table(
      row(cell({ width: [100] }, words("gone")), cell({ width: [200] }, words("Ada"))),
      row(cell({ width: [100] }, line()), cell({ width: [200] }, words("Quill"))),
      row(cell({ width: [100, 200] }, words("Spans"))),
    );
    expect(widths(tableWithout(whole, gone))).toEqual([300]);
    expect(widths(tableWithout(whole, narrower))).toEqual([200]);
    expect(said(tableWithout(whole, gone))).toEqual(["Ada", "Quill", "Spans"]);
  });

  it("gives the width of the last column to the one before it", () => {
    const whole = table(row(cell({ width: [100] }, words("Ada")), cell({ width: [200] }, words("gone"))));
    expect(widths(tableWithout(whole, gone))).toEqual([300]);
    expect(widths(tableWithout(whole, narrower))).toEqual([100]);
  });

  it("keeps what stood empty before: it was meant to", () => {
    const whole = table(
      row(cell({ width: [100] }, line()), cell({ width: [200] }, words("Ada"))),
      row(cell({ width: [100] }, line()), cell({ width: [200] }, words("gone"), words("Quill"))),
    );
    expect(widths(tableWithout(whole, gone))).toEqual([100, 200]);
    expect(said(tableWithout(whole, gone))).toEqual(["-|Ada", "-|Quill"]);
  });

  it("loses rows, and what spans them is as much shorter", () => {
    const whole = table(
      row(tall(cell({ width: [100] }, words("Photo"))), cell({ width: [200] }, words("Ada"))),
      row(cell({ width: [200] }, words("row gone"))),
      row(cell({ width: [100] }, words("Below")), cell({ width: [200] }, words("Quill"))),
    );
    const left = tableWithout(whole, gone);
    expect(said(left)).toEqual(["Photo|Ada", "Below|Quill"]);
    expect(left!.child(0).child(0).attrs.rowspan).toBe(1);
    expect(tableWithout(table(row(cell({ width: [9] }, words("row gone")))), gone)).toBeNull();
  });

  it("has tables in its cells without theirs, and not at all where nothing of them is left", () => {
    const inner = (...rows: Node[]): Node => table(...rows.map((each) => row(cell({ width: [80] }, each))));
    const whole = table(
      row(cell({ width: [300] }, inner(words("gone"), words("stays")))),
      row(cell({ width: [300] }, inner(words("row gone")), words("besides"))),
    );
    const left = tableWithout(whole, gone);
    expect(said(left)).toEqual(["stays", "besides"]);
    expect(
      left!
        .child(1)
        .child(0)
        .children.map(({ type }) => type.name),
    ).toEqual(["line"]);
  });

  it("is no wider than a document may say", () => {
    const whole = table(
      row(cell({ width: [widestColumn] }, words("gone")), cell({ width: [widestColumn - 1] }, words("Ada"))),
    );
    expect(widths(tableWithout(whole, gone))).toEqual([widestColumn]);
    expect(widths(emptyTable(whole))).toEqual([widestColumn]);
  });

  it("is no higher than a document may say, where rows become one", () => {
    const high = (node: Node): Node => node.type.create({ height: tallestRow - 1 }, node.content);
    const whole = table(
      row(cell({ width: [100] }, words("Ada")), cell({ width: [100] }, words("gone"))),
      high(row(tall(cell({ width: [100] }, words("Quill"))), tall(cell({ width: [100] }, words("gone"))))),
      high(row()),
    );
    const left = tableWithout(whole, narrower);
    expect(said(left)).toEqual(["Ada", "Quill"]);
    expect(left?.child(1).attrs.height).toBe(tallestRow);
  });

  it("is a valid one, and has nothing of what was left out, whatever the document and whatever is left out", () => {
    const names = fc.subarray(["line", "picture", "divider", "spacer", "button", "iconRow", "table"]);
    fc.assert(
      fc.property(anyDocument, names, fc.boolean(), (document, left, keepsWidth) => {
        const outer = document.firstChild!;
        const leaves = ({ type }: Node): boolean => left.includes(type.name);
        const made = tableWithout(outer, { leaves, keepsWidth }) ?? emptyTable(outer);
        const written = signature({}, made);
        expect(readSignature(written.toJSON())).toMatchObject({ ok: true });
        made.descendants((node, _position, parent) => {
          // A cell holds at least a line.
          const holds = node.type.name === "line" && node.childCount === 0;
          if (parent?.type.name === "cell" && !holds) expect(left).not.toContain(node.type.name);
        });
      }),
      { numRuns: 150 },
    );
  });
});
