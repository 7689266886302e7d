import fc from "fast-check";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { writeGif } from "./write-gif";

const size = { width: 6, height: 4 };
const area = size.width * size.height;
const colors = [
  [0, 0, 0, 0],
  [255, 0, 0, 255],
  [0, 255, 0, 255],
  [10, 20, 30, 255],
] as const;

/** Pictures one below the other, each pixel one of the colours. */
const stacked = (pictures: readonly (readonly number[])[]) => ({
  data: Uint8Array.from(pictures.flat().flatMap((color) => [...colors[color]!])),
  width: size.width,
  height: size.height * pictures.length,
});

async function framesOf(gif: Buffer): Promise<readonly number[][]> {
  const { data, info } = await sharp(gif, { animated: true })
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return Array.from({ length: info.height / size.height }, (_, frame) => [
    ...data.subarray(frame * area * 4, (frame + 1) * area * 4),
  ]);
}

describe("a GIF", () => {
  const picture = fc.array(fc.integer({ min: 0, max: 3 }), { minLength: area, maxLength: area });

  it("shows each of its frames just as it was given, clear parts and all", async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(picture, { minLength: 2, maxLength: 5 }), async (pictures) => {
        const order = pictures.map((_, index) => ({ picture: index, time: 100 }));
        const { bytes, frames } = writeGif(stacked(pictures), size, order, 0);
        expect(frames).toBe(pictures.length);
        const expected = pictures.map((own) =>
          own.flatMap((color) => (color === 0 ? [0, 0, 0, 0] : [...colors[color]!])),
        );
        const shown = (await framesOf(bytes)).map((frame) =>
          frame.map((value, index) => (frame[index - (index % 4) + 3] === 0 ? 0 : value)),
        );
        expect(shown).toEqual(expected);
      }),
      { numRuns: 60 },
    );
  });

  const one = Array.from({ length: area }, () => 1);
  const two = one.map((_, index) => (index === 9 ? 2 : 1));

  it("makes one of neighbours that show the same picture, and says how often it is repeated", async () => {
    const order = [0, 0, 1].map((index) => ({ picture: index, time: 70 }));
    for (const [repeats, loop] of [
      [0, 0],
      [3, 3],
    ] as const) {
      const { bytes, frames } = writeGif(stacked([one, two]), size, order, repeats);
      expect(frames).toBe(2);
      expect(await sharp(bytes).metadata()).toMatchObject({ delay: [140, 70], loop });
    }
    const once = writeGif(stacked([one, two]), size, order, 1);
    expect(once.bytes.includes("NETSCAPE")).toBe(false);
  });

  it("leaves out what does not change", () => {
    const wide = { width: 200, height: 100 };
    const still = Array.from({ length: 20_000 }, (_, index) => (index * 7919) % 3);
    const moved = still.map((color, index) => (index === 5050 ? 3 : color));
    const data = (pictures: readonly number[][]) => ({
      ...stacked(pictures),
      width: 200,
      height: 100 * pictures.length,
    });
    const alone = writeGif(data([still]), wide, [{ picture: 0, time: 100 }], 0).bytes.length;
    const both = [0, 1].map((index) => ({ picture: index, time: 100 }));
    expect(writeGif(data([still, moved]), wide, both, 0).bytes.length - alone).toBeLessThan(60);
  });

  it("has room for 255 colours beside the clear one", () => {
    const data = Uint8Array.from({ length: 4 * 300 }, (_, at) =>
      at % 4 === 3 ? 255 : at % 4 === 0 ? (at >> 2) & 255 : at >> 9,
    );
    expect(() =>
      writeGif({ data, width: 300, height: 1 }, { width: 300, height: 1 }, [{ picture: 0, time: 100 }], 0),
    ).toThrow("A GIF's palette has room for 255 colours beside the clear one");
  });
});
