import { describe, expect, it } from "vitest";
import { unstillReason } from "../layout";
import type { Pixels } from "../pictures";
import { correlation, peaksOf, searched } from "./correlate";
import type { DrawnDesign, WordedPart } from "./design";
import { colorBehind, inkOf, reachOf } from "./ink";
import { agreedPlace, agreement, type Pin } from "./place";
import { isTelling, piecesOf } from "./pieces";
import { sampled, shrunk, sumsOf, type Plane } from "./plane";
import { driftOfSighting, sightingOf } from "./sighting";

type Color = readonly [red: number, green: number, blue: number];

const white: Color = [255, 255, 255];
const ink: Color = [63, 91, 46];

/** Whole numbers that look drawn by lot and are the same each time (mulberry32). */
function lot(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** Something that is drawn: a word as strokes of its own, a picture as patches of its own, a frame as its four sides. */
interface Drawing {
  readonly kind: "word" | "picture" | "frame";
  readonly seed: number;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  readonly color?: Color;
}

/** Drawings upon a ground, `scale` px of the picture for each of theirs. */
function draw(
  width: number,
  height: number,
  scale: number,
  ground: Color,
  drawings: readonly Drawing[],
): Pixels {
  const [across, down] = [Math.round(width * scale), Math.round(height * scale)];
  const data = new Uint8Array(across * down * 4).fill(255);
  const fill = (left: number, top: number, right: number, bottom: number, color: Color): void => {
    for (let y = Math.max(0, Math.round(top * scale)); y < Math.min(down, Math.round(bottom * scale)); y++)
      for (
        let x = Math.max(0, Math.round(left * scale));
        x < Math.min(across, Math.round(right * scale));
        x++
      )
        data.set(color, (y * across + x) * 4);
  };
  fill(0, 0, width, height, ground);
  for (const { kind, seed, left, top, width: wide, height: tall, color = ink } of drawings) {
    const next = lot(seed);
    if (kind === "frame") {
      fill(left - 0.5, top - 0.5, left + wide + 0.5, top + 0.5, color);
      fill(left - 0.5, top + tall - 0.5, left + wide + 0.5, top + tall + 0.5, color);
      fill(left - 0.5, top, left + 0.5, top + tall, color);
      fill(left + wide - 0.5, top, left + wide + 0.5, top + tall, color);
      continue;
    }
    const [grain, share] = kind === "word" ? [2, 0.45] : [6, 1];
    for (let y = 0; y < tall; y += grain)
      for (let x = 0; x < wide; x += grain) {
        const [drawn, shade] = [next() < share, next()];
        if (drawn)
          fill(
            left + x,
            top + y,
            Math.min(left + wide, left + x + grain),
            Math.min(top + tall, top + y + grain),
            kind === "word" ? color : [255 * shade, 180 * (1 - shade), 90 + 100 * shade],
          );
      }
  }
  return { data, width: across, height: down };
}

const word = (seed: number, left: number, top: number, width = 52): Drawing => ({
  ...{ kind: "word", seed, left, top, width, height: 12 },
});
const icon = (seed: number, left: number, top = 84): Drawing => ({
  ...{ kind: "picture", seed, left, top, width: 24, height: 24 },
});

/** Of a photo, three lines of two or three words, three icons and a frame around it all. */
const drawings = {
  photo: { kind: "picture", seed: 1, left: 10, top: 10, width: 90, height: 90 },
  frame: { kind: "frame", seed: 0, left: 3, top: 3, width: 294, height: 114 },
  first: [word(11, 120, 12), word(12, 178, 12, 70)],
  second: [word(21, 120, 36), word(22, 178, 36), word(23, 236, 36, 44)],
  third: [word(31, 120, 60, 80), word(32, 206, 60)],
  icons: [icon(41, 120), icon(42, 152), icon(43, 184)],
} satisfies Record<string, Drawing | readonly Drawing[]>;

const size = { width: 300, height: 120 };

const rgb = ([red, green, blue]: Color): string => `rgb(${red}, ${green}, ${blue})`;

function partOf(id: number, kind: WordedPart["kind"], text: string, drawn: readonly Drawing[]): WordedPart {
  const left = Math.min(...drawn.map((each) => each.left));
  const top = Math.min(...drawn.map((each) => each.top));
  return {
    ...{ id, kind, text, left, top },
    width: Math.max(...drawn.map((each) => each.left + each.width)) - left,
    height: Math.max(...drawn.map((each) => each.top + each.height)) - top,
    lines: kind === "text" ? [drawn.map(({ seed }) => `w${seed}`).join(" ")] : [],
    color: rgb(ink),
    behind: rgb(white),
    fontSize: 12,
    fontFamily: "Arial",
    source: "",
    words:
      kind === "text"
        ? drawn.map(({ seed, left: x, top: y, width, height }) => ({
            ...{ text: `w${seed}`, line: 0, left: x, top: y, width, height },
          }))
        : [],
  };
}

const { photo, frame, first, second, third, icons } = drawings;
const all = [photo, frame, ...first, ...second, ...third, ...icons];

const design: DrawnDesign = {
  pixels: draw(size.width, size.height, 2, white, all),
  density: 2,
  parts: [
    partOf(1, "picture", "Photo", [photo]),
    partOf(2, "text", "First", first),
    partOf(3, "text", "Second", second),
    partOf(4, "text", "Third", third),
    ...icons.map((each, index) => partOf(5 + index, "picture", `Icon ${index + 1}`, [each])),
    partOf(-9, "box", "border", [frame]),
  ],
};

const room = { left: 37, top: 70 };

/** A letter of a few lines in which something stands at a place. */
function letter(scale: number, what: readonly Drawing[], ground: Color = white): Pixels {
  const lines = Array.from({ length: 6 }, (_, line) =>
    Array.from({ length: 7 }, (_word, at) =>
      word(900 + line * 10 + at, 8 + at * 70, line < 3 ? 6 + line * 20 : 150 + line * 20),
    ),
  ).flat();
  const placed = what.map((each) => ({ ...each, left: each.left + room.left, top: each.top + room.top }));
  const color: Color = ground === white ? [40, 40, 40] : [220, 220, 220];
  return draw(520, 290, scale, ground, [...lines.map((each) => ({ ...each, color })), ...placed]);
}

/** What is not still, by name. */
function unstill(picture: Pixels): Readonly<Record<string, string>> {
  const sighting = sightingOf(design, picture);
  if (!sighting) throw new Error("The signature was not found");
  return Object.fromEntries(
    driftOfSighting(design.parts, sighting).flatMap((part) => {
      const reason = unstillReason(part);
      return reason === null
        ? []
        : [[part.text, reason === "moved" ? `moved ${Math.round(part.moved)}` : reason]];
    }),
  );
}

// Pictures are looked through at many scales, which takes a busy machine a while.
describe("a signature in a screenshot", { timeout: 120_000 }, () => {
  it.each([1, 1.25, 1.5, 2, 3])("is found where it is, and still, at %s times", (scale) => {
    const sighting = sightingOf(design, letter(scale, all));
    expect(sighting?.place.scale).toBeCloseTo(scale, 5);
    expect((sighting?.place.left ?? 0) / scale).toBeCloseTo(room.left, 0);
    expect((sighting?.place.top ?? 0) / scale).toBeCloseTo(room.top, 0);
    expect(sighting && driftOfSighting(design.parts, sighting).filter((part) => unstillReason(part))).toEqual(
      [],
    );
  });

  it("is found at a scale that no display has", () => {
    expect(sightingOf(design, letter(1.13, all))?.place.scale).toBeCloseTo(1.13, 2);
  });

  it("is found in the dark, with the colours that it has there", () => {
    const night: Color = [26, 28, 27];
    const pale: Color = [190, 214, 176];
    const dark = all.map((each) => (each.kind === "picture" ? each : { ...each, color: pale }));
    const sighting = sightingOf(design, letter(2, dark, night));
    expect(sighting?.ground).toBe("#1A1C1B");
    const line = sighting?.shown.find(({ id }) => id === 3);
    expect([line?.color, line?.behind]).toEqual(["#BED6B0", "#1A1C1B"]);
    expect(sighting && driftOfSighting(design.parts, sighting).filter((part) => unstillReason(part))).toEqual(
      [],
    );
  });

  it("is found where only it was cut out", () => {
    const cut = draw(size.width, size.height, 1, white, all);
    expect(sightingOf(design, cut)?.place).toMatchObject({ scale: 1 });
  });

  it("tells of an icon that is gone, and not of its neighbours", () => {
    expect(
      unstill(
        letter(
          1,
          all.filter((each) => each !== icons[1]),
        ),
      ),
    ).toEqual({ "Icon 2": "missing" });
  });

  it("tells how far something moved", () => {
    const lower = all.map((each) =>
      third.includes(each as (typeof third)[number]) ? { ...each, top: each.top + 9 } : each,
    );
    expect(unstill(letter(2, lower))).toEqual({ Third: "moved 9" });
  });

  it("tells of a line that is broken otherwise", () => {
    const broken = all.map((each) => (each === second[2] ? { ...each, left: 120, top: 47 } : each));
    expect(unstill(letter(1.5, broken))).toEqual({ Second: "wrapped" });
  });

  it("tells of a text that nobody can read", () => {
    const faint = all.map((each) =>
      first.includes(each as (typeof first)[number]) ? { ...each, color: [190, 190, 190] as Color } : each,
    );
    expect(unstill(letter(2, faint))).toEqual({ First: "unreadable" });
  });

  it("tells of a border that is gone", () => {
    expect(
      unstill(
        letter(
          1,
          all.filter((each) => each !== frame),
        ),
      ),
    ).toEqual({ border: "missing" });
  });

  it("is not found where it is not", () => {
    expect(sightingOf(design, letter(1, []))).toBeNull();
    expect(sightingOf(design, draw(200, 100, 1, white, []))).toBeNull();
  });

  it("says how far it is, and never back", () => {
    const told: number[] = [];
    sightingOf(design, letter(1, []), ({ done }) => told.push(done));
    expect(told.length).toBeGreaterThan(10);
    expect(told).toEqual([...told].sort((one, other) => one - other));
    expect(told.at(-1)).toBeLessThanOrEqual(1);
  });
});

const plane = (width: number, height: number, of: (x: number, y: number) => number): Plane => ({
  data: Float32Array.from({ length: width * height }, (_, at) => of(at % width, Math.floor(at / width))),
  width,
  height,
});

describe("a plane", () => {
  it("is sampled by area, of px that are covered in part by their share", () => {
    const stripes = sumsOf(plane(4, 2, (x) => x));
    expect([...sampled(stripes, { left: 0.5, top: 0, step: 1.5, width: 2, height: 1 }).data]).toEqual([
      expect.closeTo((0.5 * 0 + 1 * 1) / 1.5, 5),
      expect.closeTo((1 * 2 + 0.5 * 3) / 1.5, 5),
    ]);
  });

  it("goes on beyond its edges as its outermost px", () => {
    const stripes = sumsOf(plane(3, 3, (x, y) => x + 10 * y));
    expect([...sampled(stripes, { left: -2, top: -2, step: 1, width: 3, height: 1 }).data]).toEqual([
      0, 0, 0,
    ]);
    expect([...sampled(stripes, { left: 2, top: 2, step: 1, width: 3, height: 1 }).data]).toEqual([
      22, 22, 22,
    ]);
  });

  it("is enlarged where its px are larger than what is asked for", () => {
    const two = sumsOf(plane(2, 1, (x) => x));
    expect([...sampled(two, { left: 0, top: 0, step: 0.5, width: 4, height: 1 }).data]).toEqual([0, 0, 1, 1]);
  });

  it("is shrunk to means", () => {
    expect([
      ...shrunk(
        plane(4, 2, (x) => x),
        2,
      ).data,
    ]).toEqual([0.5, 2.5]);
  });
});

describe("correlation", () => {
  const noise = lot(7);
  const seen = plane(40, 30, () => noise());
  const cut = (left: number, top: number, change: (value: number) => number): Plane =>
    plane(9, 7, (x, y) => change(seen.data[(top + y) * seen.width + left + x]!));

  it("is one where the template was taken from, at any contrast, and highest there", () => {
    const alike = correlation(
      searched(seen),
      cut(13, 11, (value) => 0.2 * value + 3),
    )!;
    const [peak] = peaksOf(alike, 1, 1);
    expect([peak?.x, peak?.y]).toEqual([13, 11]);
    expect(peak?.score).toBeCloseTo(1, 5);
  });

  it("is minus one for its negative", () => {
    const alike = correlation(
      searched(seen),
      cut(13, 11, (value) => -value),
    )!;
    expect(alike.data[11 * alike.width + 13]).toBeCloseTo(-1, 5);
  });

  it("has no answer for what is blank or larger than what it is looked for in", () => {
    expect(
      correlation(
        searched(seen),
        plane(5, 5, () => 1),
      ),
    ).toBeNull();
    expect(
      correlation(
        searched(seen),
        plane(41, 5, (x) => x),
      ),
    ).toBeNull();
  });

  it("gives peaks that are apart", () => {
    const hills = plane(20, 1, (x) => [0, 0, 5, 0, 4, 0, 0, 0, 0, 3][x] ?? 0);
    expect(peaksOf(hills, 5, 3).map(({ x }) => x)).toEqual([2, 9]);
  });
});

describe("a place", () => {
  const pin = (x: number, y: number, dx = 0, dy = 0): Pin => ({
    from: [x, y],
    to: [(x + dx) * 1.5 + 20, (y + dy) * 1.5 + 40],
    weight: 1,
  });
  const guess = { scale: 1.48, left: 22, top: 41 };

  it("is what most agree on, at the usual scale next to it, whatever moved", () => {
    const pins = [pin(0, 0), pin(200, 0), pin(0, 80), pin(200, 80), pin(90, 40, 12, 0)];
    const place = agreedPlace(pins, guess);
    expect(place.scale).toBe(1.5);
    expect(place.left).toBeCloseTo(20, 5);
    expect(place.top).toBeCloseTo(40, 5);
    expect(agreement(pins, place)).toBeCloseTo(0.8, 5);
  });

  it("keeps what stands highest where as much moved as stayed", () => {
    const pins = [pin(0, 0), pin(200, 10), pin(0, 60, 0, 15), pin(200, 70, 0, 15)];
    expect(agreedPlace(pins, { scale: 1.5, left: 20, top: 40 }).top).toBeCloseTo(40, 5);
  });
});

describe("pieces", () => {
  const words = (...lefts: readonly (readonly [left: number, width: number, line: number])[]) =>
    lefts.map(([left, width, line], index) => ({
      text: `w${index}`,
      left,
      width,
      line,
      top: line * 16,
      height: 12,
    }));
  const text = (given: ReturnType<typeof words>): DrawnDesign => ({
    ...design,
    parts: [{ ...partOf(1, "text", "t", [word(1, 0, 0)]), words: given }],
  });

  it("are as many words as are wide enough to tell, each within its line", () => {
    const given = words([0, 20, 0], [24, 20, 0], [50, 40, 0], [0, 60, 1]);
    expect(piecesOf(text(given)).map((piece) => piece.words)).toEqual([[0, 1], [2], [3]]);
  });

  it("take what is left over at the end of a line along", () => {
    expect(piecesOf(text(words([0, 40, 0], [44, 6, 0]))).map((piece) => piece.words)).toEqual([[0, 1]]);
  });

  it("too small to tell are known", () => {
    const [bar] = piecesOf(text(words([0, 3, 0])));
    expect(bar && isTelling(bar)).toBe(false);
  });
});

describe("ink", () => {
  it("is what stands out most from the commonest colour", () => {
    const pixels = draw(40, 10, 1, [250, 250, 240], [word(3, 4, 2, 20)]);
    const found = inkOf(pixels, [{ left: 0, top: 0, width: 40, height: 10 }]);
    expect(found?.ground.map(Math.round)).toEqual([250, 250, 240]);
    expect(found?.ink.map(Math.round)).toEqual([...ink]);
  });

  it("of strokes that go half of the way is twice as far from the ground", () => {
    const thin = { ground: white, ink: [155, 155, 155] as Color };
    expect(reachOf(thin, [55, 55, 55])).toBeCloseTo(0.5, 5);
    expect(colorBehind(thin, 0.5)).toEqual([55, 55, 55]);
  });

  it("is unknown beyond the picture", () => {
    expect(inkOf(design.pixels, [{ left: -50, top: 0, width: 20, height: 20 }])).toBeNull();
  });
});
