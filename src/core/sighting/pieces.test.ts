import { describe, expect, it } from "vitest";
import type { DrawnWord } from "../layout";
import { design, partOf, word } from "../../../tests/drawn-letters";
import type { DrawnDesign } from "./design";
import { isTelling, piecesOf } from "./pieces";

/** A text of words that stand at a place of a line, each so wide. */
function text(...given: readonly (readonly [left: number, width: number, line: number])[]): DrawnDesign {
  const words = given.map(([left, width, line], index): DrawnWord => ({
    text: `w${index}`,
    left,
    width,
    top: line * 16,
    height: 12,
  }));
  return { ...design, parts: [{ ...partOf(1, "text", "t", [word(1, 0, 0)]), words }] };
}

const wordsIn = (of: DrawnDesign): readonly (readonly number[])[] => piecesOf(of).map(({ words }) => words);

describe("pieces", () => {
  it("are as many words as are wide enough to tell, each within its line", () => {
    expect(wordsIn(text([0, 20, 0], [24, 20, 0], [50, 40, 0], [0, 60, 1]))).toEqual([[0, 1], [2], [3]]);
  });

  it("take what is left over at the end of a line along, and nothing of the next", () => {
    expect(wordsIn(text([0, 40, 0], [44, 6, 0], [0, 8, 1]))).toEqual([[0, 1], [2]]);
  });

  it("that read to the left are the same", () => {
    expect(wordsIn(text([90, 20, 0], [60, 20, 0], [10, 40, 0]))).toEqual([[0, 1], [2]]);
  });

  it("too small to tell are known, of words and of pictures", () => {
    const [bar] = piecesOf(text([0, 3, 0]));
    expect(bar && isTelling(bar)).toBe(false);
    const dot = { ...partOf(1, "picture", "dot", [word(1, 0, 0)]), width: 8, height: 8 };
    expect(piecesOf({ ...design, parts: [dot] }).map(isTelling)).toEqual([false]);
    expect(piecesOf({ ...design, parts: [{ ...dot, width: 16, height: 16 }] }).map(isTelling)).toEqual([
      true,
    ]);
  });

  it("of a border are its four sides, each with a little beyond it", () => {
    const box = {
      ...partOf(-1, "box", "border", [word(1, 0, 0)]),
      left: 10,
      top: 20,
      width: 100,
      height: 50,
    };
    expect(piecesOf({ ...design, parts: [box] }).map(({ kind, box: side }) => ({ kind, ...side }))).toEqual([
      { kind: "across", left: 10, top: 16, width: 100, height: 8 },
      { kind: "across", left: 10, top: 66, width: 100, height: 8 },
      { kind: "down", left: 6, top: 20, width: 8, height: 50 },
      { kind: "down", left: 106, top: 20, width: 8, height: 50 },
    ]);
  });
});
