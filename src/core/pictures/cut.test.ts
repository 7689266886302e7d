import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  budgets,
  carryCrop,
  changeRecipe,
  clampCrop,
  cropToAspect,
  cutGeometry,
  displaySize,
  firstDisplaySize,
  largestCrop,
  leavesTransparent,
  moveCrop,
  pixelsNeeded,
  plainRecipe,
  renditionScale,
  renditionSize,
  resizeRecipe,
  sizeCrop,
  pictureUse,
  wholeCrop,
  type Recipe,
} from "./index";

const recipeOf = (patch: Partial<Recipe> = {}): Recipe => ({
  ...plainRecipe({ x: 0, y: 0, width: 300, height: 150 }, { width: 100, height: 50 }),
  ...patch,
});

describe("display sizes", () => {
  it("have exactly the asked side, and the other in proportion", () => {
    expect(displaySize({ width: 568, height: 200 }, { height: 75 })).toEqual({ width: 213, height: 75 });
    expect(displaySize({ width: 1200, height: 900 }, { width: 96 })).toEqual({ width: 96, height: 72 });
    expect(displaySize({ width: 4000, height: 2 }, { width: 40 })).toEqual({ width: 40, height: 1 });
    expect(displaySize({ width: 10, height: 4000 }, { width: 40 })).toEqual({ width: 3, height: 1200 });
    expect(displaySize({ width: 4000, height: 10 }, { height: 40 })).toEqual({ width: 1200, height: 3 });
  });

  it.each([0, -1, 1.5, 1201, NaN])("refuse a side of %d px", (side) => {
    expect(() => displaySize({ width: 10, height: 10 }, { width: side })).toThrow(RangeError);
  });

  it("first take the picture's own at 2x, but no wider than the cell", () => {
    expect(firstDisplaySize({ width: 200, height: 100 }, 300)).toEqual({ width: 100, height: 50 });
    expect(firstDisplaySize({ width: 1200, height: 900 }, 98.5)).toEqual({ width: 98, height: 74 });
    expect(firstDisplaySize({ width: 1, height: 1 }, 300)).toEqual({ width: 1, height: 1 });
  });
});

describe("a recipe", () => {
  it("of a logo 75 px high at 2x renders 150 px", () => {
    const logo = resizeRecipe(plainRecipe(wholeCrop({ width: 568, height: 200 }), { width: 10, height: 4 }), {
      height: 75,
    });
    expect(logo).toMatchObject({ width: 213, height: 75 });
    expect(renditionSize(logo)).toEqual({ width: 426, height: 150 });
    expect(renditionSize({ ...logo, density: 1 })).toEqual({ width: 213, height: 75 });
  });

  it("never makes up pixels unless it is insisted on, and says how many are missing", () => {
    const small = recipeOf({ width: 200, height: 100 });
    expect(renditionScale(small)).toBe(1.5);
    expect(renditionSize(small)).toEqual({ width: 300, height: 150 });
    expect(pixelsNeeded(small)).toEqual({ width: 400, height: 200 });
    expect(renditionSize({ ...small, enlarge: true })).toEqual({ width: 400, height: 200 });
    expect(renditionSize(small, true)).toEqual({ width: 400, height: 200 });
    expect(pixelsNeeded(small, true)).toBeNull();
    expect(pixelsNeeded(recipeOf({ width: 150, height: 75 }))).toBeNull();
    expect(pixelsNeeded(recipeOf({ width: 151, height: 76 }))).toEqual({ width: 302, height: 152 });
  });

  it("keeps its proportions when it is changed: a circle makes a square of the longer side", () => {
    const circled = changeRecipe(recipeOf(), { frame: { shape: "circle", ring: null } });
    expect([circled.width, circled.height]).toEqual([100, 100]);
    const cropped = changeRecipe(recipeOf(), { crop: { x: 0, y: 0, width: 100, height: 100 } });
    expect([cropped.width, cropped.height]).toEqual([100, 100]);
    const tall = changeRecipe(recipeOf(), { crop: { x: 0, y: 0, width: 50, height: 100 } });
    expect([tall.width, tall.height]).toEqual([50, 100]);
    expect(changeRecipe(recipeOf(), { tint: "#FF0000" })).toMatchObject({ width: 100, height: 50 });
  });

  it("leaves something clear in every frame but the rectangle, unless it is filled", () => {
    expect(leavesTransparent(recipeOf())).toBe(false);
    expect(leavesTransparent(recipeOf({ frame: { shape: "ellipse" } }))).toBe(true);
    expect(leavesTransparent(recipeOf({ frame: { shape: "ellipse" }, fill: "#FFFFFF" }))).toBe(false);
    expect(leavesTransparent(recipeOf({ clear: { color: "#FFFFFF", tolerance: 5, softness: 5 } }))).toBe(
      true,
    );
  });

  it("is weighed by what it is, told by its size, shape and original, or as it says", () => {
    expect(pictureUse(recipeOf({ width: 24, height: 24 }), "png")).toBe("icon");
    expect(pictureUse(recipeOf({ width: 420, height: 80 }), "png")).toBe("banner");
    expect(pictureUse(recipeOf(), "jpeg")).toBe("photo");
    expect(pictureUse(recipeOf(), "svg")).toBe("logo");
    expect(pictureUse(recipeOf({ frame: { shape: "circle", ring: null } }), "png")).toBe("photo");
    expect(pictureUse(recipeOf({ use: "banner" }), "png")).toBe("banner");
    expect(budgets).toEqual({ photo: 40960, logo: 20480, icon: 4096, banner: 61440, loop: 204800 });
  });
});

