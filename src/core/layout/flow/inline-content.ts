/**
 * What stands in lines: text with its white space collapsed (CSS Text 3, section 4.1.1), pictures and breaks, each in the inline
 * boxes that are around it. Lengths in px.
 */
import type { Element, TextNode } from "../../html";
import { widthsUpTo } from "../../measure";
import type { Size } from "../../pictures";
import { breakPlaces, pictureSign } from "./break-places";
import type { TextStyle } from "./computed-style";
import { lineReach, type Reach } from "./line-metrics";

/** A box around inline content: an element's, or that of the block itself. */
export interface InlineBox {
  readonly around: InlineBox | null;
  readonly style: TextStyle;
  readonly reach: Reach;
  /** How far its baseline lies below that of the line. */
  readonly shift: number;
}

export interface TextItem {
  readonly kind: "text";
  readonly node: TextNode;
  readonly box: InlineBox;
  /** As it is drawn. */
  readonly text: string;
}

/** How a picture stands in its line (CSS 2.2, section 10.8.1). */
export type PictureStands = "baseline" | "middle" | "top" | "bottom";

export interface PictureItem extends Size {
  readonly kind: "picture";
  readonly element: Element;
  readonly box: InlineBox;
  readonly stands: PictureStands;
}

export interface BreakItem {
  readonly kind: "break";
  readonly box: InlineBox;
}

export type InlineItem = TextItem | PictureItem | BreakItem;

export const rootBox = (style: TextStyle): InlineBox => ({
  around: null,
  style,
  reach: lineReach(style),
  shift: 0,
});

/** How far browsers move what is raised or lowered, by the size of the text around it. */
function shiftOf(align: string | undefined, tag: string, { size }: TextStyle): number {
  const how = align ?? (tag === "sub" || tag === "sup" ? tag : "");
  if (how === "sub") return size / 5 + 1;
  return how === "super" || how === "sup" ? -(size / 3 + 1) : 0;
}

export const inlineBox = (
  element: Element,
  around: InlineBox,
  style: TextStyle,
  verticalAlign: string | undefined,
): InlineBox => ({
  around,
  style,
  reach: lineReach(style),
  shift: around.shift + shiftOf(verticalAlign, element.tagName, around.style),
});

/** Gathers the items of one flow of lines, with spaces collapsed across elements. */
export class InlineFlow {
  readonly items: InlineItem[] = [];
  private spaced = true;

  text(node: TextNode, box: InlineBox): void {
    let text = node.value.replace(/[ \t\n\r\f]+/g, " ");
    if (this.spaced && text.startsWith(" ")) text = text.slice(1);
    if (text === "") return;
    this.spaced = text.endsWith(" ");
    this.items.push({ kind: "text", node, box, text });
  }

  picture(item: Omit<PictureItem, "kind">): void {
    this.spaced = false;
    this.items.push({ kind: "picture", ...item });
  }

  lineBreak(box: InlineBox): void {
    this.spaced = true;
    this.items.push({ kind: "break", box });
  }
}

/** So far into an item. */
export interface Spot {
  readonly item: number;
  /** UTF-16 units of its text; 1 is behind a picture. */
  readonly into: number;
}

/** What stands between two places at which a line may be broken. */
export interface Unbroken {
  readonly from: Spot;
  /** Without the spaces behind it. */
  readonly to: Spot;
  /** Without the spaces behind it, and with them. */
  readonly width: number;
  readonly advance: number;
  /** Whether a line ends behind it, however much room there is. */
  readonly forced: boolean;
  /** Whether it counts as one with the next where it is asked how narrow a column can be. */
  readonly held: boolean;
}

type Piece = TextItem | PictureItem;

const pieceText = (piece: Piece): string => (piece.kind === "text" ? piece.text : pictureSign);

/** How far a piece reaches up to a place in it. */
export function reachIn(piece: Piece): (into: number) => number {
  if (piece.kind === "text") return widthsUpTo(piece.text, piece.box.style);
  return (into) => (into === 0 ? 0 : piece.width);
}

const picturePlaces = (text: string): readonly number[] =>
  [...text].flatMap((letter, place) =>
    letter === pictureSign && place > 0 && !/\s/.test(text[place - 1] ?? "") ? [place] : [],
  );

/** How narrow some pieces can be drawn. */
export function narrowest(pieces: readonly Unbroken[]): number {
  let least = 0;
  let before = 0;
  for (const { width, advance, held } of pieces) {
    least = Math.max(least, before + width);
    before = held ? before + advance : 0;
  }
  return least;
}

/** One stretch of items up to a forced break or the end, in pieces that no line breaks; `first` is its first item. */
function unbrokenIn(pieces: readonly Piece[], first: number, forced: boolean): readonly Unbroken[] {
  const text = pieces.map(pieceText).join("");
  const places = breakPlaces(text);
  // A line may end before any picture, though browsers hold one to what opens before it when they measure a column.
  const held = pieces.length > 1 ? picturePlaces(text).filter((place) => !places.includes(place)) : [];
  const all = held.length > 0 ? [...places, ...held].sort((one, other) => one - other) : places;
  const ends = [...all, text.length];
  const reaches = pieces.map(reachIn);
  const lengths = pieces.map((piece) => pieceText(piece).length);
  const found: Unbroken[] = [];
  let piece = 0;
  let begun = 0;
  const spotAt = (place: number): Spot => {
    while (piece < pieces.length - 1 && place > begun + (lengths[piece] ?? 0)) begun += lengths[piece++] ?? 0;
    return { item: first + piece, into: place - begun };
  };
  const between = (from: Spot, to: Spot): number => {
    let width = 0;
    for (let at = from.item; at <= to.item; at++) {
      const reach = reaches[at - first];
      if (!reach) continue;
      const end = reach(at === to.item ? to.into : (lengths[at - first] ?? 0));
      width += Math.max(0, end - (at === from.item ? reach(from.into) : 0));
    }
    return width;
  };
  let from: Spot = { item: first, into: 0 };
  let place = 0;
  for (const [index, end] of ends.entries()) {
    let seen = end;
    while (seen > place && /[ \t\u200b]/.test(text[seen - 1] ?? "")) seen -= 1;
    const to = spotAt(seen);
    const next = spotAt(end);
    found.push({
      ...{ from, to },
      width: between(from, to),
      advance: between(from, next),
      forced: forced && index === ends.length - 1,
      held: held.includes(end),
    });
    [from, place] = [next, end];
  }
  return found;
}

/** All of a flow, in pieces that no line breaks. */
export function unbrokenOf(items: readonly InlineItem[]): readonly Unbroken[] {
  const found: Unbroken[] = [];
  let first = 0;
  items.forEach((item, index) => {
    if (item.kind !== "break") return;
    const pieces = items.slice(first, index) as readonly Piece[];
    if (pieces.length > 0) found.push(...unbrokenIn(pieces, first, true));
    else found.push({ from: spot(index), to: spot(index), width: 0, advance: 0, forced: true, held: false });
    first = index + 1;
  });
  const rest = items.slice(first) as readonly Piece[];
  return rest.length > 0 ? [...found, ...unbrokenIn(rest, first, false)] : found;
}

const spot = (item: number): Spot => ({ item, into: 0 });

export const pictureStands = (verticalAlign: string | undefined): PictureStands =>
  verticalAlign === "middle" || verticalAlign === "top" || verticalAlign === "bottom"
    ? verticalAlign
    : "baseline";
