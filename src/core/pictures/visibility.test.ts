import { describe, expect, it } from "vitest";
import { isPictureColors, leastVisibility, pictureColors, visibilityOn } from "./visibility";

/** Pixels of one colour each, as often as is said. */
const pixels = (
  ...runs: readonly (readonly [red: number, green: number, blue: number, alpha: number, count: number])[]
) =>
  new Uint8Array(
    runs.flatMap(([red, green, blue, alpha, count]) =>
      Array.from({ length: count }, () => [red, green, blue, alpha]).flat(),
    ),
  );

const black = pixels([0, 0, 0, 255, 40], [0, 0, 0, 0, 60]);

describe("the colours of a picture", () => {
  it("are counted where it is seen, by how opaque it is", () => {
    expect(pictureColors(pixels([255, 0, 0, 255, 3], [0, 0, 255, 85, 3], [0, 255, 0, 0, 9]), 15)).toEqual([
      { color: "#FF0000", share: 0.75, corner: false },
      { color: "#0000FF", share: 0.25, corner: false },
    ]);
    expect(pictureColors(black, 10)).toEqual([{ color: "#000000", share: 1, corner: false }]);
    expect(pictureColors(pixels([0, 0, 0, 0, 5]), 5)).toEqual([]);
  });

  it("count near ones as their mean", () => {
    expect(pictureColors(pixels([64, 64, 64, 255, 1], [66, 66, 66, 255, 1]), 2)).toEqual([
      { color: "#414141", share: 1, corner: true },
    ]);
  });
});

describe("visibility", () => {
  it("is the share of what is seen that stands out", () => {
    expect(visibilityOn(pictureColors(black, 10), "rgb(255, 255, 255)")).toBe(1);
    expect(visibilityOn(pictureColors(black, 10), "#1A1C1B")).toBe(0);
    const plate = pictureColors(pixels([63, 91, 46, 255, 75], [255, 255, 255, 255, 25]), 10);
    expect(visibilityOn(plate, "#FFFFFF")).toBe(0.75);
    expect(visibilityOn(plate, "#000000")).toBe(1);
    expect(visibilityOn(plate, "#3F5B2E")).toBe(0.25);
    expect(visibilityOn(plate, "#3F5B2E")).toBeGreaterThan(leastVisibility);
  });

  it("asks nothing of a picture that is wholly clear", () => {
    expect(visibilityOn([], "#000000")).toBe(1);
  });

  it("is worked out from what was kept, and from nothing else", () => {
    expect(isPictureColors(JSON.parse(JSON.stringify(pictureColors(black, 10))))).toBe(true);
    for (const other of [null, {}, [{ color: "moss", share: 1 }], [{ color: "#000000" }], [null]])
      expect(isPictureColors(other)).toBe(false);
  });
});
