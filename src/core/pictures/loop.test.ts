import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  beginAt,
  changeSpeed,
  firstFrames,
  firstLoop,
  frameTime,
  halveFrames,
  lighterLoops,
  loopProportions,
  moveFrame,
  originalsOfLoop,
  pictureCount,
  plainRecipe,
  removeFrame,
  resizeLoop,
  roundTime,
  setFrameTime,
  thereAndBack,
  type LoopSource,
} from "./index";

const hash = "0123456789abcdef0123";
const circle = {
  ...plainRecipe({ x: 0, y: 0, width: 400, height: 400 }, { width: 96, height: 96 }),
  frame: { shape: "circle", ring: { width: 3, gap: 0, color: "#111111" } },
} as const;
const text = {
  words: " Open  Store Weekend ",
  font: "Arial",
  size: 18,
  bold: true,
  color: "#000000",
  background: null,
};
const sources: readonly LoopSource[] = [
  { kind: "animation", original: hash, count: 4 },
  { kind: "pictures", originals: [hash, "ffffffffffffffffffff"] },
  {
    kind: "ring-cycle",
    original: hash,
    picture: circle,
    colors: ["#111111", "#222222", "#333333", "#444444"],
  },
  { kind: "text-reveal", text },
];
const frames = [0, 1, 2, 3].map((picture) => ({ picture, time: 100 * (picture + 1) }));

describe("a loop's first frames", () => {
  it("step a ring through its colours there and back, without a stop at either end", () => {
    expect(thereAndBack([1, 2, 3, 4])).toEqual([1, 2, 3, 4, 3, 2]);
    expect(thereAndBack([1])).toEqual([1]);
    expect(thereAndBack([1, 2])).toEqual([1, 2]);
    expect(firstFrames(sources[2]!).map(({ picture }) => picture)).toEqual([0, 1, 2, 3, 2, 1]);
  });

  it("of a text show all of it first, since some clients show nothing else", () => {
    expect(pictureCount(sources[3]!)).toBe(4);
    expect(firstFrames(sources[3]!)).toEqual([
      { picture: 3, time: 2500 },
      { picture: 1, time: 450 },
      { picture: 2, time: 450 },
    ]);
  });

  it("of an animation keep its times, as far as a GIF can hold them", () => {
    expect(firstFrames(sources[0]!, [0, 33, 100_000]).map(({ time }) => time)).toEqual([20, 30, 10_000, 100]);
    expect(frameTime(104.9)).toBe(100);
  });

  it("name pictures that their source has", () => {
    for (const source of sources)
      for (const { picture } of firstFrames(source)) expect(picture).toBeLessThan(pictureCount(source));
  });
});

describe("frames", () => {
  it("are moved, removed, timed, sped up and begun elsewhere; the last one stays", () => {
    const order = (list: typeof frames | readonly { picture: number }[]) =>
      list.map(({ picture }) => picture);
    expect(order(moveFrame(frames, 0, 2))).toEqual([1, 2, 0, 3]);
    expect(moveFrame(frames, 9, 0)).toBe(frames);
    expect(order(removeFrame(frames, 1))).toEqual([0, 2, 3]);
    expect(removeFrame([frames[0]!], 0)).toHaveLength(1);
    expect(order(beginAt(frames, 2))).toEqual([2, 3, 0, 1]);
    expect(beginAt(frames, 0)).toBe(frames);
    expect(setFrameTime(frames, 0, 255)[0]!.time).toBe(260);
    expect(roundTime(changeSpeed(frames, 2))).toBe(500);
  });

  it("are halved without changing how long a round lasts", () => {
    expect(halveFrames(frames)).toEqual([
      { picture: 0, time: 300 },
      { picture: 2, time: 700 },
    ]);
    expect(roundTime(halveFrames(frames))).toBe(roundTime(frames));
  });

  it("stay the same frames under any moves", () => {
    const index = fc.integer({ min: 0, max: 3 });
    fc.assert(
      fc.property(index, index, index, (from, to, first) => {
        const moved = beginAt(moveFrame(frames, from, to), first);
        expect([...moved].sort((one, other) => one.picture - other.picture)).toEqual(frames);
      }),
    );
  });
});

describe("a loop", () => {
  it("begins at a size of its source, and keeps its proportions", () => {
    expect(firstLoop(sources[0]!, { width: 640, height: 320 })).toMatchObject({ width: 300, height: 150 });
    expect(firstLoop(sources[2]!, { width: 1, height: 1 })).toMatchObject({ width: 96, height: 96 });
    expect(firstLoop(sources[3]!, { width: 180, height: 24 })).toMatchObject({ width: 180, height: 24 });
    expect(
      loopProportions({ source: sources[2]!, crop: null, width: 9, height: 5 }, { width: 9, height: 5 }),
    ).toEqual({
      width: 1,
      height: 1,
    });
  });

  it("is resized in proportion, and the photo inside a ring with it", () => {
    const animation = firstLoop(sources[0]!, { width: 640, height: 320 });
    expect(resizeLoop(animation, { width: 640, height: 320 }, { height: 50 })).toMatchObject({
      width: 100,
      height: 50,
    });
    const ring = resizeLoop(
      firstLoop(sources[2]!, { width: 1, height: 1 }),
      { width: 400, height: 300 },
      { width: 48 },
    );
    expect(ring).toMatchObject({ width: 48, height: 48, source: { picture: { width: 48, height: 48 } } });
  });

  it("names the originals that it is made of", () => {
    expect(sources.map((source) => originalsOfLoop(source).length)).toEqual([1, 2, 1, 0]);
  });

  it("has ways to be lighter, each by itself", () => {
    const loop = firstLoop(sources[0]!, { width: 640, height: 320 });
    expect(
      lighterLoops(loop).map(({ what, loop: lighter }) => [
        what,
        lighter.colors,
        lighter.frames.length,
        lighter.density,
      ]),
    ).toEqual([
      ["fewer-colors", 64, 4, 2],
      ["fewer-frames", 128, 2, 2],
      ["smaller", 128, 4, 1],
    ]);
    expect(lighterLoops({ ...loop, density: 1, colors: 4, frames: frames.slice(0, 2) })).toMatchObject([
      { what: "smaller", loop: { width: 225, height: 113 } },
    ]);
  });
});
