/** Letters and a signature that are drawn by lot, for tests and benchmarks of what looks for the one in the other. */
import { around } from "@/core/layout";
import type { Pixels } from "@/core/pictures";
import type { DrawnDesign, WordedPart } from "@/core/sighting";

export type Color = readonly [red: number, green: number, blue: number];

export const white: Color = [255, 255, 255];
export const ink: Color = [63, 91, 46];

/** Whole numbers that look drawn by lot and are the same each time (mulberry32). */
export function lot(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** Something that is drawn: a word as strokes of its own, a picture as patches of its own, a frame as its four sides. */
export interface Drawing {
  readonly kind: "word" | "picture" | "frame";
  readonly seed: number;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  readonly color?: Color;
}

/** Drawings upon a ground, `scale` px of the picture for each of theirs. */
export function draw(
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

export const word = (seed: number, left: number, top: number, width = 52): Drawing => ({
  ...{ kind: "word", seed, left, top, width, height: 12 },
});
const icon = (seed: number, left: number, top = 84): Drawing => ({
  ...{ kind: "picture", seed, left, top, width: 24, height: 24 },
});

/** Of a photo, three lines of two or three words, three icons and a frame around it all. */
export const drawings = {
  photo: { kind: "picture", seed: 1, left: 10, top: 10, width: 90, height: 90 },
  frame: { kind: "frame", seed: 0, left: 3, top: 3, width: 294, height: 114 },
  first: [word(11, 120, 12), word(12, 178, 12, 70)],
  second: [word(21, 120, 36), word(22, 178, 36), word(23, 236, 36, 44)],
  third: [word(31, 120, 60, 80), word(32, 206, 60)],
  icons: [icon(41, 120), icon(42, 152), icon(43, 184)],
} satisfies Record<string, Drawing | readonly Drawing[]>;

export const size = { width: 300, height: 120 };

const rgb = ([red, green, blue]: Color): string => `rgb(${red}, ${green}, ${blue})`;

export function partOf(
  id: number,
  kind: WordedPart["kind"],
  text: string,
  drawn: readonly Drawing[],
): WordedPart {
  return {
    ...{ id, kind, text },
    ...around(drawn),
    lines: kind === "text" ? [drawn.map(({ seed }) => `w${seed}`).join(" ")] : [],
    color: rgb(ink),
    behind: rgb(white),
    fontSize: 12,
    fontFamily: "Arial",
    source: "",
    words:
      kind === "text"
        ? drawn.map(({ seed, left: x, top: y, width, height }) => ({
            ...{ text: `w${seed}`, left: x, top: y, width, height },
          }))
        : [],
  };
}

const { photo, frame, first, second, third, icons } = drawings;
export const all = [photo, frame, ...first, ...second, ...third, ...icons];

export const design: DrawnDesign = {
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

export const room = { left: 37, top: 70 };

/** A letter of a few lines in which something stands at a place. */
export function letter(scale: number, what: readonly Drawing[], ground: Color = white): Pixels {
  const lines = Array.from({ length: 6 }, (_, line) =>
    Array.from({ length: 7 }, (_word, at) =>
      word(900 + line * 10 + at, 8 + at * 70, line < 3 ? 6 + line * 20 : 150 + line * 20),
    ),
  ).flat();
  const placed = what.map((each) => ({ ...each, left: each.left + room.left, top: each.top + room.top }));
  const color: Color = ground === white ? [40, 40, 40] : [220, 220, 220];
  return draw(520, 290, scale, ground, [...lines.map((each) => ({ ...each, color })), ...placed]);
}
