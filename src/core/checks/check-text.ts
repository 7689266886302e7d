/** Findings about how text is set, and about how much of it there is. Sizes in px. */
import type { Node } from "prosemirror-model";
import { smallestRead } from "../values";
import { fieldLabel, fieldsOf, fieldValue, type FieldId, type Person } from "../people";
import {
  line,
  font,
  hasWords,
  part,
  personField,
  settingsOf,
  spacer,
  textRunsOf,
  webSafeFont,
  type Settings,
  type TextRun,
} from "../signature";
import type { Found } from "./finding";
import type { Mend } from "./mend";

/** Under this letters of one line touch those of the next. */
const tightest = 1.1;

const most = { lines: 7, replyLines: 4, fonts: 2, colours: 4, letters: 600 } as const;

/** How many people of the directory lack each field. */
export interface DirectoryGaps {
  readonly people: number;
  readonly lacking: Readonly<Partial<Record<FieldId, number>>>;
}

/** Whether nothing stands in a line. */
const isBlank = (node: Node): boolean =>
  line.is(node) && node.content.content.every(({ isText, text }) => isText && (text ?? "").trim() === "");

function checkTypes(runs: readonly TextRun[]): Found[] {
  const told = new Set<number>();
  return runs.flatMap(({ position, text, look: { size } }): Found[] => {
    if (size >= smallestRead || told.has(size)) return [];
    told.add(size);
    return [
      {
        code: "type-too-small",
        position,
        message: `“${text.trim().slice(0, 40)}” is set in ${size} px, which is hard to read: ${smallestRead} px is the least.`,
        mend: { kind: "set-size", label: `Set it in ${smallestRead} px`, from: size, to: smallestRead },
      },
    ];
  });
}

/** Fonts that recipients do not have, each once a line. */
function checkFonts(document: Node, settings: Settings): Found[] {
  const missing = (family: string, position: number | null): Found => ({
    code: "font-not-web-safe",
    position,
    message: `“${family}” is not on most machines: recipients will see Arial.`,
    mend: { kind: "set-font", label: "Use Arial, which they see anyway", from: family, to: "Arial" },
  });
  const found = webSafeFont(settings.font) ? [] : [missing(settings.font, null)];
  document.descendants((node, position) => {
    if (!node.isTextblock) return;
    const families = node.content.content.flatMap(({ marks }) =>
      marks.filter(font.is).map((mark) => font.of(mark).font),
    );
    for (const family of new Set(families)) if (!webSafeFont(family)) found.push(missing(family, position));
  });
  return found;
}

/** Empty lines between lines of one cell that are there for the room that they take. */
function checkEmptyLines(document: Node, settings: Settings): Found[] {
  const found: Found[] = [];
  document.descendants((cell, position) => {
    if (cell.type.name !== "cell") return;
    let from = -1;
    let lines = 0;
    let height = 0;
    cell.forEach((part, offset, index) => {
      if (isBlank(part)) {
        if (from < 0) from = position + 1 + offset;
        lines++;
        height += Math.round((line.of(part).lineHeight ?? settings.lineHeight) * settings.size);
      }
      const ends = !isBlank(part) || index === cell.childCount - 1;
      if (ends && lines > 0 && lines < cell.childCount && (lines > 1 || index < cell.childCount - 1)) {
        const { least, most: highest } = spacer.attributes.height.value;
        const high = Math.min(highest, Math.max(least, height));
        const mend: Mend = {
          kind: "make-spacer",
          label: `Put a spacer of ${high} px there`,
          position: from,
          lines,
          height: high,
        };
        found.push({
          code: "empty-lines",
          position: from,
          message: `${lines === 1 ? "An empty line is" : `${lines} empty lines are`} there for the room: clients make ${lines === 1 ? "it" : "them"} differently high.`,
          mend,
        });
      }
      if (ends) [from, lines, height] = [-1, 0, 0];
    });
  });
  return found;
}

