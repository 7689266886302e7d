/** The lines of a signature as they are said of somebody, in pieces that are measured; px. */
import type { Node } from "prosemirror-model";
import { textWidth, widthsUpTo, type MeasuredStyle } from "../measure";
import type { Person } from "../people";
import {
  eachShownBlock,
  fieldText,
  image,
  personField,
  separator,
  settingsOf,
  textRunsIn,
  webSafeFont,
  type Settings,
  type TextLook,
  type TextRun,
} from "../signature";
import { append } from "../values";

/** A piece of a line: text that is measured, or something that is as wide as it is. */
export interface LinePiece {
  readonly text: string;
  /** The width up to and with so many of its UTF-16 units. */
  readonly upTo: (length: number) => number;
  /** Where it comes from; null for a picture or a separator. */
  readonly run: TextRun | null;
}

export interface DrawnLine {
  /** Where its line or button begins in the document. */
  readonly position: number;
  readonly block: Node;
  readonly pieces: readonly LinePiece[];
  /** Whether anything of it is the person's own. */
  readonly personal: boolean;
}

/** The part of a letter's size that raised and lowered letters have. */
const scriptSize = 0.7;

function measuredStyle({ font, size, bold, italic, letterSpacing, ...look }: TextLook): MeasuredStyle {
  const known = webSafeFont(font);
  const face = known?.drawnWith ?? (known?.generic === "serif" ? "tinos" : "arimo");
  const drawn = size * (look.superscript || look.subscript ? scriptSize : 1);
  return { face, bold, italic, letterSpacing, size: drawn };
}

/** As it is set: in the face that a font is drawn with, in capitals where it is. */
function reachOf(text: string, look: TextLook): LinePiece["upTo"] {
  const style = measuredStyle(look);
  const said = look.upperCase ? text.toUpperCase() : text;
  if (said.length === text.length) return widthsUpTo(said, style);
  // Some letters are two as capitals.
  return (length) => textWidth(text.slice(0, length).toUpperCase(), style);
}

const textPiece = (run: TextRun): LinePiece => ({
  text: run.text,
  upTo: reachOf(run.text, run.look),
  run,
});

/** A separator holds to what is before it, and a line may end after it. */
function markPiece(node: Node, look: TextLook): LinePiece {
  const { glyph, gap, gapBefore } = separator.of(node);
  const text = `\u00a0${glyph} `;
  const before = gapBefore ?? gap;
  const wide = textWidth(glyph, measuredStyle(look));
  return {
    text,
    upTo: (length) => (length === 0 ? 0 : before + wide + (length < text.length ? 0 : gap)),
    run: null,
  };
}

const picturePiece = (node: Node): LinePiece => ({
  text: "\ufffc",
  upTo: (length) => (length === 0 ? 0 : image.of(node).width),
  run: null,
});

/** Whether an empty field takes its whole line along. */
const isGone = (block: Node, person: Person | null): boolean =>
  block.children.some(
    (node) => personField.is(node) && personField.of(node).takesLine && fieldText(node, person) === "",
  );

/** The lines of one block: breaks part them, and a separator stands only between what is there on both sides. */
function linesOf(
  block: Node,
  position: number,
  settings: Settings,
  person: Person | null,
): readonly DrawnLine[] {
  const runs = new Map(textRunsIn(block, position, settings, person).map((run) => [run.position, run]));
  const [first] = runs.values();
  if (!first || isGone(block, person)) return [];
  const found: DrawnLine[] = [];
  let pieces: LinePiece[] = [];
  let mark: LinePiece | null = null;
  let personal = false;
  let { look } = first;
  const end = (): void => {
    if (pieces.some(({ run }) => run)) found.push({ position, block, pieces, personal });
    [pieces, mark, personal] = [[], null, false];
  };
  const put = (piece: LinePiece): void => {
    if (mark && pieces.length > 0) pieces.push(mark);
    mark = null;
    pieces.push(piece);
  };
  block.forEach((node, offset) => {
    const run = runs.get(position + 1 + offset);
    if (run) {
      look = run.look;
      put(textPiece(run));
      personal ||= personField.is(node);
    } else if (node.type.name === "break") end();
    else if (image.is(node)) put(picturePiece(node));
    else if (separator.is(node)) mark = markPiece(node, look);
  });
  end();
  return found;
}

/** The line or button at a position. Throws a RangeError where none begins. */
export function blockAt(document: Node, position: number): Node {
  const block = document.nodeAt(position);
  if (!block?.isTextblock) throw new RangeError(`No line at position ${position}`);
  return block;
}

/** What the line or button at a position says. Throws a RangeError where none begins. */
export const linesAt = (document: Node, position: number, person: Person | null): readonly DrawnLine[] =>
  linesOf(blockAt(document, position), position, settingsOf(document), person);

/** Every line that says anything, in document order. */
export function drawnLines(document: Node, person: Person | null): readonly DrawnLine[] {
  const settings = settingsOf(document);
  const found: DrawnLine[] = [];
  eachShownBlock(document, person, (block, position) =>
    append(found, linesOf(block, position, settings, person)),
  );
  return found;
}

export const widthOf = ({ pieces }: DrawnLine): number =>
  pieces.reduce((sum, { text, upTo }) => sum + upTo(text.length), 0);

/** What is said in it. */
export const wordsOfLine = ({ pieces }: DrawnLine): string =>
  pieces
    .map(({ text }) => text.replace(/\u00a0/g, " "))
    .join("")
    .replace(/\ufffc/g, "");
