/** A line of text as outlines, from the fonts that ship with the application, with some of its words showing. */
import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import * as fontkit from "fontkit";
import { wordsOf, type RevealedText, type Size } from "@/core/pictures";
import { webSafeFont } from "@/core/signature";
import { assets } from "../assets";
import { Refusal } from "../http/refusal";

/** Of the size: room from the top to the baseline, and for a whole line. */
const baseline = 0.98;
const lineHeight = 1.3;
/** Clear room at the left and right, so that leaning letters are not cut; CSS px. */
const room = 2;

const faces = new Map<string, readonly fontkit.Font[]>();

/** A family's files for a weight, those of one script each; most text is in the first. */
function facesOf(family: string, bold: boolean): readonly fontkit.Font[] {
  const key = `${family}-${bold}`;
  let found = faces.get(key);
  if (!found) {
    const drawnWith = webSafeFont(family)?.drawnWith;
    if (!drawnWith)
      throw new Refusal(
        422,
        "no-such-font",
        `“${family}” does not ship with Still Line: choose another font.`,
      );
    const folder = assets.fonts(drawnWith);
    const weight = bold ? 700 : 400;
    found = readdirSync(folder)
      .filter((file) => file.endsWith(`-${weight}-normal.woff2`))
      .sort((one, other) => Number(other.includes("-latin-4")) - Number(one.includes("-latin-4")))
      .map((file) => fontkit.create(readFileSync(path.join(folder, file))) as fontkit.Font);
    faces.set(key, found);
  }
  return found;
}

interface LaidWord {
  readonly svg: string;
  readonly width: number;
}

function layWord(word: string, { font, size, bold, color }: RevealedText): LaidWord {
  const characters = [...word].map((character) => character.codePointAt(0)!);
  const face = facesOf(font, bold).find((candidate) =>
    characters.every((character) => candidate.hasGlyphForCodePoint(character)),
  );
  if (!face)
    throw new Refusal(
      422,
      "no-such-letters",
      `“${font}” has no letters for “${word}”: choose another font or word.`,
    );
  const scale = size / face.unitsPerEm;
  const run = face.layout(word);
  let pen = 0;
  let svg = "";
  run.glyphs.forEach((glyph, index) => {
    const place = run.positions[index]!;
    const [x, y] = [pen + place.xOffset * scale, place.yOffset * scale];
    svg += `<path transform="translate(${x.toFixed(2)} ${(-y).toFixed(2)}) scale(${scale} ${-scale})" d="${glyph.path.toSVG()}" fill="${color}"/>`;
    pen += place.xAdvance * scale;
  });
  return { svg, width: pen };
}

const rightToLeft = /[\u0590-\u08ff\ufb1d-\ufdff\ufe70-\ufefc]/;

export interface LaidText extends Size {
  /** The first `shown` words as SVG at a scale. */
  readonly draw: (shown: number, scale: number) => Buffer;
}

/** Refuses, with the word, what the font cannot write. Sizes are CSS px. */
export function layText(text: RevealedText): LaidText {
  const words = wordsOf(text.words);
  if (words.length === 0) throw new Refusal(422, "no-words", "Write the words that are to appear.");
  const laid = words.map((word) => layWord(word, text));
  const space = text.size * (webSafeFont(text.font)?.space ?? 0.28);
  const width = Math.ceil(laid.reduce((sum, word) => sum + word.width, space * (laid.length - 1))) + 2 * room;
  const height = Math.ceil(text.size * lineHeight);
  const backwards = rightToLeft.test(text.words);
  let pen = room;
  const placed = laid.map((word) => {
    const x = backwards ? width - pen - word.width : pen;
    pen += word.width + space;
    return `<g transform="translate(${x.toFixed(2)} ${(text.size * baseline).toFixed(2)})">${word.svg}</g>`;
  });
  const behind = text.background
    ? `<rect width="${width}" height="${height}" fill="${text.background}"/>`
    : "";
  return {
    width,
    height,
    draw: (shown, scale) =>
      Buffer.from(
        `<svg xmlns="http://www.w3.org/2000/svg" width="${Math.round(width * scale)}" height="${Math.round(height * scale)}" viewBox="0 0 ${width} ${height}">${behind}${placed.slice(0, shown).join("")}</svg>`,
      ),
  };
}
