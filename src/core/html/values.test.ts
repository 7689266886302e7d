import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { lengthOf, mapColors, paddingSide, parseDeclarations, readValue } from "../html";

describe("values", () => {
  it("are read as parts, in small letters, whatever their spacing", () => {
    const { parts, words, units, layers, negative } = readValue(
      "12PX Solid,url( a.png )CENTER/Cover , -4pt 1.5",
    );
    expect(parts.map(({ kind, name }) => `${kind} ${name}`.trim())).toEqual([
      "number px",
      "word solid",
      "comma",
      "address a.png",
      "word center",
      "slash",
      "word cover",
      "comma",
      "number pt",
      "number",
    ]);
    expect([...words]).toEqual(["solid", "center", "cover"]);
    expect([...units]).toEqual(["px", "pt"]);
    expect(layers).toEqual(["12PX Solid", "url( a.png )CENTER/Cover", "-4pt 1.5"]);
    expect(negative).toBe(true);
  });

  it("tell which colours they hold, and how each is written", () => {
    expect(
      readValue("1px solid RGB(1 2 3 / .5)").colors.map(({ notation, spaced, alpha }) => [
        notation,
        spaced,
        alpha,
      ]),
    ).toEqual([["rgb", true, true]]);
    const notations = readValue("rgb(1,2,3) rgba(1,2,3,.5) #123 #12345678 oklch(43% 0.06 190) red");
    expect(notations.colors.map(({ notation, spaced, alpha }) => [notation, spaced, alpha])).toEqual([
      ["rgb", false, false],
      ["rgba", false, true],
      ["#", false, false],
      ["#", false, true],
      ["oklch", true, false],
      ["", false, false],
    ]);
    expect(readValue("url(#a) 'red' solid").colors).toEqual([]);
  });

  it("find units and functions in functions", () => {
    const { units, functions } = readValue("calc(1REM + var(--a, 2px))");
    expect([...functions]).toEqual(["calc", "var"]);
    expect([...units]).toContain("rem");
  });

  it("change their colours and nothing else", () => {
    const upper = (color: string): string | null => (color === "solid" ? null : color.toUpperCase());
    expect(mapColors("1px  solid #abc", upper)).toBe("1px  solid #ABC");
    expect(mapColors("linear-gradient(red, rgb(1 2 3))", upper)).toBe("linear-gradient(RED, RGB(1 2 3))");
    expect(mapColors("12px", upper)).toBe("12px");
  });

  it("have lengths in px", () => {
    const px = (value: string): number | null => lengthOf(readValue(value).parts[0]!, 20);
    expect(px("9pt")).toBe(12);
    expect(px(".5IN")).toBe(48);
    expect(px("1.5em")).toBe(30);
    expect(px("2rem")).toBe(32);
    expect(px("0")).toBe(0);
    expect(px("thick")).toBe(5);
    expect(px("50%")).toBeNull();
    expect(px("7")).toBeNull();
  });

  it.each([
    ["padding:4px", 4, 4],
    ["padding:4px 8px", 4, 4],
    ["padding:1px 2px 3px", 1, 3],
    ["padding:1px 2px 3px 4px", 1, 3],
    ["padding:4px;padding-top:9px", 9, 4],
    ["padding-top:9px;padding:4px", 4, 4],
    ["padding-block:3px 5px", 3, 5],
    ["padding:1px;PADDING-BLOCK-END:6PX", 1, 6],
    ["padding:1em", 16, 16],
    ["padding:6pt", 8, 8],
    ["", null, null],
  ])("%j pads %s px above and %s px below", (style, top, bottom) => {
    const read = parseDeclarations(style);
    expect([paddingSide(read, "top"), paddingSide(read, "bottom")]).toEqual([top, bottom]);
  });

  it("never make the reader throw", () => {
    const piece = fc.constantFrom(
      "rgb(",
      ")",
      "url(",
      "'",
      '"',
      "/",
      ",",
      "1px",
      "--a",
      "#",
      "\\",
      "{",
      "!",
      " ",
    );
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.array(piece).map((pieces) => pieces.join("")),
        ),
        (text) => {
          expect(readValue(text).layers.length).toBeGreaterThan(0);
          expect(mapColors(text, () => null)).toBe(text);
        },
      ),
    );
  });
});
