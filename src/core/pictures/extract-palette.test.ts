import { describe, expect, it } from "vitest";
import { extractPalette } from "./extract-palette";

/** Pixels of some colours, each so many times: `[red, green, blue, alpha, times]`. */
const pixels = (...runs: [number, number, number, number, number][]): Uint8ClampedArray =>
  new Uint8ClampedArray(
    runs.flatMap(([red, green, blue, alpha, times]) =>
      Array.from({ length: times }, () => [red, green, blue, alpha]).flat(),
    ),
  );

describe("the colours of a picture", () => {
  it("are its flat colours, the most frequent first, exactly", () => {
    expect(extractPalette(pixels([63, 91, 46, 255, 300], [243, 239, 228, 255, 500]), 6)).toEqual([
      "#F3EFE4",
      "#3F5B2E",
    ]);
  });

  it("are at most as many as asked for, and none that looks like another", () => {
    const picture = pixels(
      [200, 0, 0, 255, 30],
      [209, 2, 2, 255, 20],
      [0, 0, 200, 255, 10],
      [0, 160, 0, 255, 5],
    );
    expect(extractPalette(picture, 2)).toEqual(["#C80000", "#0000C8"]);
  });

  it("are not those of what is transparent, or of the edges between colours", () => {
    expect(
      extractPalette(pixels([255, 0, 0, 0, 900], [63, 91, 46, 255, 999], [128, 90, 20, 255, 1]), 6),
    ).toEqual(["#3F5B2E"]);
    expect(extractPalette(pixels([255, 0, 0, 0, 9]), 6)).toEqual([]);
  });
});
