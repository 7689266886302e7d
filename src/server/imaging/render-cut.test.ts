import { readFile } from "node:fs/promises";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { looksTheSame, plainRecipe, resizeRecipe, wholeCrop, type Recipe } from "@/core/pictures";
import { halves, pixelsOf, plain } from "./pictures-for-tests";
import { renderCut, renderPreview } from "./render-cut";
import { setJpegDensity, setPngDensity } from "./set-density";

const photo = (): Promise<Buffer> => readFile("demo/pictures/originals/anjali-rao.jpg");
const square = (side: number, display: number, patch: Partial<Recipe> = {}): Recipe => ({
  ...plainRecipe({ x: 0, y: 0, width: side, height: side }, { width: display, height: display }),
  ...patch,
});

describe("a cut", () => {
  it("of a logo 75 px high is 150 px high, at 96 dpi, with nothing of the camera's left in it", async () => {
    const logo = await readFile("demo/pictures/originals/harrow-fen-logo.png");
    const recipe = resizeRecipe(
      plainRecipe(wholeCrop({ width: 568, height: 200 }), { width: 1, height: 1 }),
      {
        height: 75,
      },
    );
    const cut = await renderCut(logo, recipe);
    const header = await sharp(cut.bytes).metadata();
    expect([cut.width, cut.height]).toEqual([426, 150]);
    expect([header.width, header.height, header.density]).toEqual([426, 150, 96]);
    expect(header.exif ?? header.icc ?? header.xmp).toBeUndefined();
    expect((await pixelsOf(cut.bytes)).at(0, 0)[3]).toBe(0);
  });

  it("in a circle has clear corners, the crop's own centre, and its ring in its colour beyond the gap", async () => {
    const original = await halves(400, 400, "#ff0000", "#0000ff");
    const cut = await renderCut(original, {
      ...square(200, 100),
      frame: { shape: "circle", ring: { width: 3, gap: 4, color: "#C08A2B" } },
      format: { kind: "png" },
    });
    const picture = await pixelsOf(cut.bytes);
    expect([picture.width, picture.height]).toEqual([200, 200]);
    for (const [x, y] of [
      [0, 0],
      [199, 0],
      [0, 199],
      [199, 199],
    ] as const)
      expect(picture.at(x, y)[3]).toBe(0);
    expect(picture.at(100, 100)).toEqual([255, 0, 0, 255]);
    expect(picture.at(100, 3)).toEqual([0xc0, 0x8a, 0x2b, 255]);
    expect(picture.at(100, 10)[3]).toBe(0);
    expect(picture.at(100, 18)).toEqual([255, 0, 0, 255]);
  });

  it("shows just its crop, moved off the middle", async () => {
    const cut = await renderCut(await halves(400, 200, "#ff0000", "#00ff00"), {
      ...plainRecipe({ x: 150, y: 0, width: 100, height: 100 }, { width: 50, height: 50 }),
      format: { kind: "png" },
    });
    const picture = await pixelsOf(cut.bytes);
    expect(picture.at(10, 50)).toEqual([255, 0, 0, 255]);
    expect(picture.at(90, 50)).toEqual([0, 255, 0, 255]);
  });

  it("is clear in its rounded corners only, and fades where it is soft", async () => {
    const original = await plain(80, 40, "#3F5B2E");
    const whole = plainRecipe({ x: 0, y: 0, width: 80, height: 40 }, { width: 40, height: 20 });
    const rounded = await pixelsOf(
      (await renderCut(original, { ...whole, frame: { shape: "rounded", radius: 6 } })).bytes,
    );
    expect(rounded.at(0, 0)[3]).toBe(0);
    expect(rounded.at(40, 0)).toEqual([0x3f, 0x5b, 0x2e, 255]);
    const soft = await pixelsOf(
      (
        await renderCut(original, {
          ...whole,
          frame: { shape: "soft-ellipse", softness: 0.5 },
          format: { kind: "png" },
        })
      ).bytes,
    );
    const along = [1, 8, 14, 40].map((x) => soft.at(x, 20)[3]!);
    expect(along).toEqual([...along].sort((one, other) => one - other));
    expect(along[1]).toBeGreaterThan(10);
    expect(along[1]).toBeLessThan(245);
    expect(along[3]).toBe(255);
  });

  it("has its background cleared, is tinted, stands on a plate, and is filled", async () => {
    const logo = await sharp({ create: { width: 100, height: 100, channels: 3, background: "#ffffff" } })
      .composite([{ input: await plain(40, 40, "#102030"), left: 30, top: 30 }])
      .png()
      .toBuffer();
    const recipe = square(100, 50, {
      clear: { color: "#FFFFFF", tolerance: 5, softness: 10 },
      format: { kind: "png" },
    });
    const cleared = await pixelsOf((await renderCut(logo, recipe)).bytes);
    expect(cleared.at(5, 5)[3]).toBe(0);
    expect(cleared.at(50, 50)).toEqual([0x10, 0x20, 0x30, 255]);
    const tinted = await pixelsOf((await renderCut(logo, { ...recipe, tint: "#C08A2B" })).bytes);
    expect(tinted.at(50, 50)).toEqual([0xc0, 0x8a, 0x2b, 255]);
    const plated = await pixelsOf(
      (
        await renderCut(logo, {
          ...recipe,
          plate: { shape: "circle", color: "#F3EFE4", margin: 10, radius: 0, line: null },
        })
      ).bytes,
    );
    expect(plated.at(2, 2)[3]).toBe(0);
    expect(plated.at(50, 6)).toEqual([0xf3, 0xef, 0xe4, 255]);
    expect(plated.at(50, 50)).toEqual([0x10, 0x20, 0x30, 255]);
    const filled = await pixelsOf(
      (await renderCut(logo, { ...recipe, frame: { shape: "circle", ring: null }, fill: "#00FF00" })).bytes,
    );
    expect(filled.at(0, 0)).toEqual([0, 255, 0, 255]);
  });

  it("makes up no pixels unless it is insisted on", async () => {
    const original = await plain(60, 60, "#3F5B2E");
    const short = await renderCut(original, square(60, 96));
    expect([short.width, short.height]).toEqual([60, 60]);
    const insisted = await renderCut(original, square(60, 96, { enlarge: true }));
    expect([insisted.width, insisted.height]).toEqual([192, 192]);
  });

  it("of a vector is drawn at the size that it needs", async () => {
    const svg = Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="10" height="10"><rect width="5" height="10" fill="#f00"/></svg>',
    );
    const cut = await renderCut(svg, square(10, 50, { format: { kind: "png" } }));
    expect([cut.width, cut.height]).toEqual([100, 100]);
    const picture = await pixelsOf(cut.bytes);
    expect(picture.at(48, 50)).toEqual([255, 0, 0, 255]);
    expect(picture.at(52, 50)[3]).toBe(0);
  });

  it("of a photo is the lightest JPEG that looks the same, and the same recipe gives the same bytes", async () => {
    const recipe = plainRecipe({ x: 100, y: 0, width: 800, height: 600 }, { width: 120, height: 90 });
    const [one, other] = await Promise.all([
      renderCut(await photo(), recipe),
      renderCut(await photo(), recipe),
    ]);
    expect(await sharp(one.bytes).metadata()).toMatchObject({
      width: 240,
      height: 180,
      density: 96,
      format: "jpeg",
    });
    expect(one.hash).toBe(other.hash);
    expect(looksTheSame(one.difference!)).toBe(true);
    const heavy = await renderCut(await photo(), { ...recipe, format: { kind: "jpeg", quality: 95 } });
    expect(one.bytes.length).toBeLessThan(heavy.bytes.length / 2);
  });

  it("of a drawing is a palette where that is smaller, and a JPEG fills what is clear", async () => {
    const logo = await readFile("demo/pictures/originals/harrow-fen-logo.png");
    const recipe = plainRecipe(wholeCrop({ width: 568, height: 200 }), { width: 142, height: 50 });
    const [lightest, full] = await Promise.all([
      renderCut(logo, recipe),
      renderCut(logo, { ...recipe, format: { kind: "png" } }),
    ]);
    expect(lightest.format.kind).toBe("palette");
    expect(lightest.bytes.length).toBeLessThan(full.bytes.length);
    const jpeg = await pixelsOf(
      (await renderCut(logo, { ...recipe, format: { kind: "jpeg", quality: 90 } })).bytes,
    );
    expect(Math.min(...jpeg.at(0, 0))).toBeGreaterThan(250);
  });

  it("of a drawing keeps its flat colours exactly, so that it meets a cell of the same colour", async () => {
    const banner = await readFile("demo/pictures/originals/open-store-weekend.png");
    const cut = await renderCut(
      banner,
      plainRecipe(wholeCrop({ width: 1260, height: 240 }), { width: 420, height: 80 }),
    );
    expect(cut.format.kind).toBe("palette");
    const picture = await pixelsOf(cut.bytes);
    expect(picture.at(836, 156)).toEqual([0x3f, 0x5b, 0x2e, 255]);
    expect(picture.at(4, 4)).toEqual([0xf3, 0xef, 0xe4, 255]);
    // The red of a jar covers little of it, and is not given up for a lighter file.
    const [red, green] = picture.at(172, 90) as [number, number];
    expect(red - green).toBeGreaterThan(60);
  });

  it("has its colours in sRGB whatever profile and depth the original has", async () => {
    const wide = await sharp({ create: { width: 40, height: 40, channels: 3, background: "#336699" } })
      .withIccProfile("p3")
      .png()
      .toBuffer();
    const [red, green, blue] = (await pixelsOf((await renderCut(wide, square(40, 20))).bytes)).at(5, 5);
    for (const [value, expected] of [
      [red!, 0x33],
      [green!, 0x66],
      [blue!, 0x99],
    ] as const)
      expect(Math.abs(value - expected)).toBeLessThan(4);
    const deep = await sharp(await plain(40, 40, "#336699"))
      .toColorspace("rgb16")
      .png()
      .toBuffer();
    expect((await sharp(deep).metadata()).depth).toBe("ushort");
    const cut = await renderCut(deep, square(40, 20));
    expect((await sharp(cut.bytes).metadata()).depth).toBe("uchar");
    expect((await pixelsOf(cut.bytes)).at(5, 5)).toEqual([0x33, 0x66, 0x99, 255]);
  });
});

