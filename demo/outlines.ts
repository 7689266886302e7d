/** Text as outlines, from the fonts that ship with the application, so that a drawing is the same on every machine. */
import { readFileSync } from "node:fs";
import path from "node:path";
import * as fontkit from "fontkit";
import { assets } from "@/server/assets";

const open = (family: string, file: string): fontkit.Font => {
  const font = fontkit.create(readFileSync(path.join(assets.fonts(family), file)));
  if (!("layout" in font)) throw new Error(`${file} is a collection and not a font`);
  return font;
};

const fonts = {
  serif: open("gelasio", "gelasio-latin-400-normal.woff"),
  sans: open("arimo", "arimo-latin-400-normal.woff"),
  bold: open("arimo", "arimo-latin-700-normal.woff"),
} as const;

export interface TextOutline {
  readonly svg: string;
  /** px. */
  readonly width: number;
}

/** One line of text with its baseline at (x, y); sizes and tracking in px. */
export function outline(
  text: string,
  {
    font,
    size,
    x,
    y,
    fill,
    tracking = 0,
  }: { font: keyof typeof fonts; size: number; x: number; y: number; fill: string; tracking?: number },
): TextOutline {
  const face = fonts[font];
  const scale = size / face.unitsPerEm;
  const run = face.layout(text);
  let pen = x;
  let svg = "";
  run.glyphs.forEach((glyph, index) => {
    const place = run.positions[index]!;
    svg += `<path transform="translate(${pen.toFixed(2)} ${y}) scale(${scale} ${-scale})" d="${glyph.path.toSVG()}" fill="${fill}"/>`;
    pen += place.xAdvance * scale + tracking;
  });
  return { svg, width: pen - x };
}
