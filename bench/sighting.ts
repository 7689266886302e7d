/**
 * How long it takes to find a design in screenshots of several sizes, where it is and where it is not, beside the time that one
 * transform of such a picture takes. All in one run, to be compared in it.
 */
import FFT from "fft.js";
import type { Pixels } from "@/core/pictures";
import { sightingOf, type DrawnDesign } from "@/core/sighting";
import { draw, partOf, white, word, type Drawing } from "../tests/drawn-letters";

/** Rows of words, `seed` telling which. */
const rows = (seed: number, left: number, top: number, count: number, each: number): readonly Drawing[] =>
  Array.from({ length: count * each }, (_, at) =>
    word(seed + at, left + (at % each) * 70, top + Math.floor(at / each) * 24, 58),
  );

const own = rows(1, 10, 10, 6, 5);
const design: DrawnDesign = {
  pixels: draw(370, 160, 2, white, own),
  density: 2,
  parts: own.map((each, index) => partOf(index, "text", `w${each.seed}`, [each])),
};

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
  const there = draw(width, height, scale, white, [...around, ...shifted]);
  const none = draw(width, height, scale, white, around);
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
