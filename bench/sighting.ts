/**
 * How long it takes to find a design in screenshots of several sizes, where it is and where it is not, beside the time that one
 * transform of such a picture takes. All in one run, to be compared in it.
 */
import FFT from "fft.js";
import type { Pixels } from "@/core/pictures";
import { sightingOf, type DrawnDesign, type WordedPart } from "@/core/sighting";

/** Whole numbers that look drawn by lot and are the same each time (a linear congruential generator). */
function lot(seed: number): () => number {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}

interface Word {
  readonly seed: number;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** Words as strokes of their own, black upon white. */
function draw(width: number, height: number, scale: number, words: readonly Word[]): Pixels {
  const [across, down] = [width * scale, height * scale];
  const data = new Uint8Array(across * down * 4).fill(255);
  for (const word of words) {
    const next = lot(word.seed);
    for (let y = 0; y < word.height; y += 2)
      for (let x = 0; x < word.width; x += 2) {
        if (next() > 0.45) continue;
        for (let row = (word.top + y) * scale; row < (word.top + y + 2) * scale; row++)
          for (let at = (word.left + x) * scale; at < (word.left + x + 2) * scale; at++)
            data.set([20, 20, 20], (row * across + at) * 4);
      }
  }
  return { data, width: across, height: down };
}

/** Rows of words, `seed` telling which. */
const rows = (seed: number, left: number, top: number, count: number, each: number): readonly Word[] =>
  Array.from({ length: count * each }, (_, at) => ({
    seed: seed + at,
    left: left + (at % each) * 70,
    top: top + Math.floor(at / each) * 24,
    width: 58,
    height: 12,
  }));

const own = rows(1, 10, 10, 6, 5);
const parts = own.map((word, id): WordedPart => ({
  ...word,
  id,
  kind: "text",
  text: `w${word.seed}`,
  lines: [`w${word.seed}`],
  color: "rgb(20, 20, 20)",
  behind: "rgb(255, 255, 255)",
  fontSize: 12,
  fontFamily: "Arial",
  source: "",
  words: [{ ...word, text: `w${word.seed}`, line: 0 }],
}));
const design: DrawnDesign = { pixels: draw(370, 160, 2, own), density: 2, parts };

const milliseconds = (action: () => unknown): number => {
  const start = performance.now();
  action();
  return performance.now() - start;
};

/** One transform of the rows of a picture, as a measure of the machine. */
function transformed({ width, height }: Pixels): void {
  const size = 2 ** Math.ceil(Math.log2(width));
  const fft = new FFT(size);
  const [from, to] = [new Float64Array(2 * size), new Float64Array(2 * size)];
  for (let row = 0; row < height; row++) fft.transform(to, from);
}

for (const [width, height, scale] of [
  [1280, 800, 1],
  [1280, 800, 2],
  [1920, 1080, 2],
] as const) {
  const around = rows(500, 10, 400, 12, 12);
  const shifted = own.map((word) => ({ ...word, left: word.left + 40, top: word.top + 90 }));
  const there = draw(width, height, scale, [...around, ...shifted]);
  const none = draw(width, height, scale, around);
  const one = milliseconds(() => transformed(there));
  for (const [what, picture] of [
    ["there", there],
    ["not there", none],
  ] as const) {
    let found = false;
    const taken = milliseconds(() => (found = sightingOf(design, picture) !== null));
    process.stdout.write(
      `${`${there.width} × ${there.height} px, ${what}`.padEnd(32)} ${found ? "found" : "not found"} ${taken.toFixed(0).padStart(6)} ms, ${(taken / one).toFixed(0)} × a transform of its rows\n`,
    );
  }
}