function checkLines(document: Node, settings: Settings): Found[] {
  const found: Found[] = [];
  document.descendants((node, position) => {
    if (!line.is(node) || isBlank(node)) return;
    const { lineHeight } = line.of(node);
    if (lineHeight !== null && lineHeight < tightest)
      found.push({
        code: "lines-too-tight",
        position,
        message: `Its line height is ${lineHeight}, so that letters of one line touch the next where it wraps: ${tightest} is the least.`,
        mend: { kind: "set-line-height", label: "As the signature", position },
      });
    const text = node.textContent;
    if (/[^\s\u00a0][ \u00a0]{3,}[^\s\u00a0]/.test(text))
      found.push({
        code: "spaces-as-layout",
        position,
        message: "Spaces in a row hold its words apart: a separator or another cell is as wide everywhere.",
      });
    const letters = text.replace(/[^\p{L}]/gu, "");
    if (letters.length >= 24 && letters === letters.toUpperCase() && letters !== letters.toLowerCase())
      found.push({
        code: "only-capitals",
        position,
        message: `“${text.trim().slice(0, 40)}” is wholly in capitals, which are slow to read.`,
      });
    if (text.length > most.letters)
      found.push({
        code: "long-text",
        position,
        message: `It has ${text.length} letters, and stands under each letter that is sent.`,
      });
  });
  if (settings.lineHeight < tightest)
    found.push({
      code: "lines-too-tight",
      position: null,
      message: `The line height is ${settings.lineHeight}: ${tightest} is the least.`,
    });
  return found;
}

/** Lines of text that say something. */
const linesIn = (runs: readonly TextRun[]): number =>
  new Set(
    runs.flatMap(({ text, block, blockPosition }) =>
      line.is(block) && hasWords(text) ? [blockPosition] : [],
    ),
  ).size;

function checkAmount(runs: readonly TextRun[]): Found[] {
  const found: Found[] = [];
  const note = (code: Found["code"], message: string): void =>
    void found.push({ code, position: null, message });
  const lines = linesIn(runs);
  if (lines > most.lines)
    note("many-lines", `It has ${lines} lines of text, and ${most.lines} is as many as are read.`);
  const fonts = new Set(runs.map(({ look }) => look.font));
  if (fonts.size > most.fonts) note("many-fonts", `It has ${fonts.size} fonts: ${[...fonts].join(", ")}.`);
  const colors = new Set(runs.map(({ look }) => look.color));
  if (colors.size > most.colours)
    note("many-colours", `Its text has ${colors.size} colours: ${[...colors].join(", ")}.`);
  return found;
}

/** Whether a field stands in a row or part that is shown only where it is filled. */
function isShownWhenFilled(document: Node, position: number, field: FieldId): boolean {
  const at = document.resolve(position);
  return Array.from({ length: at.depth }, (_unused, depth) => at.node(depth + 1)).some((node) => {
    const shownFor = part.is(node) ? part.of(node).shownFor : null;
    return shownFor?.field === field && shownFor.is === "filled";
  });
}

/** Fields without anything to say of some people, and nothing in their place. */
function checkFields(document: Node, gaps: DirectoryGaps | undefined): Found[] {
  const found: Found[] = [];
  if (!gaps) return found;
  document.descendants((node, position, parent) => {
    // Separators go with an empty field; words that were written around it stay.
    if (!personField.is(node) || !parent?.children.some(({ isText, text }) => isText && hasWords(text ?? "")))
      return;
    const { field, fallback, takesLine } = personField.of(node);
    const lacking = gaps.lacking[field] ?? gaps.people;
    if (lacking === 0 || fallback !== "" || takesLine || isShownWhenFilled(document, position, field)) return;
    found.push({
      code: "field-empty-for-some",
      position,
      message: `${lacking} of ${gaps.people} people have no ${fieldLabel(field).toLowerCase()}: say what stands there instead, or let it take its line along.`,
    });
  });
  return found;
}

/** How many of some people lack each field. */
export const gapsOf = (people: readonly Person[]): DirectoryGaps => ({
  people: people.length,
  lacking: Object.fromEntries(
    fieldsOf(people).map((field) => [
      field,
      people.filter((person) => fieldValue(person, field) === "").length,
    ]),
  ),
});

export function checkText(
  document: Node,
  runs: readonly TextRun[],
  gaps: DirectoryGaps | undefined,
): readonly Found[] {
  const settings = settingsOf(document);
  const worded = runs.filter(({ text }) => hasWords(text));
  const found: Found[] = [
    ...checkFonts(document, settings),
    ...checkTypes(worded),
    ...checkLines(document, settings),
    ...checkEmptyLines(document, settings),
    ...checkAmount(worded),
    ...checkFields(document, gaps),
  ];
  if (settings.language === "" && worded.length > 0)
    found.push({
      code: "language-missing",
      position: null,
      message: "It does not say which language it is in: set it among the signature's settings.",
    });
  return found;
}

/** What a reply holds is repeated with every answer. */
export function checkReply(short: Node, person: Person | null): readonly Found[] {
  const lines = linesIn(textRunsOf(short, person));
  return lines > most.replyLines
    ? [
        {
          code: "reply-too-long",
          position: null,
          message: `Replies hold ${lines} lines of it, each time: ${most.replyLines} are enough.`,
        },
      ]
    : [];
}
