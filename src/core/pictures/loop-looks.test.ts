import { describe, expect, it } from "vitest";
import {
  changeLooks,
  firstLoop,
  framesKept,
  isPicturesLoop,
  looksOf,
  loopPixelsNeeded,
  loopValue,
  resizeLoop,
  type PicturesLoop,
} from "./index";

const hashes = ["0123456789abcdef0123", "ffffffffffffffffffff"];
const sizes = [
  { width: 1200, height: 900 },
  { width: 300, height: 400 },
];

function begun(): PicturesLoop {
  const loop = firstLoop({ kind: "pictures", originals: hashes }, sizes[0]!);
  if (!isPicturesLoop(loop)) throw new Error("It is a loop of pictures");
  return { ...loop, width: 200, height: 150 };
}

describe("several pictures of a loop", () => {
  it("each cover the box until something is said of them", () => {
    expect(looksOf(begun(), sizes).map(({ crop }) => crop)).toEqual([
      { x: 0, y: 0, width: 1200, height: 900 },
      { x: 0, y: 88, width: 300, height: 225 },
    ]);
  });

  it("become circles together, in a square box, each cropped to it", () => {
    const ring = { width: 3, gap: 1, color: "#C08A2B" };
    const loop = changeLooks(begun(), sizes, { frame: { shape: "circle", ring } }, null);
    expect(loop).toMatchObject({ width: 150, height: 150 });
    for (const { frame, crop, width, height } of loop.source.looks ?? []) {
      expect(frame).toEqual({ shape: "circle", ring });
      expect(crop.width).toBe(crop.height);
      expect([width, height]).toEqual([150, 150]);
    }
    expect(loopValue.check(loop)).toBeNull();
  });

  it("are changed one by one where that is asked, and a crop is always that of one", () => {
    const plate = { shape: "rounded", color: "#FFFFFF", margin: 4, radius: 6, line: null } as const;
    const one = changeLooks(begun(), sizes, { plate }, 1);
    expect(one.source.looks?.map((look) => look.plate)).toEqual([null, plate]);
    const crop = { x: 100, y: 100, width: 400, height: 300 };
    const moved = changeLooks(one, sizes, { crop }, 0);
    expect(moved.source.looks?.map((look) => look.crop)).toEqual([crop, one.source.looks?.[1]?.crop]);
    expect(changeLooks(one, sizes, { crop }, null).source.looks).toEqual(one.source.looks);
  });

  it("keep their box in proportion when it is resized", () => {
    const loop = changeLooks(begun(), sizes, { frame: { shape: "circle", ring: null } }, null);
    const smaller = resizeLoop(loop, sizes[0]!, { width: 90 });
    expect(smaller).toMatchObject({ width: 90, height: 90 });
    expect(looksOf(smaller as PicturesLoop, sizes).map(({ width, height }) => [width, height])).toEqual([
      [90, 90],
      [90, 90],
    ]);
  });

  it("keep the crop that they were given, however often anything else is changed", () => {
    const crop = { x: 101, y: 57, width: 407, height: 305 };
    let loop = changeLooks(begun(), sizes, { crop }, 0);
    const given = loop.source.looks?.[0]?.crop;
    for (const color of ["#111111", "#222222", "#333333"])
      loop = changeLooks(loop, sizes, { tint: color }, null);
    expect(loop.source.looks?.[0]?.crop).toEqual(given);
    expect(given).toEqual(crop);
  });

  it("are refused with fewer recipes than pictures", () => {
    const loop = changeLooks(begun(), sizes, { tint: "#000000" }, null);
    const short = { ...loop, source: { ...loop.source, looks: loop.source.looks?.slice(1) } };
    expect(loopValue.check(short)).toMatch(/one recipe for each/);
  });

  it("lack pixels where one of them does", () => {
    const loop = changeLooks(begun(), sizes, {}, null);
    expect(loopPixelsNeeded(loop, sizes[0]!)).toEqual({ width: 400, height: 300 });
    expect(loopPixelsNeeded({ ...loop, density: 1 }, sizes[0]!)).toBeNull();
    expect(loopPixelsNeeded(begun(), sizes[1]!)).toEqual({ width: 400, height: 300 });
    expect(loopPixelsNeeded(begun(), null)).toBeNull();
  });
});

describe("frames whose source has other pictures now", () => {
  it("keep their times, and new pictures are shown as long as the last", () => {
    const before = [
      { picture: 0, time: 900 },
      { picture: 1, time: 300 },
    ];
    const anew = [0, 1, 2, 1].map((picture) => ({ picture, time: 600 }));
    expect(framesKept(anew, before).map(({ time }) => time)).toEqual([900, 300, 300, 300]);
    expect(framesKept(anew, [])).toEqual(anew);
  });
});
