import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { findBackground, frameTimes } from "./describe-picture";
import { animation, halves, pixelsOf, plain } from "./pictures-for-tests";
import { flatColors, settlePalette } from "./settle-palette";
import { viewPicture } from "./view-picture";

const pixels = async (bytes: Buffer) => {
  const { data, info } = await sharp(bytes).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
};

/** A picture of four flat colours and a clear one, as a palette. */
const palette = async (): Promise<Buffer> => {
  const colors = ["#3F5B2E", "#C08A2B", "#F3EFE4", "#B5532B"];
  const bars = await Promise.all(
    colors.map(async (color, index) => ({ input: await plain(20, 40, color), left: index * 20, top: 0 })),
  );
  return sharp({
    create: { width: 100, height: 40, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } },
  })
    .composite(bars)
    .png({ palette: true, colours: 16 })
    .toBuffer();
};

describe("settling a palette", () => {
  it("finds the flat colours of a picture, the most frequent first", async () => {
    const found = flatColors(await pixels(await halves(80, 40, "#ff0000", "#0000ff")));
    expect([...found].sort()).toEqual([
      [0, 0, 255],
      [255, 0, 0],
    ]);
    const noise = Uint8Array.from({ length: 4 * 4000 }, (_, at) => (at % 4 === 3 ? 255 : (at * 7919) % 256));
    expect(flatColors({ data: noise, width: 100, height: 40 }).length).toBeLessThan(100);
  });

  it("puts an entry that is nearly a flat colour to that colour, and leaves others", async () => {
    const settled = await pixelsOf(
      settlePalette(await palette(), [
        [0x3e, 0x5c, 0x2d],
        [0, 0, 255],
      ]),
    );
    expect(settled.at(5, 5)).toEqual([0x3e, 0x5c, 0x2d, 255]);
    expect(settled.at(25, 5)).toEqual([0xc0, 0x8a, 0x2b, 255]);
    expect(settled.at(90, 5)[3]).toBe(0);
  });

  it("leaves a PNG without a palette as it is", async () => {
    const full = await plain(10, 10, "#3F5B2E");
    expect(settlePalette(Buffer.from(full), [[0, 0, 0]])).toEqual(full);
  });
});

describe("what is to know of an original", () => {
  it("is its plain background, or that it has none", async () => {
    expect(await findBackground(await plain(500, 300, "#FAFAFA"))).toBe("#FAFAFA");
    expect(await findBackground(await halves(200, 200, "#ff0000", "#0000ff"))).toMatch(/^(#FF0000|#0000FF)$/);
    const clear = await sharp({
      create: { width: 30, height: 30, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } },
    })
      .png()
      .toBuffer();
    expect(await findBackground(clear)).toBeNull();
  });

  it("is how long its frames are shown", async () => {
    expect(await frameTimes(await animation(["#ff0000", "#00ff00"], { delay: 70 }))).toEqual([70, 70]);
    expect(await frameTimes(await plain(4, 4, "#ff0000"))).toEqual([]);
  });

  it("is drawn for a screen inside a box, each frame by itself, and never larger than it is", async () => {
    const moving = await animation(["#ff0000", "#00ff00"]);
    const second = await pixelsOf(await viewPicture(moving, { width: 400, height: 400, frame: 1 }));
    expect([second.width, second.height]).toEqual([40, 30]);
    expect(second.at(10, 10)[1]).toBeGreaterThan(240);
    const small = await pixelsOf(
      await viewPicture(await plain(400, 100, "#ff0000"), { width: 100, height: 100 }),
    );
    expect([small.width, small.height]).toEqual([100, 25]);
    const svg =
      '<svg xmlns="http://www.w3.org/2000/svg" width="10" height="5"><rect width="10" height="5"/></svg>';
    const drawn = await pixelsOf(await viewPicture(Buffer.from(svg), { width: 200, height: 200 }));
    expect([drawn.width, drawn.height]).toEqual([200, 100]);
  });
});