describe("a preview", () => {
  const recipe = plainRecipe({ x: 100, y: 0, width: 800, height: 600 }, { width: 60, height: 45 });

  it.each([
    { kind: "lightest" },
    { kind: "jpeg", quality: 45 },
    { kind: "palette", colors: 16 },
    { kind: "png" },
  ] as const)("as $kind is just what the cut is, with what was drawn and how far it is", async (format) => {
    const [preview, cut] = await Promise.all([
      renderPreview(await photo(), { ...recipe, format }),
      renderCut(await photo(), { ...recipe, format }),
    ]);
    expect(preview.hash).toBe(cut.hash);
    expect((await sharp(preview.drawn).metadata()).format).toBe("png");
    expect(looksTheSame(preview.difference)).toBe(format.kind === "lightest" || format.kind === "png");
  });
});

describe("writing density", () => {
  it("takes the place of the density that is there", async () => {
    const jpeg = await plain(8, 8, "#ff0000", "jpeg");
    const once = setJpegDensity(jpeg, 144);
    expect((await sharp(once).metadata()).density).toBe(144);
    expect(setJpegDensity(once, 96)).toHaveLength(once.length);
    const png = setPngDensity(await plain(8, 8, "#ff0000"), 144);
    expect((await sharp(png).metadata()).density).toBe(144);
    expect(setPngDensity(png, 96)).toHaveLength(png.length);
  });

  it("refuses bytes of another type", () => {
    expect(() => setPngDensity(Buffer.from("not a picture"), 96)).toThrow("These bytes are no PNG");
    expect(() => setJpegDensity(Buffer.from("not a picture"), 96)).toThrow("These bytes are no JPEG");
  });
});
