import { describe, expect, it } from "vitest";
import {
  bestOfEach,
  contentBox,
  glyphDrawing,
  glyphList,
  glyphSvg,
  glyphWeight,
  iconName,
  iconRecipe,
  iconStyles,
  inStyle,
  isGlyph,
  shownName,
  mayBeIcon,
} from "./index";

describe("the drawn glyphs", () => {
  it("are at least twenty, each as a line and solid, square, and of paths only", () => {
    expect(glyphList.length).toBeGreaterThanOrEqual(20);
    for (const { name } of glyphList)
      for (const weight of ["line", "solid"] as const) {
        const { viewBox, content } = glyphDrawing(name, weight);
        const [, , width, height] = viewBox.split(" ");
        expect(width).toBe(height);
        expect(content).toMatch(/^(<path d="[^"<>]+"\/>)+$/);
        expect(glyphSvg(name, weight)).toContain(`viewBox="${viewBox}"`);
      }
  });

  it("cover what signatures lead to", () => {
    for (const name of [
      ...["web", "mail", "phone", "mobile", "chat", "video-call", "map", "booking", "photos", "video"],
      ...[
        "short-posts",
        "professional-profile",
        "code",
        "audio",
        "news",
        "shop",
        "document",
        "donate",
        "award",
      ],
      "accessibility",
    ])
      expect(isGlyph(name)).toBe(true);
    expect(isGlyph("constructor")).toBe(false);
    expect(() => glyphSvg("nothing", "line")).toThrow(RangeError);
  });
});

describe("the file of an icon", () => {
  it.each([
    ["plotline-16.png", "plotline"],
    ["plotline_24px.png", "plotline"],
    ["plotline@2x.png", "plotline"],
    ["plotline-32x32.png", "plotline"],
    ["icon-plotline-large.svg", "plotline"],
    ["bench and bough.gif", "bench-and-bough"],
    ["24.png", "24"],
    ["Sowcast.SVG", "sowcast"],
  ])("%s is of %s", (file, name) => expect(iconName(file)).toBe(name));

  it("that is best is a drawing, or the one with the most pixels", () => {
    const file = (name: string, type: string, side: number) => ({ name, type, width: side, height: side });
    expect(
      bestOfEach([
        file("a-16.png", "png", 16),
        file("b.png", "png", 48),
        file("a-64.png", "png", 64),
        file("b.svg", "svg", 24),
        file("a-32.png", "png", 32),
      ]).map(({ name }) => name),
    ).toEqual(["a-64.png", "b.svg"]);
    expect(bestOfEach([])).toEqual([]);
    expect(shownName("bench-and-bough")).toBe("Bench and bough");
  });
});

describe("what is drawn in a picture", () => {
  const picture = (width: number, height: number, paint: (x: number, y: number) => readonly number[]) => ({
    width,
    height,
    data: Uint8Array.from(
      Array.from({ length: width * height }, (_, pixel) =>
        paint(pixel % width, Math.floor(pixel / width)),
      ).flat(),
    ),
  });
  const inside = (x: number, y: number): boolean => x >= 3 && x < 7 && y >= 1 && y < 4;

  it("is what is not clear, whatever haze is around it", () => {
    const box = { x: 3, y: 1, width: 4, height: 3 };
    expect(contentBox(picture(10, 8, (x, y) => (inside(x, y) ? [9, 9, 9, 255] : [0, 0, 0, 0])))).toEqual(box);
    expect(contentBox(picture(10, 8, (x, y) => (inside(x, y) ? [9, 9, 9, 255] : [9, 9, 9, 12])))).toEqual(
      box,
    );
    expect(
      contentBox(picture(10, 8, (x, y) => (inside(x, y) ? [9, 9, 9, 255] : [250, 251, 250, 255]))),
    ).toEqual(box);
  });

  it("is the whole where nothing is, or where there is no plain background", () => {
    const whole = { x: 0, y: 0, width: 5, height: 4 };
    expect(contentBox(picture(5, 4, () => [0, 0, 0, 0]))).toEqual(whole);
    expect(contentBox(picture(5, 4, () => [200, 200, 200, 255]))).toEqual(whole);
    expect(contentBox(picture(5, 4, (x, y) => [x * 50, y * 60, 0, 255]))).toEqual(whole);
  });
});

describe("a look in another style", () => {
  const plated = { style: "circle", color: "#F3EFE4", plate: "#3F5B2E" } as const;
  it("keeps its colours among plates, and takes the plate's where there is none behind it", () => {
    expect(inStyle(plated, "square")).toEqual({ ...plated, style: "square" });
    const bare = { style: "line", color: "#3F5B2E", plate: "#3F5B2E" } as const;
    expect(inStyle(plated, "line")).toEqual(bare);
    expect(inStyle(plated, "outline")).toEqual({ ...bare, style: "outline" });
    expect(inStyle(bare, "rounded")).toEqual({ style: "rounded", color: "#FFFFFF", plate: "#3F5B2E" });
  });

  it("leaves icons their own colours", () => {
    const own = { style: "circle", color: null, plate: "#FFFFFF" } as const;
    expect(inStyle(own, "solid")).toEqual({ ...own, style: "solid" });
  });
});

describe("the recipe of an icon", () => {
  const box = { x: 10, y: 4, width: 30, height: 20 };
  it.each(iconStyles)("in the style %s is a square with what is drawn in the middle", (style) => {
    const recipe = iconRecipe(box, { style, color: "#3F5B2E", plate: "#FFFFFF" }, 24);
    expect(recipe).toMatchObject({
      crop: box,
      width: 24,
      height: 24,
      density: 2,
      tint: "#3F5B2E",
      use: "icon",
    });
    expect(recipe.plate === null).toBe(style === "line" || style === "solid");
    expect(typeof recipe.plate?.line === "number").toBe(style === "outline");
    expect(glyphWeight({ style })).toBe(style === "solid" ? "solid" : "line");
  });
});

describe("a picture that may be an icon", () => {
  const mark = { width: 64, height: 64, type: "png", frames: 1 } as const;
  it.each([
    ["a small square", mark, true],
    ["a drawing of any size", { ...mark, type: "svg", width: 2000, height: 2000 }, true],
    ["a photo", { ...mark, type: "jpeg" }, false],
    ["an animation", { ...mark, frames: 2 }, false],
    ["a large picture", { ...mark, width: 513, height: 513 }, false],
    ["a logo, which is wide", { ...mark, width: 80 }, false],
  ] as const)("%s", (_what, picture, may) => expect(mayBeIcon(picture)).toBe(may));
});
