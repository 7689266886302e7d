/**
 * Writing frames as a GIF with one palette for all of them: what did not change since the frame before is left out,
 * and what becomes clear again has the frame before it cleared first (GIF89a, section 23).
 */
import * as gifenc from "gifenc";
import type { Pixels, Rectangle, Size } from "@/core/pictures";

export interface WrittenFrame {
  /** Which of the stacked pictures is shown. */
  readonly picture: number;
  /** ms. */
  readonly time: number;
}

const stays = 1;
const isCleared = 2;
/** The palette's first entry stands for what is clear, or left out. */
const clearIndex = 0;

interface Indexed {
  readonly indexes: Uint8Array;
  readonly palette: readonly (readonly [number, number, number])[];
}

/** Colours by number. Throws a RangeError for more than 255 opaque colours. */
function indexColors({ data }: Pixels): Indexed {
  const numbers = new Map<number, number>();
  const palette: [number, number, number][] = [[0, 0, 0]];
  const indexes = new Uint8Array(data.length / 4);
  for (let index = 0; index < indexes.length; index++) {
    const at = index * 4;
    if (data[at + 3]! < 128) continue;
    const color = (data[at]! << 16) | (data[at + 1]! << 8) | data[at + 2]!;
    let number = numbers.get(color);
    if (number === undefined) {
      number = palette.push([data[at]!, data[at + 1]!, data[at + 2]!]) - 1;
      if (number > 255) throw new RangeError("A GIF's palette has room for 255 colours beside the clear one");
      numbers.set(color, number);
    }
    indexes[index] = number;
  }
  return { indexes, palette };
}

/** Whether something shown on a canvas must become clear for a frame. */
const uncovers = (canvas: Uint8Array, frame: Uint8Array): boolean =>
  canvas.some((color, index) => color !== clearIndex && frame[index] === clearIndex);

/** The package is CommonJS with a default of its own inside, and bundlers unwrap it differently. */
const { GIFEncoder } = "GIFEncoder" in gifenc ? gifenc : (gifenc as { default: typeof gifenc }).default;

interface Patch extends Rectangle {
  /** Colour numbers of the rectangle. */
  readonly indexes: Uint8Array;
}

/** The rectangle of a frame that differs from a canvas, with what is the same in it left out. */
function changedPart(frame: Uint8Array, canvas: Uint8Array, { width, height }: Size): Patch {
  let [left, top, right, bottom] = [width, height, -1, -1];
  for (let index = 0; index < frame.length; index++) {
    if (frame[index] === canvas[index]) continue;
    const [x, y] = [index % width, Math.floor(index / width)];
    [left, top, right, bottom] = [
      Math.min(left, x),
      Math.min(top, y),
      Math.max(right, x),
      Math.max(bottom, y),
    ];
  }
  // A frame has at least a pixel, even where nothing changed.
  if (right < 0) return { x: 0, y: 0, width: 1, height: 1, indexes: new Uint8Array(1) };
  const part = { x: left, y: top, width: right - left + 1, height: bottom - top + 1 };
  const indexes = new Uint8Array(part.width * part.height);
  for (let y = 0; y < part.height; y++)
    for (let x = 0; x < part.width; x++) {
      const at = (top + y) * width + left + x;
      if (frame[at] !== canvas[at]) indexes[y * part.width + x] = frame[at]!;
    }
  return { ...part, indexes };
}

/** Bytes of a frame by itself. */
function weigh({ indexes, width, height }: Patch, colorDepth: number): number {
  const encoder = GIFEncoder({ initialCapacity: indexes.length });
  encoder.writeFrame(indexes, width, height, { palette: [[0, 0, 0]], colorDepth });
  return encoder.bytes().length;
}

/** Where a frame's left and top stand after its beginning: behind a control block of 8 bytes and a mark. */
const placeOffset = 9;

/** Neighbouring frames of one picture are one that lasts as long as both. */
const merged = (frames: readonly WrittenFrame[]): readonly WrittenFrame[] =>
  frames.reduce<readonly WrittenFrame[]>((done, frame) => {
    const last = done.at(-1);
    return last?.picture === frame.picture
      ? [...done.slice(0, -1), { ...last, time: last.time + frame.time }]
      : [...done, frame];
  }, []);

/**
 * `pictures` stand one below the other, each of `size`, with at most 255 opaque colours. `repeats` 0 is for ever.
 * Answers with the file and how many frames it has.
 */
export function writeGif(
  pictures: Pixels,
  size: Size,
  frames: readonly WrittenFrame[],
  repeats: number,
): { bytes: Buffer; frames: number } {
  const { indexes, palette } = indexColors(pictures);
  const area = size.width * size.height;
  const order = merged(frames);
  const shown = order.map(({ picture }) => indexes.subarray(picture * area, (picture + 1) * area));
  const encoder = GIFEncoder({ initialCapacity: area });
  const colorDepth = Math.max(2, Math.ceil(Math.log2(palette.length)));
  const blank = new Uint8Array(area);
  const places: { readonly at: number; readonly x: number; readonly y: number }[] = [];
  let canvas: Uint8Array = blank;
  for (const [index, frame] of shown.entries()) {
    const whole: Patch = { x: 0, y: 0, ...size, indexes: frame };
    // The last frame is followed by the first one again.
    const cleared = uncovers(frame, shown[(index + 1) % shown.length]!);
    const part = changedPart(frame, canvas, size);
    // Only what is drawn can be cleared; and where most of a frame changed, leaving out the rest is only noise.
    const all = index === 0 || cleared || weigh(whole, colorDepth) < weigh(part, colorDepth);
    const lighter = all ? whole : part;
    if (index > 0) places.push({ at: encoder.bytes().length, x: lighter.x, y: lighter.y });
    encoder.writeFrame(lighter.indexes, lighter.width, lighter.height, {
      ...(index === 0 ? { palette, repeat: repeats === 0 ? 0 : repeats - 1 || -1 } : {}),
      transparent: true,
      transparentIndex: clearIndex,
      delay: order[index]!.time,
      colorDepth,
      dispose: cleared ? isCleared : stays,
    });
    canvas = cleared ? blank : frame;
  }
  encoder.finish();
  const bytes = Buffer.from(encoder.bytes());
  // The encoder draws every frame at the top left; where a part belongs is written in afterwards.
  for (const { at, x, y } of places) {
    bytes.writeUInt16LE(x, at + placeOffset);
    bytes.writeUInt16LE(y, at + placeOffset + 2);
  }
  return { bytes, frames: order.length };
}
