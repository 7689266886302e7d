import { readdirSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { anyDocument } from "../../../tests/any-document";
import { inheritedNames } from "../../../tests/inherited-names";
import { base, opened, tamsin } from "../../../tests/opened-sources";
import { checkSource, lineAndColumn, openSource } from "./index";

/** What is said of which piece of the source. */
const troubles = (html: string): readonly (readonly [string, string])[] =>
  checkSource(html).map(({ from, to, says }) => [html.slice(from, to), says]);

describe("what is broken in a source", () => {
  it("is nothing in what Still Line compiles", () => {
    for (const file of readdirSync("demo/signatures"))
      expect(checkSource(opened(file.replace(".json", "")).text)).toEqual([]);
    fc.assert(
      fc.property(anyDocument, (document) => {
        expect(checkSource(openSource(document, { person: tamsin, base }).text)).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });

  it.each([
    ["<p>a", [["<p>", "<p> is not closed."]]],
    ["<p>a</b></p>", [["</b>", "</b> closes nothing that is open."]]],
    ["<table><tr><td>a</tr></table>", [["<td>", "<td> is not closed before </tr>."]]],
    ["<td>a</td>", [["<td>", "<td> stands in <tr> only."]]],
    ["<table>x<tr><td>a</td></tr></table>", [["x", "Text cannot stand in <table>, only in a cell."]]],
    ["<table><tr><p>a</p></tr></table>", [["<p>", "<p> cannot stand in <tr>, only in a cell."]]],
    ['<p style="color:#12345">a</p>', [["color:#12345", "“#12345” is no colour."]]],
    ['<p style="color:reed">a</p>', [["color:reed", "“reed” is no colour."]]],
    ['<p style="padding:3px 4">a</p>', [["padding:3px 4", "“4” has no unit: a length is “4px”."]]],
    ['<p style="width:12p">a</p>', [["width:12p", "“12p” is no length: “p” is no unit."]]],
    ['<p style="color">a</p>', [["color", "“color” is no declaration: it is “property:value”."]]],
    ['<p style="color:">a</p>', [["color:", "“color” has no value."]]],
    ['<img width="wide" src="a">', [['width="wide"', "“width” is a number of px, not “wide”."]]],
    [
      '<td bgcolor="#12"></td>',
      [
        ['<td bgcolor="#12">', "<td> stands in <tr> only."],
        ['bgcolor="#12"', "“#12” is no colour."],
      ],
    ],
  ])("is told in %s", (html, expected) => {
    expect(troubles(html)).toEqual(expected);
  });

  it("is a tag that ends nowhere, at its beginning", () => {
    expect(checkSource('<p>a</p>\n<a href="x>y</a>')).toEqual([
      { from: 9, to: 10, says: "A tag is begun here and never ended: a “>” or a quote is missing." },
    ]);
  });

  it.each(inheritedNames)("is found where something is called %s", (_name, html) => {
    const said = checkSource(html).map(({ says }) => says);
    expect(said.every((says) => /^[^\n]{4,200}$/.test(says) && !/function|native|object/.test(says))).toBe(
      true,
    );
  });

  it("is found in any text without a throw", () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.constantFrom("<", ">", "td", "/", '"', "=", "style", "color:", "#1", " ", "<!--", "&", "\n"),
        ),
        (pieces) => {
          const html = pieces.join("");
          for (const { from, to } of checkSource(html))
            expect(0 <= from && from <= to && to <= html.length).toBe(true);
        },
      ),
    );
  });

  it("has its line and its column", () => {
    expect(lineAndColumn("ab\ncd", 4)).toEqual({ line: 2, column: 2 });
    expect(lineAndColumn("", 0)).toEqual({ line: 1, column: 1 });
  });
});
