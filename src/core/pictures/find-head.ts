/**
 * Where a head is in a photograph of one person, told by the one thing that skins of every tone share: their hue. Works on a small copy of the
 * picture; px of that, origin at the top left, y down. It finds a face that stands out from what is around it, and says nothing otherwise.
 */
import { byteAt, type Pixels } from "./pixels";
import type { Focus } from "./focus";

/** The range of chroma that skin has in BT.601's YCbCr, whatever its tone: Chai and Ngan (1999), IEEE CSVT 9 (4), made wider for warm light. */
const skin = { blue: [77, 130], red: [132, 176] } as const;
/** What is darker says nothing of its hue. */
const leastLuma = 44;
/** Neighbours that differ more than this belong to different things: a face ends at its hair and at what is behind it, of its hue or not. */
const edge = 26;

/** A face is no smaller than this share of the picture, and no wider for its height, or higher for its width. */
const leastShare = 0.006;
const proportions = [0.75, 2.4] as const;
/** How much of the ellipse with the same spread it fills: an arm, or boards of wood, fill less. */
const leastFilled = 0.78;
/** Of its rows, those that are narrower than the face is. */
const wideRows = 0.75;

/** The square that is to be seen, in widths of the face, and its middle below the face's top. */
const room = 2.9;
const middle = 0.56;

function isSkin({ data }: Pixels, pixel: number): boolean {
  const [red, green, blue] = [
    byteAt(data, pixel * 4),
    byteAt(data, pixel * 4 + 1),
    byteAt(data, pixel * 4 + 2),
  ];
  const luma = 0.299 * red + 0.587 * green + 0.114 * blue;
  if (luma < leastLuma) return false;
  const [cb, cr] = [128 + 0.564 * (blue - luma), 128 + 0.713 * (red - luma)];
  return cb >= skin.blue[0] && cb <= skin.blue[1] && cr >= skin.red[0] && cr <= skin.red[1];
}

interface Patch {
  readonly pixels: number;
  /** Its first row and column, and its last column. */
  readonly top: number;
  readonly left: number;
  readonly right: number;
  readonly x: number;
  readonly y: number;
  /** Standard deviations. */
  readonly across: number;
  readonly down: number;
  /** How many of its pixels are in each row, from its top. */
  readonly rows: readonly number[];
}

/** How far two pixels are apart: the sum over their channels, 0 to 765. */
const apart = ({ data }: Pixels, one: number, other: number): number =>
  [0, 1, 2].reduce(
    (sum, channel) => sum + Math.abs(byteAt(data, one * 4 + channel) - byteAt(data, other * 4 + channel)),
    0,
  );

/** Pixels of skin that hang together, as what they are like as a whole. */
function patchesIn(pixels: Pixels): readonly Patch[] {
  const { width, height } = pixels;
  const left = new Uint8Array(width * height);
  for (let at = 0; at < left.length; at++) if (isSkin(pixels, at)) left[at] = 1;
  const found: Patch[] = [];
  for (let from = 0; from < left.length; from++) {
    if (left[from] !== 1) continue;
    left[from] = 0;
    const open = [from];
    const rows = new Map<number, number>();
    let [count, top, first, last] = [0, height, width, 0];
    let [sumX, sumY, squaresX, squaresY] = [0, 0, 0, 0];
    for (let at = open.pop(); at !== undefined; at = open.pop()) {
      const [x, y] = [at % width, Math.floor(at / width)];
      count += 1;
      top = Math.min(top, y);
      first = Math.min(first, x);
      last = Math.max(last, x);
      rows.set(y, (rows.get(y) ?? 0) + 1);
      sumX += x;
      sumY += y;
      squaresX += x * x;
      squaresY += y * y;
      const beside = [
        x > 0 ? at - 1 : -1,
        x + 1 < width ? at + 1 : -1,
        at - width,
        at + width < left.length ? at + width : -1,
      ];
      for (const next of beside) {
        if (next < 0 || left[next] !== 1 || apart(pixels, at, next) > edge) continue;
        left[next] = 0;
        open.push(next);
      }
    }
    const [x, y] = [sumX / count, sumY / count];
    const spread = (squares: number, mean: number): number =>
      Math.sqrt(Math.max(0.25, squares / count - mean * mean));
    found.push({
      ...{ pixels: count, top, left: first, right: last, x, y },
      ...{ across: spread(squaresX, x), down: spread(squaresY, y) },
      rows: [...rows].sort(([one], [other]) => one - other).map(([, held]) => held),
    });
  }
  return found;
}

/** How much of the ellipse that spreads as it does a patch fills: an ellipse's standard deviation is half its radius. */
const filled = ({ pixels, across, down }: Patch): number => pixels / (4 * Math.PI * across * down);

/** As wide as most of its rows that are wide: a neck is narrower, and what hangs on to a face here and there is wider. */
function faceWidth({ rows }: Patch): number {
  const sorted = [...rows].sort((one, other) => one - other);
  return sorted[Math.floor(sorted.length * wideRows)] ?? 1;
}

/** The square around a head, or null where none can be told. */
export function findHead(pixels: Pixels): Focus | null {
  const { width, height } = pixels;
  const worth = (patch: Patch): number => {
    const { across, down } = patch;
    if (patch.pixels < leastShare * width * height || filled(patch) < leastFilled) return 0;
    if (down / across < proportions[0] || down / across > proportions[1]) return 0;
    // A wall reaches to the edges of a picture, where a head that is cut off does at one.
    const { left, right, top } = patch;
    if ([left === 0, right === width - 1, top === 0].filter(Boolean).length > 1) return 0;
    // Heads are in the upper part of a picture, and hands are not.
    const high = 1 - 0.6 * (patch.y / height);
    return patch.pixels * filled(patch) ** 2 * high;
  };
  const best = patchesIn(pixels).reduce<{ patch: Patch; worth: number } | null>((chosen, patch) => {
    const own = worth(patch);
    return own > (chosen?.worth ?? 0) ? { patch, worth: own } : chosen;
  }, null);
  if (!best) return null;
  const { x, top } = best.patch;
  const face = faceWidth(best.patch);
  return { x: Math.round(x), y: Math.round(top + middle * face), side: Math.max(1, Math.round(room * face)) };
}
