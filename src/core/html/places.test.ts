import { describe, expect, it } from "vitest";
import { elementsIn, parseMessage, placesIn } from "../html";

const placed = (html: string): readonly string[] => {
  const { body } = parseMessage(html);
  const places = placesIn(body);
  return elementsIn(body).map((element) => `${element.tagName}: ${places.get(element)}`);
};

describe("places", () => {
  it("count rows and cells, name nested tables, and count others where there are several", () => {
    expect(
      placed(
        "<table><tr><td><img></td><td><p>a</p><p><a>b</a></p><table><tr><td><span>c</span></td></tr></table></td></tr></table><i>d</i>",
      ),
    ).toEqual([
      "table: message",
      "tbody: message",
      "tr: row 1",
      "td: row 1, cell 1",
      "img: row 1, cell 1, picture",
      "td: row 1, cell 2",
      "p: row 1, cell 2, paragraph 1",
      "p: row 1, cell 2, paragraph 2",
      "a: row 1, cell 2, paragraph 2, link",
      "table: row 1, cell 2",
      "tbody: row 1, cell 2",
      "tr: row 1, cell 2, table, row 1",
      "td: row 1, cell 2, table, row 1, cell 1",
      "span: row 1, cell 2, table, row 1, cell 1",
      "i: message",
    ]);
  });

  it("are found for many siblings, and at any depth", () => {
    const { body } = parseMessage("<p>a</p>".repeat(20_000));
    expect(placesIn(body).get(elementsIn(body).at(-1)!)).toBe("paragraph 20000");
    const deep = parseMessage("<div>".repeat(5_000)).body;
    expect(placesIn(deep).size).toBe(elementsIn(deep).length);
  });
});
