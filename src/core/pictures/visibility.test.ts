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
    const paper = "#FFFFFF";
    expect(visibilityOn(pictureColors(black, 10), "rgb(255, 255, 255)", paper)).toBe(1);
    expect(visibilityOn(pictureColors(black, 10), "#1A1C1B", paper)).toBe(0);
    const moss = pictureColors(pixels([63, 91, 46, 255, 75], [192, 138, 43, 255, 25]), 10);
    expect(visibilityOn(moss, paper, paper)).toBe(1);
    expect(visibilityOn(moss, "#3F5B2E", paper)).toBe(0.25);
    expect(visibilityOn(moss, "#3F5B2E", paper)).toBeGreaterThan(leastVisibility);
  });

  it("counts a plate as ground: what is drawn on it is seen on any", () => {
    const plated = pictureColors(pixels([0, 0, 0, 255, 20], [255, 255, 255, 255, 80]), 10);
    expect(visibilityOn(plated, "#FFFFFF", "#FFFFFF")).toBe(1);
    expect(visibilityOn(plated, "#000000", "#FFFFFF")).toBe(1);
  });

  it("counts a light line in a dark drawing as no ground", () => {
    const lined = pictureColors(pixels([0, 0, 0, 255, 90], [255, 255, 255, 255, 10]), 10);
    expect(visibilityOn(lined, "#000000", "#FFFFFF")).toBe(0);
  });

  it("is none where nothing stands out by light either", () => {
    const white = pictureColors(pixels([255, 255, 255, 255, 10]), 10);
    expect(visibilityOn(white, "#FFFFFF", "#FFFFFF")).toBe(0);
    expect(visibilityOn(white, "#000000", "#FFFFFF")).toBe(1);
  });

  it("asks nothing of a picture that is wholly clear", () => {
    expect(visibilityOn([], "#000000", "#FFFFFF")).toBe(1);
  });

  it("is worked out from what was kept, and from nothing else", () => {
    expect(isPictureColors(JSON.parse(JSON.stringify(pictureColors(black, 10))))).toBe(true);
    for (const other of [null, {}, [{ color: "moss", share: 1 }], [{ color: "#000000" }], [null]])
      expect(isPictureColors(other)).toBe(false);
  });
});
