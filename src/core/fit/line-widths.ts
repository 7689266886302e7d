/** How wide each line of a signature is for somebody, on one line, in the faces that are drawn here; px. */
import type { Node } from "prosemirror-model";
import { textWidth } from "../measure";
import type { Person } from "../people";
import {
  fieldText,
  image,
  personField,
  separator,
  textRunsOf,
  webSafeFont,
  type TextLook,
  type TextRun,
} from "../signature";

export interface LineWidth {
  /** Where its line or button begins in the document. */
  readonly position: number;
  readonly text: string;
  readonly width: number;
}

/** The part of a letter's size that raised and lowered letters have. */
const scriptSize = 0.7;

function widthOf(text: string, { font, size, bold, italic, letterSpacing, ...look }: TextLook): number {
  const known = webSafeFont(font);
  const face = known?.drawnWith ?? (known?.generic === "serif" ? "tinos" : "arimo");
  const drawn = size * (look.superscript || look.subscript ? scriptSize : 1);
  const said = look.upperCase ? text.toUpperCase() : text;
  return textWidth(said, { ...{ face, bold, italic, letterSpacing }, size: drawn });
}

/** Whether an empty field takes its whole line along. */
const isGone = (block: Node, person: Person | null): boolean =>
  block.children.some(
    (node) => personField.is(node) && personField.of(node).takesLine && fieldText(node, person) === "",
  );

/** The lines of one block: breaks part them, and a separator stands only between what is there on both sides. */
function linesOf(
  block: Node,
  position: number,
  runs: readonly TextRun[],
  person: Person | null,
): LineWidth[] {
  const found: LineWidth[] = [];
  const byPosition = new Map(runs.map((run) => [run.position, run]));
  let line = { text: "", width: 0 };
  let mark: { text: string; width: number } | null = null;
  const end = (): void => {
    if (line.text !== "") found.push({ position, ...line });
    line = { text: "", width: 0 };
    mark = null;
  };
  const put = (text: string, width: number): void => {
    if (mark && line.text !== "") line = { text: line.text + mark.text, width: line.width + mark.width };
    mark = null;
    line = { text: line.text + text, width: line.width + width };
  };
  let look = runs[0]?.look;
  block.forEach((node, offset) => {
    const run = byPosition.get(position + 1 + offset);
    if (run) {
      look = run.look;
      put(run.text, widthOf(run.text, run.look));
    } else if (node.type.name === "break") end();
    else if (image.is(node)) line.width += image.of(node).width;
    else if (separator.is(node) && look) {
      const { glyph, gap, gapBefore } = separator.of(node);
      mark = { text: ` ${glyph} `, width: (gapBefore ?? gap) + widthOf(glyph, look) + gap };
    }
  });
  end();
  if (isGone(block, person)) return [];
  return found;
}

/** Every line that says anything, in document order. */
export function lineWidths(document: Node, person: Person | null): readonly LineWidth[] {
  const blocks = new Map<number, TextRun[]>();
  for (const run of textRunsOf(document, person)) {
    const own = blocks.get(run.blockPosition);
    if (own) own.push(run);
    else blocks.set(run.blockPosition, [run]);
  }
  return [...blocks].flatMap(([position, runs]) =>
    runs[0] ? linesOf(runs[0].block, position, runs, person) : [],
  );
}
