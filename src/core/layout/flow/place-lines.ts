/** The lines of a flow, one under the other: where each word and picture stands, and how high all of them are; px. */
import type { BrokenLine } from "./break-lines";
import type { Alignment, TextStyle } from "./computed-style";
import { reachIn, type InlineBox, type InlineItem, type PictureItem } from "./inline-content";
import { glyphReach, halfOfX, lineReach, type Reach } from "./line-metrics";
import type { Group, PlacedElement, PlacedWord } from "./placed";
import { inDrawnOrder, partedByLevel, turningOf, type Stretch, type Turning } from "./turn-text";

export interface PlacedLines {
  readonly height: number;
  readonly group: Group;
}

/** Where something begins in the room that is left beside it. */
export function alignedAt({ at }: Alignment, free: number, direction: "ltr" | "rtl"): number {
  // What has no room begins where the text does.
  if (free < 0) return direction === "rtl" ? free : 0;
  if (at === "center") return free / 2;
  const right =
    at === "right" || (at === "start" && direction === "rtl") || (at === "end" && direction === "ltr");
  return right ? free : 0;
}

const lengthOf = (item: InlineItem): number => (item.kind === "text" ? item.text.length : 1);

/** The items that a line holds, and what of each; a break at its end is one of them. */
function stretchesOf(
  { from, to }: BrokenLine,
  items: readonly InlineItem[],
): readonly Omit<Stretch, "level">[] {
  const found: Omit<Stretch, "level">[] = [];
  for (let item = from.item; item <= to.item; item++) {
    const own = items[item];
    if (!own) continue;
    const start = item === from.item ? from.into : 0;
    const end = item === to.item ? to.into : lengthOf(own);
    if (end > start) found.push({ item, from: start, to: end });
  }
  const next = to.item + (items[to.item]?.kind === "break" ? 0 : 1);
  if (items[next]?.kind === "break") found.push({ item: next, from: 0, to: 0 });
  return found;
}

/** Of a picture that stands by the baseline of its line. */
function pictureReach({ box, height, stands }: PictureItem): Reach {
  if (stands !== "middle") return { ascent: height, descent: 0 };
  const middle = halfOfX(box.style);
  return { ascent: height / 2 + middle, descent: height / 2 - middle };
}

/**
 * How far a line reaches above and below its baseline: its block's own type, every box in it, and its pictures; those that
 * stand at its top or bottom come last, and make it longer at the other end.
 */
function reachOfLine(root: Reach, inLine: readonly InlineItem[]): Reach {
  let { ascent, descent } = root;
  const take = (reach: Reach, shift: number): void => {
    ascent = Math.max(ascent, reach.ascent - shift);
    descent = Math.max(descent, reach.descent + shift);
  };
  const seen = new Set<InlineBox>();
  for (const item of inLine) {
    for (let box: InlineBox | null = item.box; box && !seen.has(box); box = box.around) {
      seen.add(box);
      take(box.reach, box.shift);
    }
    if (item.kind === "picture" && (item.stands === "baseline" || item.stands === "middle"))
      take(pictureReach(item), item.box.shift);
  }
  for (const item of inLine) {
    if (item.kind !== "picture") continue;
    if (item.stands === "top") descent = Math.max(descent, item.height - ascent);
    if (item.stands === "bottom") ascent = Math.max(ascent, item.height - descent);
  }
  return { ascent, descent };
}

function pictureTop(item: PictureItem, baseline: number, { ascent, descent }: Reach): number {
  if (item.stands === "top") return baseline - ascent;
  if (item.stands === "bottom") return baseline + descent - item.height;
  return baseline + item.box.shift - pictureReach(item).ascent;
}

/** Words of a stretch, from the left of the stretch on. */
function wordsOf(
  item: InlineItem & { kind: "text" },
  { from, to, level }: Stretch,
  baseline: number,
): readonly PlacedWord[] {
  const reach = reachIn(item);
  const { ascent, descent } = glyphReach(item.box.style);
  const width = reach(to) - reach(from);
  return [...item.text.slice(from, to).matchAll(/\S+/g)].map((found) => {
    const start = from + found.index;
    const end = start + found[0].length;
    const left = level % 2 === 0 ? reach(start) - reach(from) : width - (reach(end) - reach(from));
    return {
      node: item.node,
      text: found[0],
      left,
      top: baseline + item.box.shift - ascent,
      width: reach(end) - reach(start),
      height: ascent + descent,
    };
  });
}

function placeLine(
  stretches: readonly Stretch[],
  items: readonly InlineItem[],
  left: number,
  baseline: number,
  line: Reach,
): { readonly words: readonly PlacedWord[]; readonly elements: readonly PlacedElement[] } {
  const words: PlacedWord[] = [];
  const elements: PlacedElement[] = [];
  let at = left;
  for (const stretch of stretches) {
    const item = items[stretch.item];
    if (!item || item.kind === "break" || stretch.from === stretch.to) continue;
    const reach = reachIn(item);
    if (item.kind === "text")
      for (const word of wordsOf(item, stretch, baseline)) words.push({ ...word, left: word.left + at });
    else {
      const { element, width, height } = item;
      elements.push({ element, left: at, top: pictureTop(item, baseline, line), width, height });
    }
    // Letters that are drawn over each other take no room, and give none back.
    at += Math.max(0, reach(stretch.to) - reach(stretch.from));
  }
  return { words, elements };
}

/** `style` is that of the block that the lines stand in. */
export function placeLines(
  lines: readonly BrokenLine[],
  items: readonly InlineItem[],
  style: TextStyle,
  room: number,
): PlacedLines {
  const turning: Turning | null = turningOf(items, style.direction);
  const root = lineReach(style);
  const words: PlacedWord[] = [];
  const elements: PlacedElement[] = [];
  let top = 0;
  for (const line of lines) {
    const held = stretchesOf(line, items);
    const reach = reachOfLine(
      root,
      held.flatMap(({ item }) => items[item] ?? []),
    );
    const stretches = turning
      ? inDrawnOrder(held.flatMap((stretch) => partedByLevel(stretch, turning)))
      : held.map((stretch) => ({ ...stretch, level: 0 }));
    const left = alignedAt(style.align, room - line.width, style.direction);
    const placed = placeLine(stretches, items, left, top + reach.ascent, reach);
    words.push(...placed.words);
    elements.push(...placed.elements);
    top += reach.ascent + reach.descent;
  }
  return { height: top, group: { left: 0, top: 0, words, elements, inside: [] } };
}
