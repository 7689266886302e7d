import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { firstLoop, plainRecipe, type LoopRecipe, type LoopSource } from "@/core/pictures";
import { animation, pixelsOf, plain } from "./pictures-for-tests";
import { renderLoop, renderLoopPicture } from "./render-loop";
import { layText } from "./reveal-text";

const hash = "0123456789abcdef0123";
const originals = (bytes: Uint8Array) => new Map([[hash, bytes]]);

const ring = (colors: readonly string[]): LoopSource => ({
  kind: "ring-cycle",
  original: hash,
  colors,
  picture: {
    ...plainRecipe({ x: 0, y: 0, width: 200, height: 200 }, { width: 50, height: 50 }),
    frame: { shape: "circle", ring: { width: 4, gap: 0, color: "#000000" } },
  },
});

const headerOf = async ({ bytes }: { bytes: Uint8Array }) => sharp(bytes).metadata();

describe("a loop", () => {
  it("of a ring steps through its colours there and back, and keeps its corners clear", async () => {
    const loop = firstLoop(ring(["#FF0000", "#00FF00", "#0000FF"]), { width: 1, height: 1 });
    const rendered = await renderLoop(loop, originals(await plain(200, 200, "#808080")));
    const header = await headerOf(rendered);
    expect(header).toMatchObject({ format: "gif", pages: 4, loop: 0, width: 100 });
    expect(header.delay).toEqual([600, 600, 600, 600]);
    const colors = await Promise.all(
      [0, 1, 2, 3].map(async (page) => (await pixelsOf(rendered.bytes, page)).at(50, 4)),
    );
    expect(colors).toEqual([
      [255, 0, 0, 255],
      [0, 255, 0, 255],
      [0, 0, 255, 255],
      [0, 255, 0, 255],
    ]);
    const first = await pixelsOf(rendered.bytes);
    expect(first.at(0, 0)[3]).toBe(0);
    expect(Math.abs(first.at(50, 50)[0]! - 128)).toBeLessThan(3);
  });

  it("of an animation is cropped and resized in all its frames, in the order and times that are asked for", async () => {
    const source = { kind: "animation", original: hash, count: 3 } as const;
    const bytes = await animation(["#ff0000", "#00ff00", "#0000ff"]);
    const loop: LoopRecipe = {
      ...firstLoop(source, { width: 40, height: 30 }, [120, 120, 120]),
      crop: { x: 10, y: 0, width: 20, height: 20 },
      width: 10,
      height: 10,
      frames: [
        { picture: 2, time: 500 },
        { picture: 0, time: 250 },
      ],
      repeats: 3,
    };
    const rendered = await renderLoop(loop, originals(bytes));
    expect(await headerOf(rendered)).toMatchObject({
      pages: 2,
      width: 20,
      height: 20,
      loop: 3,
      delay: [500, 250],
    });
    expect((await pixelsOf(rendered.bytes, 0)).at(5, 5)).toEqual([0, 0, 255, 255]);
    expect((await pixelsOf(rendered.bytes, 1)).at(5, 5)).toEqual([255, 0, 0, 255]);
  });

  it("of an animated WebP moves as well, and several pictures each cover the box", async () => {
    const webp = await animation(["#ff0000", "#00ff00"], { format: "webp" });
    const moving = await renderLoop(
      firstLoop({ kind: "animation", original: hash, count: 2 }, { width: 40, height: 30 }),
      originals(webp),
    );
    expect((await headerOf(moving)).pages).toBe(2);
    const other = "ffffffffffffffffffff";
    const both = await renderLoop(
      { ...firstLoop({ kind: "pictures", originals: [hash, other] }, { width: 40, height: 40 }), density: 1 },
      new Map([
        [hash, await plain(40, 40, "#ff0000")],
        [other, await plain(90, 30, "#00ff00")],
      ]),
    );
    expect(await headerOf(both)).toMatchObject({ pages: 2, width: 20, height: 20 });
    expect((await pixelsOf(both.bytes, 1)).at(1, 1)).toEqual([0, 255, 0, 255]);
  });

  it("has no more colours than are asked for, and weighs less with fewer", async () => {
    const loop = firstLoop(ring(["#FF0000", "#00FF00"]), { width: 1, height: 1 });
    const photo = await sharp("demo/pictures/originals/tamsin-okafor.jpg").resize(200, 200).png().toBuffer();
    const [many, few] = await Promise.all(
      [200, 12].map((colors) => renderLoop({ ...loop, colors }, originals(photo))),
    );
    expect(many!.colors).toBeLessThanOrEqual(200);
    expect(few!.colors).toBeLessThanOrEqual(12);
    expect(few!.bytes.length).toBeLessThan(many!.bytes.length * 0.7);
  });

  it("of words begins with all of them and shows them one by one", async () => {
    const text = {
      words: "Open Store",
      font: "Georgia",
      size: 20,
      bold: false,
      color: "#3F5B2E",
      background: null,
    };
    const natural = layText(text);
    const loop = firstLoop({ kind: "text-reveal", text }, natural);
    const rendered = await renderLoop(loop, new Map());
    expect((await headerOf(rendered)).pages).toBe(2);
    const inked = async (page: number, from: number, to: number): Promise<number> => {
      const picture = await pixelsOf(rendered.bytes, page);
      let count = 0;
      for (let x = Math.floor(from * picture.width); x < to * picture.width; x++)
        for (let y = 0; y < picture.height; y++) if (picture.at(x, y)[3]! > 0) count++;
      return count;
    };
    expect(await inked(0, 0.6, 1)).toBeGreaterThan(50);
    expect(await inked(1, 0, 0.4)).toBeGreaterThan(50);
    expect(await inked(1, 0.6, 1)).toBe(0);
    const alone = await pixelsOf(await renderLoopPicture(loop, new Map(), 2));
    expect([alone.width, alone.height]).toEqual([natural.width * 2, natural.height * 2]);
  });

  it("is refused, with the reason, when a font cannot write it or it is too large", async () => {
    const text = { words: "漢字", font: "Arial", size: 20, bold: false, color: "#000000", background: null };
    expect(() => layText(text)).toThrow("“Arial” has no letters for “漢字”: choose another font or word.");
    expect(() => layText({ ...text, words: " " })).toThrow("Write the words that are to appear.");
    expect(layText({ ...text, words: "שלום עולם" }).width).toBeGreaterThan(40);
    const loop = firstLoop(ring(["#FF0000"]), { width: 1, height: 1 });
    const frames = Array.from({ length: 301 }, () => ({ picture: 0, time: 100 }));
    await expect(renderLoop({ ...loop, frames }, new Map())).rejects.toThrow(
      "301 frames of 100 × 100 px are more than a loop can hold: remove some, or make it smaller.",
    );
  });
});
