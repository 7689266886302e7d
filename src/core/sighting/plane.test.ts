import { describe, expect, it } from "vitest";
import { plane } from "./plane.fixture";
import { lumaOf, sampled, shrunk, sumOf, sumsOf } from "./plane";

describe("a plane", () => {
  it("of a picture is its luma, upon white where that lets something through", () => {
    const data = Uint8Array.of(255, 255, 255, 255, 0, 0, 0, 255, 0, 0, 0, 0, 0, 0, 0, 51, 255, 0, 0, 255);
    const luma = lumaOf({ data, width: 5, height: 1 });
    expect([...luma.data]).toEqual([1, 0, 1, 0.8, 0.299].map((value) => expect.closeTo(value, 5) as number));
  });

  it("has the sum of any box from its four corners", () => {
    const sums = sumsOf(plane(4, 3, (x, y) => x + 10 * y));
    expect(sumOf(sums, 0, 0, 4, 3)).toBe(138);
    expect(sumOf(sums, 1, 1, 3, 2)).toBe(11 + 12);
    expect(sumOf(sums, 2, 1, 2, 3)).toBe(0);
    expect(
      sumOf(
        sumsOf(
          plane(2, 1, (x) => x + 2),
          (value) => value * value,
        ),
        0,
        0,
        2,
        1,
      ),
    ).toBe(13);
  });

  it("is sampled by area, of px that are covered in part by their share", () => {
    const stripes = sumsOf(plane(4, 2, (x) => x));
    expect([...sampled(stripes, { left: 0.5, top: 0, step: 1.5, width: 2, height: 1 }).data]).toEqual([
      expect.closeTo((0.5 * 0 + 1 * 1) / 1.5, 5),
      expect.closeTo((1 * 2 + 0.5 * 3) / 1.5, 5),
    ]);
  });

  it("goes on beyond its edges as its outermost px", () => {
    const stripes = sumsOf(plane(3, 3, (x, y) => x + 10 * y));
    expect([...sampled(stripes, { left: -2, top: -2, step: 1, width: 3, height: 1 }).data]).toEqual([
      0, 0, 0,
    ]);
    expect([...sampled(stripes, { left: 2, top: 2, step: 1, width: 3, height: 1 }).data]).toEqual([
      22, 22, 22,
    ]);
  });

  it("is enlarged where its px are larger than what is asked for", () => {
    const two = sumsOf(plane(2, 1, (x) => x));
    expect([...sampled(two, { left: 0, top: 0, step: 0.5, width: 4, height: 1 }).data]).toEqual([0, 0, 1, 1]);
  });

  it("is shrunk to means", () => {
    expect([
      ...shrunk(
        plane(4, 2, (x) => x),
        2,
      ).data,
    ]).toEqual([0.5, 2.5]);
  });
});
