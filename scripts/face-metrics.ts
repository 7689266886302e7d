/**
 * Writes `src/core/measure/face-metrics.json`: the advance widths, the kerning and the vertical metrics of the faces that ship, in each of
 * their styles, in units of their em, read by fontkit. A face is several files, one for each alphabet; letters of two files are never
 * kerned against each other. Takes some minutes; run again when a font is added.
 */
import { readFileSync, writeFileSync } from "node:fs";
import { create, type Font } from "fontkit";
import { shippedSubsets, subsetRanges } from "@/core/signature/drawn-fonts";
import type { DrawnFace } from "@/core/signature";

const styles = {
  regular: "400-normal",
  bold: "700-normal",
  italic: "400-italic",
  "bold italic": "700-italic",
} as const;

/** Letters whose kerning is worth a table: those of names, titles and addresses, and the space between them. */
const isKerned = (code: number): boolean =>
  code < 0x180 || (code >= 0x370 && code < 0x460) || (code >= 0x2010 && code <= 0x203a);
/** Alphabets whose files kern nothing, or whose letters are marks upon each other. */
const withoutKerning: readonly string[] = ["hebrew"];

const inRanges = (ranges: string, code: number): boolean =>
  ranges.split(",").some((range) => {
    const [first = "", last = first] = range.slice(2).split("-");
    return code >= parseInt(first, 16) && code <= parseInt(last, 16);
  });

/** The table of advance widths, which fontkit reads and does not type; the last one holds for all glyphs after it. */
interface Advances {
  readonly hmtx: {
    readonly metrics: { readonly length: number; get(index: number): { readonly advance: number } };
  };
}

function advanceOf(font: Font, code: number): number {
  const { metrics } = (font as unknown as Advances).hmtx;
  return metrics.get(Math.min(font.glyphForCodePoint(code).id, metrics.length - 1)).advance;
}

/** Letters that faces draw as one, the longest first. */
const joined = ["ffi", "ffl", "ff", "fi", "fl", "fj"];
/** Each letter by itself, as it is drawn where there is space between letters. */
const apart = { liga: false, clig: false };

/** How much wider letters are that are drawn as one. */
const ligaturesOf = (font: Font): Readonly<Record<string, number>> =>
  Object.fromEntries(
    joined
      .filter((letters) => font.hasGlyphForCodePoint(letters.codePointAt(0) ?? 0))
      .map(
        (letters) =>
          [letters, font.layout(letters).advanceWidth - font.layout(letters, apart).advanceWidth] as const,
      )
      .filter(([, wider]) => wider !== 0),
  );

/** Of a pair; null where one of the glyphs has no outline that can be read, which kerns nothing. */
function pairAdvance(font: Font, pair: string): number | null {
  try {
    return font.layout(pair, apart).advanceWidth;
  } catch {
    return null;
  }
}

/** Widths in runs of codes that follow each other. */
function runsOf(widths: ReadonlyMap<number, number>): (readonly [number, readonly number[]])[] {
  const runs: [number, number[]][] = [];
  for (const [code, width] of [...widths].sort(([one], [other]) => one - other)) {
    const last = runs.at(-1);
    if (last && last[0] + last[1].length === code) last[1].push(width);
    else runs.push([code, [width]]);
  }
  return runs;
}

/** Letters that behave alike on a side, as strings, by what they do. */
function classesOf(codes: readonly number[], key: (code: number) => string | null): Map<string, string> {
  const classes = new Map<string, string>();
  for (const code of codes) {
    const own = key(code);
    if (own !== null) classes.set(own, (classes.get(own) ?? "") + String.fromCodePoint(code));
  }
  return classes;
}

function kerningOf(font: Font, widths: ReadonlyMap<number, number>) {
  const codes = [...widths.keys()].filter((code) => isKerned(code));
  const text = codes.map((code) => String.fromCodePoint(code));
  const rows = new Map<number, number[]>();
  codes.forEach((code, left) => {
    const row = codes.map((other, right) => {
      const own = (widths.get(code) ?? 0) + (widths.get(other) ?? 0);
      return (pairAdvance(font, `${text[left]}${text[right]}`) ?? own) - own;
    });
    if (row.some((delta) => delta !== 0)) rows.set(code, row);
  });
  if (rows.size === 0) return null;
  const column = (index: number): number[] => [...rows.values()].map((row) => row[index] ?? 0);
  const right = classesOf(codes, (code) => {
    const own = column(codes.indexOf(code));
    return own.some((delta) => delta !== 0) ? own.join() : null;
  });
  const left = classesOf([...rows.keys()], (code) => rows.get(code)?.join() ?? null);
  const first = (letters: string): number => letters.codePointAt(0) ?? 0;
  return {
    left: [...left.values()],
    right: [...right.values()],
    deltas: [...left.values()].map((letters) =>
      [...right.values()].map((others) => rows.get(first(letters))?.[codes.indexOf(first(others))] ?? 0),
    ),
  };
}

/** What the face says, or how high its x is drawn where it says nothing. */
const xHeightOf = (font: Font): number => font.xHeight || font.glyphForCodePoint(0x78).bbox.maxY;

function styleOf(face: DrawnFace, file: string) {
  const subsets = shippedSubsets[face];
  const fonts = subsets.map(
    (subset) =>
      create(readFileSync(`node_modules/@fontsource/${face}/files/${face}-${subset}-${file}.woff`)) as Font,
  );
  const [main] = fonts;
  if (!main) throw new Error(`${face} has no file`);
  // Of two files that have a letter, the one that is declared last draws it (CSS Fonts 4, section 4.5).
  const ownerOf = (code: number): number =>
    subsets.findLastIndex(
      (subset, index) => inRanges(subsetRanges[subset], code) && fonts[index]?.hasGlyphForCodePoint(code),
    );
  const parts = subsets.map((subset, index) => {
    const font = fonts[index]!;
    const widths = new Map(
      font.characterSet
        .filter((code) => code >= 32 && ownerOf(code) === index)
        .map((code) => [code, advanceOf(font, code)] as const),
    );
    return {
      runs: runsOf(widths),
      kerning: face === "cousine" || withoutKerning.includes(subset) ? null : kerningOf(font, widths),
    };
  });
  const { unitsPerEm, ascent, descent, lineGap } = main;
  return {
    ...{ em: unitsPerEm, ascent, descent: -descent, lineGap, xHeight: xHeightOf(main) },
    ...{ ligatures: ligaturesOf(main), parts },
  };
}

const metrics = Object.fromEntries(
  (Object.keys(shippedSubsets) as DrawnFace[]).map((face) => [
    face,
    Object.fromEntries(
      Object.entries(styles).map(([style, file]) => {
        process.stdout.write(`${face}, ${style}\n`);
        return [style, styleOf(face, file)];
      }),
    ),
  ]),
);
writeFileSync("src/core/measure/face-metrics.json", `${JSON.stringify(metrics)}\n`);
