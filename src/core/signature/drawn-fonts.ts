/**
 * The metric-compatible fonts that ship with the application, so that the Bench and the proofs break lines as
 * recipients will, on machines that lack the web-safe fonts themselves.
 */
import { webSafeFonts, type DrawnFace } from "./fonts";

const weights = ["400", "700"] as const;
const styles = ["normal", "italic"] as const;
type Subset = "latin" | "latin-ext" | "cyrillic" | "greek" | "hebrew";

/** Which alphabets each shipped family has, beside Latin. */
export const shippedSubsets: Readonly<Record<DrawnFace, readonly Subset[]>> = {
  arimo: ["latin", "latin-ext", "cyrillic", "greek", "hebrew"],
  tinos: ["latin", "latin-ext", "cyrillic", "greek", "hebrew"],
  cousine: ["latin", "latin-ext", "cyrillic", "greek", "hebrew"],
  gelasio: ["latin", "latin-ext"],
  "dejavu-sans": ["latin"],
};

/** The characters of each file, as the font packages declare them (CSS Fonts 4, unicode-range). */
export const subsetRanges: Readonly<Record<Subset, string>> = {
  latin:
    "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
  "latin-ext":
    "U+0100-0130,U+0132-0151,U+0154-02BA,U+02BD-02C5,U+02C7-02CC,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+20A0-20AB,U+20AD-20C0",
  cyrillic: "U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116",
  greek: "U+0370-03FF",
  hebrew: "U+0590-05FF,U+200C-2010,U+20AA,U+25CC,U+FB1D-FB4F",
};

/** The names of all font files that may be asked for. */
const drawnFontFiles: readonly string[] = Object.entries(shippedSubsets).flatMap(([family, own]) =>
  own.flatMap((subset) =>
    weights.flatMap((weight) => styles.map((style) => `${family}-${subset}-${weight}-${style}.woff2`)),
  ),
);

/** The font package that a file belongs to; null for a file that does not ship. */
export const packageOfFontFile = (file: string): string | null =>
  drawnFontFiles.includes(file)
    ? (Object.keys(shippedSubsets).find((family) => file.startsWith(`${family}-`)) ?? null)
    : null;

/** Font-face rules that draw a family with a face that ships, under the address that serves the files. */
export const faceRules = (family: string, face: DrawnFace, address: string): string =>
  shippedSubsets[face]
    .flatMap((subset) =>
      weights.flatMap((weight) =>
        styles.map(
          (style) =>
            `@font-face{font-family:"${family}";font-style:${style};font-weight:${weight};font-display:block;` +
            `src:url("${address}/${face}-${subset}-${weight}-${style}.woff2") format("woff2");` +
            `unicode-range:${subsetRanges[subset]}}`,
        ),
      ),
    )
    .join("\n");

/** Font-face rules that draw each web-safe family with what ships. */
export const drawnFontRules = (address: string): string =>
  webSafeFonts
    .flatMap(({ family, drawnWith }) => (drawnWith ? [faceRules(family, drawnWith, address)] : []))
    .join("\n");
