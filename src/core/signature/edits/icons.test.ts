import type { Node } from "prosemirror-model";
import { Transform } from "prosemirror-transform";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { build, duplicateIcon, moveIcon, readSignature, removeIcon, schema } from "../index";

const { cell, line, row, signature, table, text } = build;

const holding = (names: readonly string[]): Node =>
  signature(
    {},
    table(
      row(
        cell(
          { width: [400] },
          line(text("before")),
          schema.nodes.iconRow.create(
            { size: 24, gap: 6 },
            names.map((alt) =>
              schema.nodes.inlinePicture.create({ source: "/h/x", width: 24, height: 24, alt }),
            ),
          ),
        ),
      ),
    ),
  );

function rowOf(document: Node): { node: Node; position: number } {
  let found: { node: Node; position: number } | null = null;
  document.descendants((node, position) => {
    if (node.type.name === "iconRow") found = { node, position };
  });
  return found!;
}

const names = (document: Node): string[] =>
  rowOf(document).node.content.content.map((icon) => String(icon.attrs.alt));
const edited = (document: Node, edit: (transform: Transform, position: number) => Transform): string[] => {
  const { doc } = edit(new Transform(document), rowOf(document).position);
  expect(readSignature(doc.toJSON()).ok).toBe(true);
  return names(doc);
};

describe("the icons of a row", () => {
  it("are moved to any place, as in a list", () => {
    const list = ["a", "b", "c", "d", "e"];
    fc.assert(
      fc.property(fc.nat(4), fc.nat(4), (from, to) => {
        const expected = list.filter((_, index) => index !== from);
        expected.splice(to, 0, list[from]!);
        expect(edited(holding(list), (tr, at) => moveIcon(tr, at, from, to))).toEqual(expected);
      }),
    );
  });

  it("are duplicated after themselves, and removed to the last", () => {
    expect(edited(holding(["a", "b"]), (tr, at) => duplicateIcon(tr, at, 0))).toEqual(["a", "a", "b"]);
    expect(edited(holding(["a", "b"]), (tr, at) => removeIcon(tr, at, 0))).toEqual(["b"]);
    expect(edited(holding(["a"]), (tr, at) => removeIcon(tr, at, 0))).toEqual([]);
  });

  it("are counted, and nothing else is a row", () => {
    const document = holding(["a"]);
    const at = rowOf(document).position;
    expect(() => removeIcon(new Transform(document), at, 1)).toThrow(RangeError);
    expect(() => moveIcon(new Transform(document), at, 0, -1)).toThrow(RangeError);
    expect(() => duplicateIcon(new Transform(document), 3, 0)).toThrow(RangeError);
  });
});
