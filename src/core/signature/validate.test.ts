import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { blankSignature } from "./create";
import { parseSignature, readSignature, SignatureError } from "./validate";

type Json = Record<string, unknown>;

const line = (...content: Json[]): Json => ({ type: "line", content });
const signature = (...content: Json[]): Json => ({
  type: "signature",
  content: [{ type: "table", content: [{ type: "row", content: [{ type: "cell", attrs: {}, content }] }] }],
});

function problems(json: unknown): string[] {
  const result = readSignature(json);
  return result.ok ? [] : result.problems.map(({ code, at, message }) => `${code} | ${at} | ${message}`);
}

describe("a document that is not valid", () => {
  it.each([
    [null, 'not-a-signature | signature | a signature document is an object whose type is "signature"'],
    [
      { type: "doc" },
      'not-a-signature | signature | a signature document is an object whose type is "signature"',
    ],
    [signature({ type: "video" }), 'unknown-kind | row 1, cell 1, node | there is no kind of node "video"'],
    [
      signature({ type: "spacer", attrs: { height: 0 } }),
      "bad-attribute | row 1, cell 1, spacer | height must be a number from 1 to 400 in steps of 1, not 0",
    ],
    [
      signature({ type: "divider", attrs: { color: "red" } }),
      'bad-attribute | row 1, cell 1, divider | color must be a colour such as #3F5B2E, not "red"',
    ],
    [
      signature({ type: "divider", attrs: { thickness: 0.7 } }),
      "bad-attribute | row 1, cell 1, divider | thickness must be a number from 0.5 to 8 in steps of 0.5, not 0.7",
    ],
    [
      signature({ type: "spacer", attrs: { depth: 3 } }),
      'unknown-attribute | row 1, cell 1, spacer | a spacer has no attribute "depth"',
    ],
    [
      signature({ type: "picture", attrs: { width: 10, height: 10 } }),
      "bad-attribute | row 1, cell 1, picture | source is missing",
    ],
    [
      signature(line({ type: "text", text: "a", marks: [{ type: "blink" }] })),
      'unknown-mark | row 1, cell 1, line, text | there is no mark "blink"',
    ],
    [
      signature(
        line({ type: "text", text: "a", marks: [{ type: "link", attrs: { href: "javascript:alert(1)" } }] }),
      ),
      'bad-attribute | row 1, cell 1, line, text | href must be an address that runs nothing, not "javascript:alert(1)"',
    ],
    [
      signature(line({ type: "text", text: "" })),
      "bad-attribute | row 1, cell 1, line, text | text must not be empty",
    ],
    [
      signature(line({ type: "spacer" })),
      "content-not-allowed | row 1, cell 1, line | a line cannot hold spacer",
    ],
    [
      signature({ type: "iconRow", content: [{ type: "text", text: "a" }] }),
      "content-not-allowed | row 1, cell 1, icon row | a icon row cannot hold text",
    ],
  ])("%j says where and what", (json, expected) => {
    expect(problems(json)).toContain(expected);
  });

  it("counts places among several", () => {
    const document = signature(
      line({ type: "text", text: "a" }),
      line({ type: "text", text: "b", marks: [{ type: "x" }] }),
    );
    expect(problems(document)).toEqual(['unknown-mark | row 1, cell 1, line 2, text | there is no mark "x"']);
  });

  it("may not nest a table in a nested table", () => {
    const table = (content: Json): Json => ({
      type: "table",
      content: [{ type: "row", content: [{ type: "cell", content: [content] }] }],
    });
    expect(problems(signature(table(line())))).toEqual([]);
    expect(problems(signature(table(table(line()))))).toEqual([
      "nested-too-deep | row 1, cell 1, table, row 1, cell 1, table | a cell can hold a table, but that table's cells cannot",
    ]);
  });

  it("must cover every place of its table exactly once", () => {
    const cell = (attrs: Json = {}): Json => ({ type: "cell", attrs, content: [line()] });
    const table = (...rows: Json[][]): Json => ({
      type: "signature",
      content: [{ type: "table", content: rows.map((content) => ({ type: "row", content })) }],
    });
    expect(problems(table([cell(), cell()], [cell()]))).toEqual([
      "table-shape | row 2, column 2 | no cell covers this place of the table (table is 2 × 2)",
    ]);
    expect(problems(table([cell({ rowspan: 2 })]))).toContain(
      "table-shape | row 1, column 1 | the cell's row span reaches past the last row (table is 1 × 1)",
    );
    expect(problems(table([cell({ colspan: 2, colwidth: [10] })]))).toEqual([
      "table-shape | row 1, column 1 | the cell covers 2 columns and gives 1 widths",
    ]);
    expect(problems(table([cell({ colspan: 2 })], [cell({ rowspan: 1 }), cell()]))).toEqual([]);
  });

  it("is thrown with its first place and how many more there are", () => {
    const bad = signature(
      { type: "spacer", attrs: { height: 0 } },
      { type: "spacer", attrs: { height: -1 } },
    );
    expect(() => parseSignature(bad)).toThrow(SignatureError);
    expect(() => parseSignature(bad)).toThrow(
      "row 1, cell 1, spacer 1: height must be a number from 1 to 400 in steps of 1, not 0 (and 1 more)",
    );
  });

  it("never makes the reader throw, whatever it is", () => {
    const kind = fc.constantFrom(
      "signature",
      "table",
      "row",
      "cell",
      "line",
      "text",
      "picture",
      "toString",
      "__proto__",
    );
    const { node } = fc.letrec((tie) => ({
      node: fc.record(
        {
          type: kind,
          text: fc.string(),
          attrs: fc.oneof(fc.dictionary(fc.string(), fc.jsonValue()), fc.jsonValue()),
          marks: fc.oneof(fc.array(fc.record({ type: fc.string() })), fc.jsonValue()),
          content: fc.oneof({ maxDepth: 5 }, fc.array(tie("node"), { maxLength: 3 }), fc.jsonValue()),
        },
        { requiredKeys: ["type"] },
      ),
    }));
    fc.assert(
      fc.property(node, (json) => {
        const result = readSignature({ ...(json as Json), type: "signature" });
        expect(result.ok || result.problems.length > 0).toBe(true);
      }),
      { numRuns: 400 },
    );
  });
});

describe("a valid document", () => {
  it("comes back from its own JSON, equal", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 1, max: 8 }), (rows, columns) => {
        const document = blankSignature(rows, columns);
        expect(parseSignature(document.toJSON()).eq(document)).toBe(true);
      }),
    );
  });

  it("is blank in 1 to 6 rows and 1 to 8 columns only", () => {
    expect(() => blankSignature(7, 1)).toThrow("A blank table has 1 to 6 rows and 1 to 8 columns, not 7 × 1");
    expect(() => blankSignature(1, 0)).toThrow(RangeError);
  });
});
