import { describe, expect, it } from "vitest";
import { channelsOf } from "../color";
import {
  backgroundColor,
  clearBackground,
  countColors,
  hasTransparency,
  looksTheSame,
  measureDifference,
  quantize,
  tintPixels,
  type Pixels,
} from "./index";

/** A picture from a function of its place. */
function draw(width: number, height: number, color: (x: number, y: number) => readonly number[]): Pixels {
  const data = new Uint8Array(width * height * 4);
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) data.set(color(x, y), (y * width + x) * 4);
  return { data, width, height };
}

const at = ({ data, width }: Pixels, x: number, y: number): number[] => [
  ...data.subarray((y * width + x) * 4, (y * width + x) * 4 + 4),
];

describe("clearing a plain background", () => {
  const red = [200, 30, 40, 255];
  const white = [255, 255, 255, 255];
  /** White, half mixed, red: what an edge is made of. */
  const edge = draw(3, 1, (x) => [white, [228, 143, 148, 255], red][x]!);

  it("takes the colour away, keeps what is far from it byte for byte, and unmixes the edge", () => {
    const cleared = clearBackground(edge, { color: "#FFFFFF", tolerance: 4, softness: 90 });
    expect(at(cleared, 0, 0)[3]).toBe(0);
    expect(at(cleared, 2, 0)[3]).toBeGreaterThan(200);
    const [r, g, b, alpha] = at(cleared, 1, 0) as [number, number, number, number];
    expect(alpha).toBeGreaterThan(90);
    expect(alpha).toBeLessThan(200);
    // Laid over white again it is what it was.
    for (const [value, before] of [
      [r, 228],
      [g, 143],
      [b, 148],
    ] as const)
      expect(Math.abs((value * alpha + 255 * (255 - alpha)) / 255 - before)).toBeLessThan(3);
    expect(at(clearBackground(edge, { color: "#FFFFFF", tolerance: 4, softness: 10 }), 2, 0)).toEqual(red);
    expect(at(edge, 0, 0)).toEqual(white);
  });

  it("is offered the border's colour where the border has one", () => {
    const logo = draw(20, 10, (x, y) => (x > 5 && x < 14 && y > 2 && y < 7 ? red : [250, 251, 252, 255]));
    expect(backgroundColor(logo)).toBe("#FAFBFC");
    expect(backgroundColor(draw(20, 20, (x, y) => [x * 12, y * 12, 90, 255]))).toBeNull();
    expect(backgroundColor(draw(4, 4, () => [0, 0, 0, 0]))).toBeNull();
  });
});

describe("tinting", () => {
  it("changes the colour of everything and how opaque nothing is", () => {
    const tinted = tintPixels(
      draw(2, 1, (x) => [10, 20, 30, x === 0 ? 255 : 77]),
      "#3F5B2E",
    );
    expect([at(tinted, 0, 0), at(tinted, 1, 0)]).toEqual([
      [0x3f, 0x5b, 0x2e, 255],
      [0x3f, 0x5b, 0x2e, 77],
    ]);
    expect(() => channelsOf("red")).toThrow('A colour is six hex digits after #, not "red"');
  });
});

describe("measuring a difference", () => {
  const photo = draw(64, 64, (x, y) => [
    (Math.sin(x / 5) * 60 + 120) | 0,
    (Math.cos(y / 7) * 60 + 120) | 0,
    (x * 3) % 256,
    255,
  ]);
  const noisy = (amount: number): Pixels =>
    draw(64, 64, (x, y) => {
      const noise = ((x * 7919 + y * 104_729) % (2 * amount + 1)) - amount;
      return [
        ...at(photo, x, y)
          .slice(0, 3)
          .map((value) => Math.max(0, Math.min(255, value + noise))),
        255,
      ];
    });

  it("finds nothing between a picture and itself, and more the more it is spoilt", () => {
    expect(measureDifference(photo, photo)).toEqual({ similarity: 1, worst: 1, color: 0 });
    const [little, much] = [measureDifference(photo, noisy(2)), measureDifference(photo, noisy(40))];
    expect(little.similarity).toBeGreaterThan(much.similarity);
    expect(looksTheSame(little)).toBe(true);
    expect(looksTheSame(much)).toBe(false);
  });

  it("is not fooled by one spoilt corner, by another hue, or by what shows on black only", () => {
    const corner = draw(64, 64, (x, y) => (x > 50 && y > 50 ? [0, 0, 0, 255] : at(photo, x, y)));
    expect(looksTheSame(measureDifference(photo, corner))).toBe(false);
    const hue = draw(64, 64, (x, y) => {
      const [r, g, b] = at(photo, x, y) as [number, number, number];
      return [b, g, r, 255];
    });
    expect(measureDifference(photo, hue).color).toBeGreaterThan(3);
    const clear = draw(32, 32, () => [255, 255, 255, 0]);
    const white = draw(32, 32, () => [255, 255, 255, 255]);
    expect(looksTheSame(measureDifference(clear, white))).toBe(false);
  });

  it("sees bands in a smooth place, which have no structure to miss", () => {
    const smooth = draw(128, 64, (x) => [100 + x, 100 + x, 110 + x, 255]);
    const banded = draw(128, 64, (x) => at(smooth, Math.min(127, (x & ~31) + 16), 0));
    const difference = measureDifference(smooth, banded);
    expect(difference.color).toBeGreaterThan(4);
    expect(looksTheSame(difference)).toBe(false);
  });

  it("compares one size with the same only", () => {
    expect(() =>
      measureDifference(
        photo,
        draw(2, 2, () => [0, 0, 0, 255]),
      ),
    ).toThrow("Renditions of one size are compared, not 64 × 64 with 2 × 2");
  });
});

describe("fewer colours", () => {
  const many = draw(64, 64, (x, y) => [x * 4, y * 4, 128, x < 8 ? 0 : 255]);

  it.each([2, 16, 100, 256])("are at most %d, one of them clear", (colors) => {
    const settled = quantize(many, colors);
    expect(countColors(settled)).toBeLessThanOrEqual(colors);
    expect(countColors(settled)).toBeGreaterThan(colors * 0.8 - 1);
    expect(at(settled, 0, 0)).toEqual([0, 0, 0, 0]);
    expect(at(settled, 40, 40)[3]).toBe(255);
  });

  it("keep few flat colours exactly as they are", () => {
    const flat = draw(
      6,
      1,
      (x) =>
        [
          [1, 2, 3, 255],
          [254, 253, 252, 255],
          [9, 9, 9, 100],
        ][x % 3]!,
    );
    expect([...quantize(flat, 8).data]).toEqual(
      [...flat.data].map((value, index) => (index % 12 >= 8 ? 0 : value)),
    );
  });

  it("come nearer to the picture the more there are", () => {
    const opaque = draw(64, 64, (x, y) => [x * 4, y * 4, 128, 255]);
    const [few, more] = [4, 64].map(
      (colors) => measureDifference(opaque, quantize(opaque, colors)).similarity,
    );
    expect(more).toBeGreaterThan(few!);
    expect(hasTransparency(quantize(opaque, 4))).toBe(false);
    expect(() => quantize(opaque, 1)).toThrow("A palette has 2 to 256 colours, not 1");
  });
});
