import { describe, expect, it } from "vitest";
import { agreedPlace, agreement, type Pin } from "./place";

describe("a place", () => {
  const pin = (x: number, y: number, dx = 0, dy = 0): Pin => ({
    from: [x, y],
    to: [(x + dx) * 1.5 + 20, (y + dy) * 1.5 + 40],
    weight: 1,
  });
  const guess = { scale: 1.48, left: 22, top: 41 };

  it("is what most agree on, at the usual scale next to it, whatever moved", () => {
    const pins = [pin(0, 0), pin(200, 0), pin(0, 80), pin(200, 80), pin(90, 40, 12, 0)];
    const place = agreedPlace(pins, guess);
    expect(place.scale).toBe(1.5);
    expect(place.left).toBeCloseTo(20, 5);
    expect(place.top).toBeCloseTo(40, 5);
    expect(agreement(pins, place)).toBeCloseTo(0.8, 5);
  });

  it("keeps what stands highest where as much moved as stayed", () => {
    const pins = [pin(0, 0), pin(200, 10), pin(0, 60, 0, 15), pin(200, 70, 0, 15)];
    expect(agreedPlace(pins, { scale: 1.5, left: 20, top: 40 }).top).toBeCloseTo(40, 5);
  });
});
