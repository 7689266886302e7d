import { describe, expect, it } from "vitest";
import { toHex } from "../color";
import { sizeToPx } from "./marks/size";
import { color, numberIn, optional, text } from "../values";
import { border, columnWidths, linkTarget, noSides, pictureSource, sides } from "./values";

const solid = { width: 1.5, style: "solid", color: "#C08A2B" };

describe("what an attribute may hold", () => {
  it.each([
    ["lengths on their grid", numberIn(0.5, 8, 0.5), [0.5, 1.5, 8], [0, 8.5, 0.7, NaN, Infinity, "1"]],
    ["ratios on a grid of twentieths", numberIn(1, 2, 0.05), [1, 1.05, 1.15, 2], [1.01, 0.95, 2.05]],
    [
      "colours of six hex digits",
      color,
      ["#3f5b2e", "#FFFFFF"],
      ["#fff", "red", "rgb(0,0,0)", "#3F5B2E80", null],
    ],
    ["short text without control characters", text(5), ["", "abcde", "ل"], ["abcdef", "a\u0000", 5]],
    [
      "addresses that run nothing",
      linkTarget,
      ["https://a.example", "mailto:a@b.example", "#top"],
      ["", "javascript:x", "DATA:text/html,x", "https://a b", "a\nb"],
    ],
    [
      "picture addresses",
      pictureSource,
      ["", "/h/1/a.png", "file:///a.png", "data:image/png;base64,A"],
      ['"onerror=', "javascript:x", "<"],
    ],
    [
      "borders",
      border,
      [solid, { ...solid, width: 8 }],
      [{ ...solid, width: 8.5 }, { ...solid, style: "double" }, { width: 1 }, null],
    ],
    ["widths of columns", columnWidths, [[1], [80, 2000]], [[], [0], [1.5], "80", null]],
    [
      "all four sides",
      sides(numberIn(0, 9, 1)),
      [noSides(0)],
      [{ top: 0 }, { ...noSides(0), middle: 0 }, noSides(10), [0, 0, 0, 0]],
    ],
    ["nothing, where that is allowed", optional(color), [null, "#000000"], [undefined, ""]],
  ])("%s", (_what, value, good, bad) => {
    for (const each of good) expect(value.check(each)).toBeNull();
    for (const each of bad)
      expect(value.check(each)).toMatch(/^(must be|has no|lacks|top|right|bottom|left|width|style|color) ?/);
  });

  it("is complained of in words that read on from its name", () => {
    expect(numberIn(6, 72, 0.5).check(5)).toBe("must be a number from 6 to 72 in steps of 0.5, not 5");
    expect(sides(optional(border)).check({ ...noSides(null), left: { ...solid, color: "red" } })).toBe(
      'left color must be a colour such as #3F5B2E, not "red"',
    );
    expect(text(10).check("x".repeat(200))).toMatch(/^must be text of at most 10 characters, not "x{56}…$/);
  });
});

describe("what is pasted", () => {
  it.each([
    ["rgb(63, 91, 46)", "#3F5B2E"],
    ["rgb(63 91 46)", "#3F5B2E"],
    ["hsl(0 100% 50%)", "#FF0000"],
    ["rebeccapurple", "#663399"],
    ["#abc", "#AABBCC"],
    ["rgba(0,0,0,0.5)", null],
    ["inherit", null],
  ])("as the colour %s is %s", (css, hex) => expect(toHex(css)).toBe(hex));

  it.each([
    ["13px", 13],
    ["10pt", 13.33],
    ["13.333px", 13.33],
    ["2em", null],
    ["400px", null],
    ["large", null],
  ])("as the size %s is %s px", (css, size) => expect(sizeToPx(css)).toBe(size));
});
