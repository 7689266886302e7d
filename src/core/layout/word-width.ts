/** How wide a word is drawn, from the letters' own widths: px, without kerning. */
import { wordTable } from "../values";
import { webSafeFont, type DrawnFace } from "../signature";
import widths from "./letter-widths.json" with { type: "json" };

/** Fonts that do not ship: how much wider than the shipped sans-serif their letters are on average, by their metrics. */
const widerThanSans = wordTable<number>({
  Tahoma: 1.0,
  "Trebuchet MS": 1.02,
});

const first = 32;

export interface WordStyle {
  readonly font: string;
  /** px. */
  readonly size: number;
  readonly bold: boolean;
  /** Added after each letter; px. */
  readonly letterSpacing: number;
  /** The face that it is drawn with, where that is not its font's own. */
  readonly face?: DrawnFace;
}

/** Letters that are in no table are as wide as an n; those of East Asia as wide as their size. */
export function wordWidth(word: string, { font, size, bold, letterSpacing, face }: WordStyle): number {
  const known = webSafeFont(font);
  const drawn = face ?? known?.drawnWith ?? (known?.generic === "serif" ? "tinos" : "arimo");
  const own = widths[drawn][bold ? "bold" : "regular"];
  const wider = (face || known?.drawnWith ? undefined : widerThanSans[font]) ?? 1;
  const letter = (character: string): number => {
    const code = character.codePointAt(0) ?? 0;
    if (code >= 0x2e80) return 1000;
    return (own[code - first] ?? own["n".charCodeAt(0) - first] ?? 500) * wider;
  };
  return [...word].reduce((sum, each) => sum + (letter(each) * size) / 1000 + letterSpacing, 0);
}
