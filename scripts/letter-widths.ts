/**
 * Writes `src/core/layout/letter-widths.json`: how wide the letters of the shipped fonts are, in thousandths of an em, for
 * the characters from space to tilde, read from the fonts' own horizontal metrics. Run again when a font is added.
 */
import { readFileSync, writeFileSync } from "node:fs";
import { create, type Font } from "fontkit";

const families = ["arimo", "tinos", "cousine", "gelasio", "dejavu-sans"];
const weights = { regular: 400, bold: 700 } as const;
const characters = Array.from({ length: 95 }, (_, index) => 32 + index);

function widthsOf(family: string, weight: number): readonly number[] {
  const file = `node_modules/@fontsource/${family}/files/${family}-latin-${weight}-normal.woff2`;
  const font = create(readFileSync(file)) as Font;
  return characters.map((code) =>
    Math.round((font.glyphForCodePoint(code).advanceWidth * 1000) / font.unitsPerEm),
  );
}

const widths = Object.fromEntries(
  families.map((family) => [
    family,
    Object.fromEntries(Object.entries(weights).map(([name, weight]) => [name, widthsOf(family, weight)])),
  ]),
);
writeFileSync("src/core/layout/letter-widths.json", `${JSON.stringify(widths)}\n`);
