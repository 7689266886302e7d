/** A flow of lines broken in the room that it has, word by word, as browsers do (CSS Text 3, section 5); px. */
import { reachIn, type InlineItem, type Spot, type Unbroken } from "./inline-content";

export interface BrokenLine {
  readonly from: Spot;
  /** Without the spaces that hang over its end. */
  readonly to: Spot;
  readonly width: number;
}

/** Browsers lay out in 64ths of a px. */
export const layoutUnit = 1 / 64;

/** How much of a word that has no room stands in each line where any word may be broken: at least a letter. */
function cutWord({ from, to, width }: Unbroken, items: readonly InlineItem[], room: number): BrokenLine[] {
  const lines: BrokenLine[] = [];
  let begun = from;
  let before = 0;
  let reached = 0;
  let last = from;
  for (let at = from.item; at <= to.item; at++) {
    const item = items[at];
    if (!item || item.kind === "break") continue;
    const reach = reachIn(item);
    const start = at === from.item ? from.into : 0;
    const end = at === to.item ? to.into : item.kind === "text" ? item.text.length : 1;
    for (let into = start + 1; into <= end; into++) {
      const here = before + reach(into) - reach(start);
      const spot = { item: at, into };
      if (here - reached > room + layoutUnit && (last.item !== begun.item || last.into !== begun.into)) {
        const ended = last.item === at ? before + reach(last.into) - reach(start) : before;
        lines.push({ from: begun, to: last, width: ended - reached });
        [begun, reached] = [last, ended];
      }
      last = spot;
    }
    before += reach(end) - reach(start);
  }
  return [...lines, { from: begun, to, width: width - reached }];
}

/** At least one line where there is anything. */
export function breakLines(
  pieces: readonly Unbroken[],
  items: readonly InlineItem[],
  room: number,
  breakWords: boolean,
): readonly BrokenLine[] {
  const lines: BrokenLine[] = [];
  let line: BrokenLine | null = null;
  /** With the spaces behind the last word. */
  let reached = 0;
  for (const piece of pieces) {
    if (line && reached + piece.width > room + layoutUnit) {
      lines.push(line);
      line = null;
    }
    if (line) {
      line = { from: line.from, to: piece.to, width: reached + piece.width };
      reached += piece.advance;
    } else {
      const cut: BrokenLine[] =
        breakWords && piece.width > room + layoutUnit
          ? cutWord(piece, items, room)
          : [{ from: piece.from, to: piece.to, width: piece.width }];
      lines.push(...cut.slice(0, -1));
      line = cut.at(-1) ?? null;
      reached = (line?.width ?? 0) + piece.advance - piece.width;
    }
    if (piece.forced && line) {
      lines.push(line);
      line = null;
    }
  }
  return line ? [...lines, line] : lines;
}
