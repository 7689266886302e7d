/**
 * How wide text is drawn: from the advance widths and the kerning of the faces that ship, which browsers draw to the same unit. px, as
 * set; nothing is rounded. Letters that no face has are taken for as wide as an n, those of East Asia for as wide as their size.
 */
import type { DrawnFace } from "../signature";
import metrics from "./face-metrics.json" with { type: "json" };

export interface FaceStyle {
  readonly face: DrawnFace;
  readonly bold: boolean;
  readonly italic: boolean;
}

export interface MeasuredStyle extends FaceStyle {
  /** px. */
  readonly size: number;
  /** Added after each letter; px. */
  readonly letterSpacing: number;
}

/** Above and below the baseline, and between lines, as parts of the size. */
export interface VerticalMetrics {
  readonly ascent: number;
  readonly descent: number;
  readonly lineGap: number;
}

interface Kerning {
  readonly left: ReadonlyMap<string, number>;
  readonly right: ReadonlyMap<string, number>;
  readonly deltas: readonly (readonly number[])[];
}

interface Letter {
  /** Units of the em. */
  readonly width: number;
  /** The file that has it: letters of two are not kerned against each other. */
  readonly part: number;
}

interface Table {
  readonly em: number;
  readonly vertical: VerticalMetrics;
  readonly letters: ReadonlyMap<number, Letter>;
  readonly kerning: readonly (Kerning | null)[];
  /** Letters that are drawn as one, and how much wider they are so; null where there are none. */
  readonly ligatures: { readonly pattern: RegExp; readonly wider: Readonly<Record<string, number>> } | null;
}

interface WrittenTable {
  readonly em: number;
  readonly ascent: number;
  readonly descent: number;
  readonly lineGap: number;
  /** The longest first. */
  readonly ligatures: Readonly<Record<string, number>>;
  readonly parts: readonly {
    readonly runs: readonly (readonly [number, readonly number[]])[];
    readonly kerning: {
      readonly left: readonly string[];
      readonly right: readonly string[];
      readonly deltas: readonly (readonly number[])[];
    } | null;
  }[];
}

const written = metrics as unknown as Readonly<Record<DrawnFace, Readonly<Record<string, WrittenTable>>>>;

const classes = (all: readonly string[]): ReadonlyMap<string, number> =>
  new Map(all.flatMap((letters, index) => [...letters].map((letter) => [letter, index] as const)));

function readTable({ em, ascent, descent, lineGap, ligatures, parts }: WrittenTable): Table {
  const joined = Object.keys(ligatures);
  const letters = new Map<number, Letter>();
  parts.forEach(({ runs }, part) => {
    for (const [first, widths] of runs)
      widths.forEach((width, index) => letters.set(first + index, { width, part }));
  });
  return {
    ...{ em, letters },
    ligatures: joined.length > 0 ? { pattern: new RegExp(joined.join("|"), "g"), wider: ligatures } : null,
    vertical: { ascent: ascent / em, descent: descent / em, lineGap: lineGap / em },
    kerning: parts.map(
      ({ kerning }) => kerning && { ...kerning, left: classes(kerning.left), right: classes(kerning.right) },
    ),
  };
}

const tables = new Map<string, Table>();

function tableOf({ face, bold, italic }: FaceStyle): Table {
  const style = bold ? (italic ? "bold italic" : "bold") : italic ? "italic" : "regular";
  const key = `${face} ${style}`;
  const known = tables.get(key);
  if (known) return known;
  const own = written[face][style];
  if (!own) throw new RangeError(`There is no face ${key}`);
  const table = readTable(own);
  tables.set(key, table);
  return table;
}

/** Marks upon letters, joiners and signs that turn the direction have no width of their own (Unicode, general categories Mn and Cf). */
const isWidthless = (letter: string): boolean => /^[\p{Mn}\p{Cf}]$/u.test(letter);

/** From here on letters are about as wide as their size (Unicode, the blocks of East Asia). */
const eastAsian = 0x2e80;

export const verticalMetrics = (style: FaceStyle): VerticalMetrics => tableOf(style).vertical;

/** Letters of a text that a face does not have, each once. */
export function missingLetters(text: string, style: FaceStyle): readonly string[] {
  const { letters } = tableOf(style);
  return [...new Set(text)].filter(
    (letter) => !letters.has(letter.codePointAt(0) ?? 0) && !isWidthless(letter) && !/\s/.test(letter),
  );
}

/** The width of a text on one line. */
export function textWidth(text: string, style: MeasuredStyle): number {
  const { em, letters, kerning, ligatures } = tableOf(style);
  const { size, letterSpacing } = style;
  const usual = letters.get(0x6e)?.width ?? em / 2;
  let units = 0;
  let spaced = 0;
  let before: { letter: string; part: number } | null = null;
  for (const letter of text) {
    const code = letter.codePointAt(0) ?? 0;
    const known = letters.get(code);
    if (!isWidthless(letter)) spaced += 1;
    if (!known) {
      before = null;
      if (!isWidthless(letter)) units += code >= eastAsian ? em : usual;
      continue;
    }
    units += known.width;
    const table = before?.part === known.part ? kerning[known.part] : null;
    const [left, right] = table && before ? [table.left.get(before.letter), table.right.get(letter)] : [];
    if (left !== undefined && right !== undefined) units += table?.deltas[left]?.[right] ?? 0;
    before = { letter, part: known.part };
  }
  // Space between letters keeps them apart (CSS Text 3, section 8.2).
  if (ligatures && letterSpacing === 0)
    for (const [found] of text.matchAll(ligatures.pattern)) units += ligatures.wider[found] ?? 0;
  return (units * size) / em + spaced * letterSpacing;
}
