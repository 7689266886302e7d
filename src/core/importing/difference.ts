/** How an import looks beside what it was: where the same words and pictures are drawn, px from the top left of all of them. */

export interface DrawnBox {
  /** A word, or a picture's address. */
  readonly what: string;
  readonly left: number;
  readonly top: number;
}

export interface DrawnWords {
  readonly width: number;
  readonly height: number;
  readonly boxes: readonly DrawnBox[];
}

export interface ImportDifference {
  /** How many words and pictures there are in what it was. */
  readonly total: number;
  /** How many of them stand elsewhere than a reader would notice: over 4 px. */
  readonly moved: number;
  /** How many are drawn no more. */
  readonly missing: number;
  /** How far the farthest of them moved; px. */
  readonly farthest: number;
  readonly before: { readonly width: number; readonly height: number };
  readonly after: { readonly width: number; readonly height: number };
}

/** So little moves with any reader's fonts; px. */
const noticed = 4;

/** Words are the same in whatever case they are drawn, and the first of several is the first of them still. */
export function importDifference(before: DrawnWords, after: DrawnWords): ImportDifference {
  const waiting = new Map<string, DrawnBox[]>();
  for (const box of after.boxes) {
    const key = box.what.toLowerCase();
    waiting.set(key, [...(waiting.get(key) ?? []), box]);
  }
  let moved = 0;
  let missing = 0;
  let farthest = 0;
  for (const box of before.boxes) {
    const same = waiting.get(box.what.toLowerCase())?.shift();
    if (!same) {
      missing += 1;
      continue;
    }
    const far = Math.max(Math.abs(same.left - box.left), Math.abs(same.top - box.top));
    if (far > noticed) moved += 1;
    farthest = Math.max(farthest, far);
  }
  const size = ({ width, height }: DrawnWords) => ({ width: Math.round(width), height: Math.round(height) });
  return {
    total: before.boxes.length,
    moved,
    missing,
    farthest: Math.round(farthest),
    before: size(before),
    after: size(after),
  };
}
