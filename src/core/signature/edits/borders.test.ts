import { Transform } from "prosemirror-transform";
import { describe, expect, it } from "vitest";
import { blankSignature } from "../create";
import { cell } from "../kinds/cell-attributes";
import { noSides, sideNames, type Border, type Sides } from "../values";
import { tableMap } from "../table-map";
import { evenColumns, setColumnWidth } from "./columns";
import { commonBorder, setBorders, type BorderTarget } from "./borders";

const red: Border = { width: 1.5, style: "solid", color: "#A3262A" };

function positions({ doc }: Transform): number[] {
  return tableMap(doc.firstChild!).places.map(({ offset }) => offset + 1);
}

/** Which sides of each cell declare a line: "t", "r", "b", "l". */
const declared = (transform: Transform): string[] =>
  tableMap(transform.doc.firstChild!).places.map(({ node }) =>
    sideNames
      .filter((side) => (node.attrs.border as Sides<Border | null>)[side])
      .map((side) => side[0])
      .join(""),
  );

describe("the lines of a block of cells", () => {
  it.each([
    ["top", ["t", "t", "", ""]],
    ["left", ["l", "", "l", ""]],
    ["between columns", ["r", "", "r", ""]],
    ["between rows", ["b", "b", "", ""]],
    ["outer", ["tl", "tr", "bl", "rb"]],
    ["inner", ["rb", "b", "r", ""]],
    ["all", ["trbl", "trb", "rbl", "rb"]],
  ] as readonly (readonly [BorderTarget, string[]])[])(
    "%s: there is one line where two cells meet",
    (target, sides) => {
      const transform = new Transform(blankSignature(2, 2));
      setBorders(transform, positions(transform), target, red);
      expect(declared(transform)).toEqual(sides);
      expect(commonBorder(transform.doc, positions(transform), target)).toEqual(red);
      setBorders(transform, positions(transform), "all", null);
      expect(transform.doc.eq(blankSignature(2, 2))).toBe(true);
    },
  );

  it("no lines at all, then one between photo and text", () => {
    const transform = new Transform(blankSignature(1, 2));
    setBorders(transform, positions(transform), "all", { ...red, width: 3 });
    setBorders(transform, positions(transform), "all", null);
    setBorders(transform, positions(transform), "between columns", red);
    const [photo, words] = tableMap(transform.doc.firstChild!).places.map(({ node }) => cell.of(node).border);
    expect(photo).toEqual({ ...noSides(null), right: red });
    expect(words).toEqual(noSides(null));
  });

  it("that differ are mixed, and a single cell has none inside", () => {
    const transform = new Transform(blankSignature(1, 2));
    const [first, second] = positions(transform) as [number, number];
    setBorders(transform, [first], "outer", red);
    expect(commonBorder(transform.doc, [first, second], "outer")).toBe("mixed");
    expect(commonBorder(transform.doc, [first], "inner")).toBeNull();
    setBorders(transform, [second], "inner", red);
    expect(declared(transform)).toEqual(["trbl", ""]);
  });
});

describe("columns made even", () => {
  it("keep their sum to the px, and leave the others", () => {
    const transform = setColumnWidth(new Transform(blankSignature(2, 4)), 0, 0, 50);
    evenColumns(transform, 0, 1, 4);
    expect(tableMap(transform.doc.firstChild!).columnWidths).toEqual([50, 107, 107, 107]);
    evenColumns(transform, 0, 0, 2);
    expect(tableMap(transform.doc.firstChild!).columnWidths).toEqual([79, 78, 107, 107]);
  });
});
