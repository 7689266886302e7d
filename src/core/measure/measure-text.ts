/**
 * How wide text is drawn: from the advance widths and the kerning of the faces that ship, which browsers draw to the same unit. px, as
 * set; nothing is rounded. Letters that no face has are taken for as wide as an n, those of East Asia for as wide as their size.
 */
import { remember } from "../memory";
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

/** Above and below the baseline, between lines, and how high an x is, as parts of the size. */
export interface VerticalMetrics {
  readonly ascent: number;
  readonly descent: number;
  readonly lineGap: number;
  readonly xHeight: number;
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
  readonly xHeight: number;
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

function readTable({ em, ascent, descent, lineGap, xHeight, ligatures, parts }: WrittenTable): Table {
  const joined = Object.keys(ligatures);
  const letters = new Map<number, Letter>();
  parts.forEach(({ runs }, part) => {
    for (const [first, widths] of runs)
      widths.forEach((width, index) => letters.set(first + index, { width, part }));
  });
  return {
    ...{ em, letters },
    ligatures: joined.length > 0 ? { pattern: new RegExp(joined.join("|"), "g"), wider: ligatures } : null,
    vertical: { ascent: ascent / em, descent: descent / em, lineGap: lineGap / em, xHeight: xHeight / em },
    kerning: parts.map(
      ({ kerning }) => kerning && { ...kerning, left: classes(kerning.left), right: classes(kerning.right) },
    ),
  };
}

/** A face as it is measured with: what was measured last is kept, since the same words are set again and again. */
interface Face {
  readonly table: Table;
  /** With letters that are drawn as one, and with each by itself. */
  readonly joined: (text: string) => Advances;
  readonly apart: (text: string) => Advances;
}

const faces = new Map<string, Face>();

function faceOf({ face, bold, italic }: FaceStyle): Face {
  const style = bold ? (italic ? "bold italic" : "bold") : italic ? "italic" : "regular";
  const key = `${face} ${style}`;
  const known = faces.get(key);
  if (known) return known;
  const own = written[face][style];
  if (!own) throw new RangeError(`There is no face ${key}`);
  const table = readTable(own);
  const made: Face = {
    table,
    joined: remember((text) => advancesIn(text, table, true)),
    apart: remember((text) => advancesIn(text, table, false)),
  };
  faces.set(key, made);
  return made;
}

/** Marks upon letters, joiners and signs that turn the direction have no width of their own (Unicode, general categories Mn and Cf). */
const isWidthless = (letter: string, code: number): boolean =>
  (code >= 0x300 || code === 0xad) && /^[\p{Mn}\p{Cf}]$/u.test(letter);

/** From here on letters are about as wide as their size (Unicode, the blocks of East Asia). */
const eastAsian = 0x2e80;

export const verticalMetrics = (style: FaceStyle): VerticalMetrics => faceOf(style).table.vertical;

/** Letters of a text that a face does not have, each once. */
export function missingLetters(text: string, style: FaceStyle): readonly string[] {
  const { letters } = faceOf(style).table;
  return [...new Set(text)].filter((letter) => {
    const code = letter.codePointAt(0) ?? 0;
    return !letters.has(code) && !isWidthless(letter, code) && !/\s/.test(letter);
  });
}

interface Advances {
  /** Units of the em before each UTF-16 unit of the text, and after the last. */
  readonly units: readonly number[];
  /** How many letters are seen before each. */
  readonly seen: readonly number[];
}

/** Letters that are drawn as one, where they are: how much wider they are once the last of them has come. */
function joinedIn(text: string, { ligatures }: Table): ReadonlyMap<number, number> {
  const found = new Map<number, number>();
  if (ligatures)
    for (const match of text.matchAll(ligatures.pattern))
      found.set(match.index + match[0].length, ligatures.wider[match[0]] ?? 0);
  return found;
}

function advancesIn(text: string, table: Table, joins: boolean): Advances {
  const { em, letters, kerning } = table;
  const joined = joins ? joinedIn(text, table) : null;
  const usual = letters.get(0x6e)?.width ?? em / 2;
  const units = [0];
  const seen = [0];
  let wide = 0;
  let spaced = 0;
  let before: { letter: string; part: number } | null = null;
  for (const letter of text) {
    const code = letter.codePointAt(0) ?? 0;
    const known = letters.get(code);
    const widthless = isWidthless(letter, code);
    if (!widthless) spaced += 1;
    if (known) {
      wide += known.width;
      const pairs = before?.part === known.part ? kerning[known.part] : null;
      const [left, right] = pairs && before ? [pairs.left.get(before.letter), pairs.right.get(letter)] : [];
      if (left !== undefined && right !== undefined) wide += pairs?.deltas[left]?.[right] ?? 0;
      before = { letter, part: known.part };
    } else {
      before = null;
      if (!widthless) wide += code >= eastAsian ? em : usual;
    }
    // Of a letter of two units, the second begins where the letter ends.
    const reached = units.length + letter.length;
    while (units.length < reached) {
      wide += joined?.get(units.length) ?? 0;
      units.push(wide);
      seen.push(spaced);
    }
  }
  return { units, seen };
}

/** How far a text reaches up to each place between its UTF-16 units, on one line. */
export function widthsUpTo(text: string, style: MeasuredStyle): (place: number) => number {
  const { size, letterSpacing } = style;
  const { table, joined, apart } = faceOf(style);
  // Space between letters keeps them apart (CSS Text 3, section 8.2).
  const { units, seen } = letterSpacing === 0 ? joined(text) : apart(text);
  // Faces are scaled to 64ths of a px, cut off.
  const scaled = Math.floor(size * 64) / 64 / table.em;
  return (place) => (units[place] ?? 0) * scaled + (seen[place] ?? 0) * letterSpacing;
}

/** The width of a text on one line. */
export const textWidth = (text: string, style: MeasuredStyle): number => widthsUpTo(text, style)(text.length);
