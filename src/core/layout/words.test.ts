import { describe, expect, it } from "vitest";
import { around, grown, shifted } from "./box";
import { inLines, linesOf, type DrawnWord } from "./words";

const word = (text: string, left: number, top: number, height = 12): DrawnWord => ({
  ...{ text, left, top, height },
  width: 10 * text.length,
});

describe("words in lines", () => {
  it("are those whose middles are level, of whatever size", () => {
    expect(linesOf([word("Ada", 0, 4), word("Quill", 40, 0, 20), word("Curator", 0, 24)])).toEqual([
      "Ada Quill",
      "Curator",
    ]);
  });

  it("that stand half their height apart are in two", () => {
    expect(linesOf([word("a", 0, 0), word("b", 20, 5)])).toEqual(["a b"]);
    expect(linesOf([word("a", 0, 0), word("b", 20, 6)])).toEqual(["a", "b"]);
  });

  it("keep the order in which they are read, to the right or to the left", () => {
    const read = [word("first", 200, 0), word("second", 100, 0), word("third", 0, 0)];
    expect(inLines(read)).toEqual([read]);
    expect(linesOf([])).toEqual([]);
  });
});

describe("boxes", () => {
  it("have one around them", () => {
    expect(
      around([
        { left: 10, top: 5, width: 20, height: 10 },
        { left: -4, top: 8, width: 6, height: 40 },
      ]),
    ).toEqual({ left: -4, top: 5, width: 34, height: 43 });
  });

  it("grow and shrink around their middle, and are shifted as they are", () => {
    const box = { left: 10, top: 20, width: 30, height: 40 };
    expect(grown(box, 3)).toEqual({ left: 7, top: 17, width: 36, height: 46 });
    expect(grown(grown(box, 3), -3)).toEqual(box);
    expect(shifted(box, 2.5, -1)).toEqual({ left: 12.5, top: 19, width: 30, height: 40 });
  });
});
