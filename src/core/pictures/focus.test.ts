import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { findHead } from "./find-head";
import { carryFocus, clampFocus, cropOfFocus, nudgeFocus } from "./focus";

const original = { width: 1200, height: 900 };
const focus = { x: 420, y: 380, side: 520 };

describe("a focus", () => {
  it("is the crop of a square place, and the shorter side of any other", () => {
    expect(cropOfFocus(focus, original, { width: 96, height: 96 })).toEqual({
      ...{ x: 160, y: 120, width: 520, height: 520 },
    });
    expect(cropOfFocus(focus, original, { width: 80, height: 100 })).toEqual({
      ...{ x: 160, y: 55, width: 520, height: 650 },
    });
    expect(cropOfFocus(focus, original, { width: 200, height: 100 })).toEqual({
      ...{ x: 0, y: 120, width: 1040, height: 520 },
    });
  });

  it("makes a smaller crop where the photograph has not as much as its proportions ask", () => {
    const { width, height } = cropOfFocus(focus, original, { width: 300, height: 100 });
    expect([width, height]).toEqual([1200, 400]);
  });

  it("is moved in, and never larger than the photograph or closer than a tenth of it", () => {
    expect(clampFocus({ x: 0, y: 0, side: 200 }, original)).toEqual({ x: 100, y: 100, side: 200 });
    expect(clampFocus({ x: 600, y: 450, side: 5000 }, original)).toEqual({ x: 600, y: 450, side: 900 });
    expect(clampFocus({ x: 600, y: 450, side: 1 }, original)).toEqual({ x: 600, y: 450, side: 90 });
  });

  it("is nudged by shares of itself", () => {
    expect(nudgeFocus(focus, { across: 0.1 }, original)).toEqual({ ...focus, x: 472 });
    expect(nudgeFocus(focus, { down: -0.1 }, original)).toEqual({ ...focus, y: 328 });
    expect(nudgeFocus(focus, { zoom: 0.5 }, original)).toEqual({ ...focus, side: 260 });
  });

  it("shows the same part of another file of a photograph", () => {
    expect(carryFocus(focus, original, { width: 600, height: 450 })).toEqual({ x: 210, y: 190, side: 260 });
  });

  it("gives a crop inside any photograph, in the proportions of any place", () => {
    const side = fc.integer({ min: 20, max: 4000 });
    const place = fc.integer({ min: 16, max: 600 });
    fc.assert(
      fc.property(
        side,
        side,
        place,
        place,
        fc.nat(5000),
        fc.nat(5000),
        side,
        (w, h, width, height, x, y, s) => {
          const size = { width: w, height: h };
          const crop = cropOfFocus({ x, y, side: s }, size, { width, height });
          expect(crop.x).toBeGreaterThanOrEqual(0);
          expect(crop.y).toBeGreaterThanOrEqual(0);
          expect(crop.x + crop.width).toBeLessThanOrEqual(w);
          expect(crop.y + crop.height).toBeLessThanOrEqual(h);
          // Whole px are as close as a crop comes to proportions.
          expect(Math.abs(crop.width * height - crop.height * width)).toBeLessThanOrEqual(width + height);
        },
      ),
    );
  });
});

/** A picture of one colour with an ellipse of another in it. */
function withEllipse(
  [width, height]: readonly [number, number],
  ground: readonly number[],
  skin: readonly number[],
  [cx, cy, rx, ry]: readonly number[],
) {
  const data = new Uint8Array(width * height * 4).fill(255);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const inside = ((x - cx!) / rx!) ** 2 + ((y - cy!) / ry!) ** 2 <= 1;
      data.set(inside ? skin : ground, (y * width + x) * 4);
    }
  return { data, width, height };
}

const green = [120, 150, 120];
const size = [200, 150] as const;

describe("a head in a photograph", () => {
  it.each([
    ["light", [238, 200, 170]],
    ["brown", [169, 113, 63]],
    ["dark", [92, 58, 40]],
  ])("is found by the hue of %s skin, and shows with room around it", (_tone, skin) => {
    const found = findHead(withEllipse(size, green, skin, [60, 55, 20, 27]));
    expect(found).not.toBeNull();
    expect(Math.abs((found?.x ?? 0) - 60)).toBeLessThanOrEqual(1);
    expect(Math.abs((found?.y ?? 0) - 50)).toBeLessThanOrEqual(3);
    expect(found?.side).toBeGreaterThanOrEqual(100);
    expect(found?.side).toBeLessThanOrEqual(120);
  });

  it("stands out from wood of its own hue", () => {
    const found = findHead(withEllipse(size, [140, 100, 66], [238, 200, 170], [140, 60, 18, 24]));
    expect(Math.abs((found?.x ?? 0) - 140)).toBeLessThanOrEqual(1);
  });

  it("is not told where there is none: a field, a wall of one colour, a thin arm, a dot", () => {
    expect(findHead(withEllipse(size, green, green, [60, 55, 20, 27]))).toBeNull();
    expect(findHead(withEllipse(size, green, [238, 200, 170], [100, 75, 95, 6]))).toBeNull();
    expect(findHead(withEllipse(size, green, [238, 200, 170], [100, 75, 2, 3]))).toBeNull();
    expect(findHead({ data: new Uint8Array(0), width: 0, height: 0 })).toBeNull();
  });
});