describe("a crop", () => {
  const original = { width: 100, height: 80 };

  it("is moved in before it is cut down", () => {
    expect(clampCrop({ x: 90, y: -5, width: 50, height: 50 }, original)).toEqual({
      x: 50,
      y: 0,
      width: 50,
      height: 50,
    });
    expect(clampCrop({ x: 0, y: 0, width: 500, height: 500 }, original)).toEqual(wholeCrop(original));
    expect(() => clampCrop({ x: 0, y: 0, width: 0, height: 5 }, original)).toThrow(
      "A crop is at least 1 × 1 px, not 0 × 5",
    );
  });

  it("of an aspect is as large as it can be, or as large as it was, around its centre", () => {
    expect(largestCrop(original, 1)).toEqual({ x: 10, y: 0, width: 80, height: 80 });
    expect(largestCrop(original, 3)).toEqual({ x: 0, y: 24, width: 100, height: 33 });
    expect(cropToAspect({ x: 20, y: 20, width: 40, height: 10 }, 1, original)).toEqual({
      x: 30,
      y: 15,
      width: 20,
      height: 20,
    });
  });

  it("follows a typed side, and takes the other with it when its aspect is held", () => {
    const crop = { x: 10, y: 10, width: 30, height: 20 };
    expect(sizeCrop(crop, { width: 60 }, null, original)).toEqual({ ...crop, width: 60 });
    expect(sizeCrop(crop, { width: 60 }, 1.5, original)).toEqual({ ...crop, width: 60, height: 40 });
    expect(sizeCrop(crop, { height: 40 }, 1.5, original)).toEqual({ ...crop, width: 60, height: 40 });
    expect(sizeCrop(crop, { height: 80 }, 3, original)).toEqual({ x: 0, y: 10, width: 100, height: 33 });
  });

  it("is carried to a replacement: the same part, without stretching it", () => {
    const crop = { x: 10, y: 20, width: 50, height: 40 };
    expect(carryCrop(crop, original, { width: 200, height: 160 })).toEqual({
      x: 20,
      y: 40,
      width: 100,
      height: 80,
    });
    const carried = carryCrop(crop, original, { width: 300, height: 80 });
    expect(carried.width / carried.height).toBeCloseTo(1.25, 1);
  });

  const length = fc.integer({ min: -500, max: 500 });
  const side = fc.integer({ min: 1, max: 500 });
  it("always lies inside its original, however it is made", () => {
    fc.assert(
      fc.property(
        length,
        length,
        side,
        side,
        fc.option(fc.double({ min: 0.05, max: 20, noNaN: true }), { nil: null }),
        (x, y, width, height, aspect) => {
          const crop = clampCrop({ x, y, width, height }, original);
          for (const made of [
            crop,
            moveCrop(crop, y, x, original),
            cropToAspect(crop, aspect, original),
            sizeCrop(crop, { width: Math.min(width, 100) }, aspect, original),
            largestCrop(original, aspect),
          ]) {
            expect(made.x).toBeGreaterThanOrEqual(0);
            expect(made.y).toBeGreaterThanOrEqual(0);
            expect(made.width).toBeGreaterThanOrEqual(1);
            expect(made.height).toBeGreaterThanOrEqual(1);
            expect(made.x + made.width).toBeLessThanOrEqual(original.width);
            expect(made.y + made.height).toBeLessThanOrEqual(original.height);
          }
        },
      ),
    );
  });
});

