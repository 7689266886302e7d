import { describe, expect, it } from "vitest";
import { design, draw, ink, white, word, type Color } from "../../../tests/drawn-letters";
import { colorBehind, inkOf, reachOf } from "./ink";

describe("ink", () => {
  it("is what stands out most from the commonest colour", () => {
    const pixels = draw(40, 10, 1, [250, 250, 240], [word(3, 4, 2, 20)]);
    const found = inkOf(pixels, [{ left: 0, top: 0, width: 40, height: 10 }]);
    expect(found?.ground.map(Math.round)).toEqual([250, 250, 240]);
    expect(found?.ink.map(Math.round)).toEqual([...ink]);
  });

  it("of strokes that go half of the way is twice as far from the ground", () => {
    const thin = { ground: white, ink: [155, 155, 155] as Color };
    expect(reachOf(thin, [55, 55, 55])).toBeCloseTo(0.5, 5);
    expect(colorBehind(thin, 0.5)).toEqual([55, 55, 55]);
  });

  it("is unknown beyond the picture", () => {
    expect(inkOf(design.pixels, [{ left: -50, top: 0, width: 20, height: 20 }])).toBeNull();
  });
});
