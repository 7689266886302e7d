import { describe, expect, it } from "vitest";
import { lot } from "../../../tests/drawn-letters";
import { correlation, peaksOf, searched } from "./correlate";
import { plane } from "./plane.fixture";
import type { Plane } from "./plane";

describe("correlation", () => {
  const noise = lot(7);
  const seen = plane(40, 30, () => noise());
  const cut = (left: number, top: number, change: (value: number) => number): Plane =>
    plane(9, 7, (x, y) => change(seen.data[(top + y) * seen.width + left + x]!));

  it("is one where the template was taken from, at any contrast, and highest there", () => {
    const alike = correlation(
      searched(seen),
      cut(13, 11, (value) => 0.2 * value + 3),
    )!;
    const [peak] = peaksOf(alike, 1, 1);
    expect([peak?.x, peak?.y]).toEqual([13, 11]);
    expect(peak?.score).toBeCloseTo(1, 5);
  });

  it("is minus one for its negative", () => {
    const alike = correlation(
      searched(seen),
      cut(13, 11, (value) => -value),
    )!;
    expect(alike.data[11 * alike.width + 13]).toBeCloseTo(-1, 5);
  });

  it("has no answer for what is blank or larger than what it is looked for in", () => {
    expect(
      correlation(
        searched(seen),
        plane(5, 5, () => 1),
      ),
    ).toBeNull();
    expect(
      correlation(
        searched(seen),
        plane(41, 5, (x) => x),
      ),
    ).toBeNull();
  });

  it("gives peaks that are apart", () => {
    const hills = plane(20, 1, (x) => [0, 0, 5, 0, 4, 0, 0, 0, 0, 3][x] ?? 0);
    expect(peaksOf(hills, 5, 3).map(({ x }) => x)).toEqual([2, 9]);
  });
});