describe("the geometry of a cut", () => {
  const square = plainRecipe({ x: 0, y: 0, width: 400, height: 400 }, { width: 96, height: 96 });

  it("puts a ring at the edge and the photo inside ring and gap, in px of the file", () => {
    const { outline, ring, size } = cutGeometry({
      ...square,
      frame: { shape: "circle", ring: { width: 3, gap: 2, color: "#C08A2B" } },
    });
    expect(size).toEqual({ width: 192, height: 192 });
    expect(outline).toEqual({ kind: "ellipse", softness: 0, cx: 96, cy: 96, rx: 86, ry: 86 });
    expect(ring).toEqual({ cx: 96, cy: 96, radius: 93, stroke: 6, color: "#C08A2B" });
  });

  it("lays a picture into its plate with the margin, in its own proportions", () => {
    const { picture, plate } = cutGeometry({
      ...square,
      crop: { x: 0, y: 0, width: 400, height: 200 },
      plate: { shape: "circle", color: "#FFFFFF", margin: 8, radius: 0, line: null },
    });
    expect(picture).toEqual({ x: 16, y: 56, width: 160, height: 80 });
    expect(plate).toMatchObject({ kind: "ellipse", rx: 96, ry: 96, color: "#FFFFFF" });
  });

  it("fades a soft ellipse and rounds a corner no more than there is room", () => {
    expect(cutGeometry({ ...square, frame: { shape: "soft-ellipse", softness: 0.4 } }).outline).toMatchObject(
      {
        softness: 0.4,
        rx: 96,
      },
    );
    expect(cutGeometry({ ...square, frame: { shape: "rounded", radius: 500 } }).outline).toMatchObject({
      kind: "rectangle",
      radius: 96,
    });
  });

  it("always lies inside the cut", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 900 }),
        fc.integer({ min: 1, max: 900 }),
        fc.integer({ min: 1, max: 300 }),
        fc.integer({ min: 1, max: 300 }),
        fc.integer({ min: 0, max: 200 }),
        fc.constantFrom(1 as const, 2 as const, 3 as const),
        (cropWidth, cropHeight, width, height, margin, density) => {
          const { picture, size, scale } = cutGeometry({
            ...plainRecipe({ x: 0, y: 0, width: cropWidth, height: cropHeight }, { width, height }),
            density,
            plate: { shape: "rectangle", color: "#FFFFFF", margin, radius: 0, line: null },
          });
          expect(scale).toBeLessThanOrEqual(density);
          expect(picture.width).toBeGreaterThanOrEqual(1);
          expect(picture.x).toBeGreaterThanOrEqual(0);
          expect(picture.x + picture.width).toBeLessThanOrEqual(size.width + 1);
          expect(picture.y + picture.height).toBeLessThanOrEqual(size.height + 1);
        },
      ),
    );
  });
});
