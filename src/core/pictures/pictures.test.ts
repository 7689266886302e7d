import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  clampCrop,
  displaySize,
  firstDisplaySize,
  hostedPath,
  needsTransparency,
  publicFileName,
  readHostedPath,
  renditionSize,
  sniffType,
  typeRefusal,
  wholeCrop,
} from "./index";

describe("display sizes", () => {
  it("has exactly the asked side, and the other in proportion", () => {
    expect(displaySize({ width: 568, height: 200 }, { height: 75 })).toEqual({ width: 213, height: 75 });
    expect(displaySize({ width: 1200, height: 900 }, { width: 96 })).toEqual({ width: 96, height: 72 });
    expect(displaySize({ width: 4000, height: 2 }, { width: 40 })).toEqual({ width: 40, height: 1 });
  });

  it.each([0, -1, 1.5, 1201, NaN])("refuses a side of %d px", (side) => {
    expect(() => displaySize({ width: 10, height: 10 }, { width: side })).toThrow(RangeError);
  });

  it("first takes the picture's own at 2x, but no wider than the cell", () => {
    expect(firstDisplaySize({ width: 200, height: 100 }, 300)).toEqual({ width: 100, height: 50 });
    expect(firstDisplaySize({ width: 1200, height: 900 }, 98.5)).toEqual({ width: 98, height: 74 });
    expect(firstDisplaySize({ width: 1, height: 1 }, 300)).toEqual({ width: 1, height: 1 });
  });
});

describe("a recipe", () => {
  const recipe = {
    crop: { x: 0, y: 0, width: 300, height: 150 },
    frame: { shape: "rectangle" },
    width: 100,
    height: 50,
    density: 2,
  } as const;

  it("renders display size times density", () => {
    expect(renditionSize(recipe)).toEqual({ width: 200, height: 100 });
    expect(renditionSize({ ...recipe, density: 3 })).toEqual({ width: 300, height: 150 });
  });

  it("needs transparency in every frame but the rectangle", () => {
    expect(needsTransparency({ shape: "rectangle" })).toBe(false);
    expect(needsTransparency({ shape: "circle", ring: null })).toBe(true);
    expect(needsTransparency({ shape: "rounded", radius: 4 })).toBe(true);
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
    expect(clampCrop({ x: 0, y: 0, width: 500, height: 500 }, original)).toEqual({
      x: 0,
      y: 0,
      width: 100,
      height: 80,
    });
    expect(wholeCrop(original)).toEqual({ x: 0, y: 0, width: 100, height: 80 });
    expect(() => clampCrop({ x: 0, y: 0, width: 0, height: 5 }, original)).toThrow(
      "A crop is at least 1 × 1 px, not 0 × 5",
    );
  });

  it("always lies inside its original", () => {
    const length = fc.integer({ min: -500, max: 500 });
    fc.assert(
      fc.property(
        length,
        length,
        fc.integer({ min: 1, max: 500 }),
        fc.integer({ min: 1, max: 500 }),
        (x, y, width, height) => {
          const crop = clampCrop({ x, y, width, height }, original);
          expect(crop.x).toBeGreaterThanOrEqual(0);
          expect(crop.y).toBeGreaterThanOrEqual(0);
          expect(crop.x + crop.width).toBeLessThanOrEqual(original.width);
          expect(crop.y + crop.height).toBeLessThanOrEqual(original.height);
        },
      ),
    );
  });
});

describe("names and addresses", () => {
  it.each([
    ["Zoë Ngata (final) 2.JPEG", "jpeg", "zoe-ngata-final-2.jpg"],
    ["../../etc/passwd", "png", "etc-passwd.png"],
    ["ليلى.png", "png", "picture.png"],
    ["", "png", "picture.png"],
    [`${"long ".repeat(40)}.png`, "png", `${"long-".repeat(12).slice(0, -1)}.png`],
  ] as const)("%j is served as a name that can be read", (name, type, expected) => {
    expect(publicFileName(name, type)).toBe(expected);
  });

  it("an address comes apart as it was put together", () => {
    const address = { hash: "0123456789abcdef0123", fileName: "logo.png" };
    expect(readHostedPath(hostedPath(address))).toEqual(address);
  });

  it.each([
    "/h/xyz/logo.png",
    "/h/0123456789abcdef0123/../x.png",
    "/h/0123456789abcdef0123/logo.svg",
    "https://a.example/h/",
  ])("%s is no hosted address", (path) => expect(readHostedPath(path)).toBeNull());
});

describe("the real type of a file", () => {
  const bytes = (...parts: (string | number[])[]): Uint8Array =>
    Uint8Array.from(
      parts.flatMap((part) => (typeof part === "string" ? [...part].map((c) => c.charCodeAt(0)) : part)),
    );

  it.each([
    ["png", bytes([0x89], "PNG\r\n", [0x1a, 0x0a], "rest")],
    ["jpeg", bytes([0xff, 0xd8, 0xff, 0xe0])],
    ["gif", bytes("GIF89a")],
    ["webp", bytes("RIFF", [0, 0, 0, 0], "WEBP")],
    ["avif", bytes([0, 0, 0, 0x20], "ftypavif")],
    ["heic", bytes([0, 0, 0, 0x20], "ftypheic")],
    ["pdf", bytes("%PDF-1.7")],
    ["zip", bytes("PK", [3, 4])],
    ["html", bytes("\n <!DOCTYPE html><html>")],
    ["svg", bytes('<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg">')],
    ["unknown", bytes("hello")],
    ["unknown", bytes()],
  ] as const)("%s is told by its first bytes", (type, start) => expect(sniffType(start)).toBe(type));

  it("that is not taken is refused in one sentence with the file's name", () => {
    expect(typeRefusal("png", "a.png")).toBeNull();
    expect(typeRefusal("gif", "a.png")).toBe("“a.png” is a GIF: save it as PNG or JPEG first.");
    expect(typeRefusal("html", "a.png")).toMatch(/^“a\.png” is a web page and not a picture: /);
    expect(typeRefusal("unknown", "a.png")).toBe(
      "“a.png” is no picture that can be read here: upload a PNG or JPEG.",
    );
  });
});
