import { describe, expect, it } from "vitest";
import { converter, differenceCiede2000 } from "culori/fn";
import fc from "fast-check";
import {
  channelsOf,
  colorDifference,
  contrast,
  distanceFrom,
  hexOf,
  lightnessOf,
  mirrored,
  mirrorLightness,
  parseColor,
  readHex,
  toHex,
} from "./index";

describe("mirroring lightness", () => {
  it.each([
    ["#000000", "#FFFFFF"],
    ["#FFFFFF", "#000000"],
    ["rgb(255,255,255)", "#000000"],
    ["inherit", null],
  ])("%s becomes %s", (css, mirrored) => expect(mirrorLightness(css)).toBe(mirrored));

  it("twice is what it was, for greys, where 8 bits can tell their mirrored neighbours apart", () => {
    for (let level = 0; level < 208; level += 3) {
      const grey = `#${level.toString(16).padStart(2, "0").repeat(3)}`.toUpperCase();
      const back = parseInt(mirrorLightness(mirrorLightness(grey)!)!.slice(1, 3), 16);
      expect(Math.abs(back - level)).toBeLessThanOrEqual(1);
    }
  });

  it("twice is what it was, for every colour, before it is rounded to 8 bits", () => {
    const channel = fc.integer({ min: 0, max: 255 });
    fc.assert(
      fc.property(channel, channel, channel, (red, green, blue) => {
        const color = converter("oklch")({ mode: "rgb", r: red / 255, g: green / 255, b: blue / 255 });
        const back = mirrored(mirrored(color));
        expect(differenceCiede2000()(back, color)).toBeLessThan(1);
      }),
      { numRuns: 400 },
    );
  });

  it("leaves what cannot be seen, and how far one sees through the rest", () => {
    expect(mirrorLightness("transparent")).toBeNull();
    expect(lightnessOf("rgba(0,0,0,0)")).toBeNull();
    expect(mirrorLightness("rgba(0,0,0,0.5)")).toBe("#FFFFFF80");
    expect(lightnessOf("#FFFFFF")).toBeCloseTo(1, 6);
  });

  it("keeps the hue: dark moss becomes lighter and stays greener than red or blue", () => {
    const [red, green, blue] = [1, 3, 5].map((at) =>
      parseInt(mirrorLightness("#3F5B2E")!.slice(at, at + 2), 16),
    );
    expect(green).toBeGreaterThan(red!);
    expect(red).toBeGreaterThan(blue!);
    expect(green).toBeGreaterThan(0x5b);
  });
});

describe("contrast", () => {
  it("is the ratio of WCAG, whichever colour comes first", () => {
    expect(contrast("#000000", "#FFFFFF")).toBeCloseTo(21, 5);
    expect(contrast("#FFFFFF", "#777777")).toBeCloseTo(4.48, 2);
    expect(contrast("#777777", "#FFFFFF")).toBe(contrast("#FFFFFF", "#777777"));
    expect(() => contrast("moss", "#FFFFFF")).toThrow("No colour: moss");
  });
});

describe("hex", () => {
  it("is channels, and back", () => {
    fc.assert(
      fc.property(fc.nat(255), fc.nat(255), fc.nat(255), (red, green, blue) => {
        expect(channelsOf(hexOf(red, green, blue))).toEqual([red, green, blue]);
      }),
    );
    expect(hexOf(0, 10, 255)).toBe("#000AFF");
    expect(() => channelsOf("red")).toThrow('A colour is six hex digits after #, not "red"');
  });

  it.each([
    ["3f5b2e", "#3F5B2E"],
    [" #abc ", "#AABBCC"],
    ["#3f5b2", null],
    ["moss", null],
  ])("typed as %j is %s", (typed, hex) => expect(readHex(typed)).toBe(hex));
});

describe("colours in CSS", () => {
  it.each([
    ["rgb(63 91 46)", "#3F5B2E"],
    ["rgba(63, 91, 46, 1)", "#3F5B2E"],
    ["hsl(0 100% 50%)", "#FF0000"],
    ["hwb(0 0% 0%)", "#FF0000"],
    ["oklch(0 0 0)", "#000000"],
    ["lab(100 0 0)", "#FFFFFF"],
    ["Teal", "#008080"],
    ["rgba(63,91,46,.5)", null],
    ["transparent", null],
    ["inherit", null],
    ["#12", null],
  ])("%s is %s", (css, hex) => expect(toHex(css)).toBe(hex));

  it("never make the reader throw", () => {
    fc.assert(
      fc.property(fc.string(), (css) => [parseColor(css), toHex(css), mirrorLightness(css)].length === 3),
    );
    for (const broken of ["#", "rgb(", "rgb()", "oklch(none none none / )", "color()", "hsl(NaN 1 1)"])
      expect(() => mirrorLightness(broken)).not.toThrow();
  });
});

describe("difference", () => {
  it("is nothing between a colour and itself, and the same both ways", () => {
    expect(colorDifference([63, 91, 46], [63, 91, 46])).toBe(0);
    expect(colorDifference([0, 0, 0], [255, 255, 255])).toBeCloseTo(100, 5);
    expect(distanceFrom("#FFFFFF")(255, 255, 255)).toBeCloseTo(0, 5);
    expect(distanceFrom("#FFFFFF")(0, 0, 0)).toBeCloseTo(100, 3);
    expect(() => distanceFrom("moss")).toThrow("No colour: moss");
  });
});
