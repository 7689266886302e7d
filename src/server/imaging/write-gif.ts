/**
 * Writing frames as a GIF with one palette for all of them: what did not change since the frame before is left out,
 * and what becomes clear again has the frame before it cleared first (GIF89a, section 23).
 */
import { GifWriter } from "omggif";
import { byteAt, colorAt, type Pixels, type Rectangle, type Size } from "@/core/pictures";

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
  /** `0xRRGGBB`; as many as a power of two, as the format has it. */
  readonly palette: number[];
}

/** Colours by number. Throws a RangeError for more than 255 opaque colours. */
function indexColors({ data }: Pixels): Indexed {
  const numbers = new Map<number, number>();
  const palette: number[] = [0];
  const indexes = new Uint8Array(data.length / 4);
  for (let index = 0; index < indexes.length; index++) {
    const at = index * 4;
    if (byteAt(data, at + 3) < 128) continue;
    const color = colorAt(data, at);
    let number = numbers.get(color);
    if (number === undefined) {
      number = palette.push(color) - 1;
      if (number > 255) throw new RangeError("A GIF's palette has room for 255 colours beside the clear one");
      numbers.set(color, number);
    }
    indexes[index] = number;
  }
  const room = Math.max(4, 2 ** Math.ceil(Math.log2(palette.length)));
  return { indexes, palette: [...palette, ...new Array<number>(room - palette.length).fill(0)] };
}

/** Whether something shown on a canvas must become clear for a frame. */
const uncovers = (canvas: Uint8Array, frame: Uint8Array): boolean =>
  canvas.some((color, index) => color !== clearIndex && frame[index] === clearIndex);

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

/** Room that holds so many pixels however badly they compress: 12 bits each, and what stands around them; bytes. */
const roomFor = (pixels: number): number => Math.ceil(pixels * 1.6) + 2048;

/** The package's types ask for a list; it reads by number, and so takes what is packed more closely. */
const asList = (indexes: Uint8Array): number[] => indexes as unknown as number[];

/** Bytes of a frame by itself. */
function weigh({ indexes, width, height }: Patch, palette: number[]): number {
  const writer = new GifWriter(Buffer.alloc(roomFor(indexes.length)), width, height, { palette });
  return writer.addFrame(0, 0, width, height, asList(indexes));
}

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
  const file = Buffer.alloc(order.length * roomFor(area));
  const writer = new GifWriter(file, size.width, size.height, {
    palette,
    // Written once, a loop has no word of repeating; else it says how often it comes again.
    ...(repeats === 1 ? {} : { loop: Math.max(0, repeats - 1) }),
  });
  const blank = new Uint8Array(area);
  let canvas: Uint8Array = blank;
  for (const [index, frame] of shown.entries()) {
    const whole: Patch = { x: 0, y: 0, ...size, indexes: frame };
    // The last frame is followed by the first one again.
    const cleared = uncovers(frame, shown[(index + 1) % shown.length]!);
    const part = changedPart(frame, canvas, size);
    // Only what is drawn can be cleared; and where most of a frame changed, leaving out the rest is only noise.
    const all = index === 0 || cleared || weigh(whole, palette) < weigh(part, palette);
    const { x, y, width, height, indexes: drawn } = all ? whole : part;
    writer.addFrame(x, y, width, height, asList(drawn), {
      transparent: clearIndex,
      delay: Math.round(order[index]!.time / 10),
      disposal: cleared ? isCleared : stays,
    });
    canvas = cleared ? blank : frame;
  }
  return { bytes: Buffer.from(file.subarray(0, writer.end())), frames: order.length };
}
