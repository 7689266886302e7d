/** Which way text runs in a flow of lines, and in which order its stretches are drawn (Unicode UAX 9). */
import bidiFactory from "bidi-js";
import { pictureSign } from "./break-places";
import type { InlineBox, InlineItem } from "./inline-content";

const bidi = bidiFactory();

const turns = /[\u0590-\u08ff\u200f\u202b\u202e\u2067\ufb1d-\ufdff\ufe70-\ufeff]/;

/** A stretch of one item that runs one way. */
export interface Stretch {
  readonly item: number;
  readonly from: number;
  readonly to: number;
  /** Even runs from left to right, odd from right to left. */
  readonly level: number;
}

/** Signs that keep what is in an element from turning what is around it (UAX 9, section 2.4). */
const isolates = { ltr: "\u2066", rtl: "\u2067" } as const;
const isolateEnds = "\u2069";

/** The boxes around an item that have a direction of their own, from outside in. */
function isolating(box: InlineBox): readonly InlineBox[] {
  const found: InlineBox[] = [];
  for (let at: InlineBox | null = box; at?.around; at = at.around)
    if (at.style.direction !== at.around.style.direction) found.unshift(at);
  return found;
}

export interface Turning {
  /** The level of a place in an item. */
  readonly levelAt: (item: number, into: number) => number;
  /** The level of what parts an item from the one before it without being seen; null where nothing does. */
  readonly partedAt: (item: number) => number | null;
}

/** Null where all of a flow runs from left to right. */
export function turningOf(items: readonly InlineItem[], direction: "ltr" | "rtl"): Turning | null {
  const texts = items.map((item) =>
    item.kind === "text" ? item.text : item.kind === "picture" ? pictureSign : "\n",
  );
  if (
    direction === "ltr" &&
    texts.every((text) => !turns.test(text)) &&
    items.every(({ box }) => isolating(box).length === 0)
  )
    return null;
  let text = "";
  let open: readonly InlineBox[] = [];
  const starts = items.map(({ box }, index) => {
    const own = isolating(box);
    const kept = open.filter((each, at) => own[at] === each).length;
    const parting = text.length;
    text += isolateEnds.repeat(open.length - kept);
    text += own
      .slice(kept)
      .map(({ style }) => isolates[style.direction])
      .join("");
    open = own;
    const start = text.length;
    text += texts[index] ?? "";
    return { start, parted: start > parting };
  });
  // A break ends what turns together, as browsers have it.
  const { levels } = bidi.getEmbeddingLevels(text, direction);
  const base = direction === "rtl" ? 1 : 0;
  return {
    levelAt: (item, into) => levels[(starts[item]?.start ?? 0) + into] ?? base,
    // Where something isolated begins or ends, it stands between what is around it as one sign that has no direction.
    partedAt: (item) => (starts[item]?.parted ? (levels[(starts[item]?.start ?? 1) - 1] ?? base) : null),
  };
}

/** Parts a stretch where its direction changes. */
export function partedByLevel(
  stretch: Omit<Stretch, "level">,
  { levelAt, partedAt }: Turning,
): readonly Stretch[] {
  const parting = stretch.from === 0 ? partedAt(stretch.item) : null;
  const parts: Stretch[] = parting === null ? [] : [{ item: stretch.item, from: 0, to: 0, level: parting }];
  let from = stretch.from;
  for (let into = stretch.from + 1; into <= stretch.to; into++) {
    const level = levelAt(stretch.item, into - 1);
    if (into < stretch.to && levelAt(stretch.item, into) === level) continue;
    parts.push({ item: stretch.item, from, to: into, level });
    from = into;
  }
  return parts;
}

/** The stretches of a line in the order in which they are drawn from left to right (UAX 9, rule L2). */
export function inDrawnOrder(stretches: readonly Stretch[]): readonly Stretch[] {
  const order = [...stretches];
  const highest = Math.max(0, ...order.map(({ level }) => level));
  for (let level = highest; level > 0; level--)
    for (let start = 0; start < order.length; start++) {
      let end = start;
      while ((order[end]?.level ?? -1) >= level) end += 1;
      if (end - start > 1) order.splice(start, end - start, ...order.slice(start, end).reverse());
      start = Math.max(start, end - 1);
    }
  return order;
}
