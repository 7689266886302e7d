/**
 * The web-safe fonts: what a recipient's machine can be trusted to have, and what falls in when it has not.
 * `space` is the width of a space in em, from each font's own horizontal metrics, for gaps set by measure.
 * `drawnWith` is the metric-compatible family that ships with the application, so that a proof breaks its
 * lines where the recipient's will.
 */
/** The faces that ship: all but the last have the widths of a web-safe font to the unit, and that one nearly Verdana's. */
export type DrawnFace = "arimo" | "tinos" | "cousine" | "gelasio" | "dejavu-sans";

export interface WebSafeFont {
  readonly family: string;
  readonly fallbacks: readonly string[];
  readonly generic: "sans-serif" | "serif" | "monospace";
  readonly space: number;
  readonly drawnWith: DrawnFace | null;
  readonly foundOn: string;
}

export const webSafeFonts: readonly WebSafeFont[] = [
  {
    family: "Arial",
    fallbacks: ["Helvetica"],
    generic: "sans-serif",
    space: 0.278,
    drawnWith: "arimo",
    foundOn: "every desktop; phones draw their own sans-serif of the same widths",
  },
  {
    family: "Helvetica",
    fallbacks: ["Arial"],
    generic: "sans-serif",
    space: 0.278,
    drawnWith: "arimo",
    foundOn: "some desktops and phones; Arial, of the same widths, elsewhere",
  },
  {
    family: "Verdana",
    fallbacks: ["Geneva"],
    generic: "sans-serif",
    space: 0.352,
    drawnWith: "dejavu-sans",
    foundOn: "every desktop; phones draw a narrower sans-serif",
  },
  {
    family: "Tahoma",
    fallbacks: ["Geneva", "Verdana"],
    generic: "sans-serif",
    space: 0.313,
    drawnWith: null,
    foundOn: "every desktop; phones draw their own sans-serif",
  },
  {
    family: "Trebuchet MS",
    fallbacks: ["Arial"],
    generic: "sans-serif",
    space: 0.301,
    drawnWith: null,
    foundOn: "every desktop and some phones",
  },
  {
    family: "Georgia",
    fallbacks: ["Times New Roman", "Times"],
    generic: "serif",
    space: 0.241,
    drawnWith: "gelasio",
    foundOn: "every desktop and some phones; others draw a narrower serif",
  },
  {
    family: "Times New Roman",
    fallbacks: ["Times"],
    generic: "serif",
    space: 0.25,
    drawnWith: "tinos",
    foundOn: "every desktop and some phones",
  },
  {
    family: "Courier New",
    fallbacks: ["Courier"],
    generic: "monospace",
    space: 0.6,
    drawnWith: "cousine",
    foundOn: "every desktop and some phones",
  },
];

const byFamily = new Map(webSafeFonts.map((font) => [font.family, font]));

/** The entry of a web-safe family, or null for a family that recipients may not have. */
export const webSafeFont = (family: string): WebSafeFont | null => byFamily.get(family) ?? null;

/** A family as CSS reads it: a bare word, or a string whose own quotes and slashes are escaped (CSS Syntax 3, 4.3.7). */
const quoted = (family: string): string =>
  /^[A-Za-z-]+$/.test(family) ? family : `'${family.replace(/[\\']/g, "\\$&").replace(/\s/g, " ")}'`;

/** The CSS font stack of a family; it always ends in a generic family (CSS Fonts 4, section 2.1). */
export function fontStack(family: string): string {
  const font = webSafeFont(family);
  return [family, ...(font?.fallbacks ?? ["Arial"])]
    .map(quoted)
    .concat(font?.generic ?? "sans-serif")
    .join(",");
}

/** Width of one space in px. A family that we know nothing of is taken to be as wide as Arial. */
export const spaceWidth = (family: string, size: number): number =>
  (webSafeFont(family)?.space ?? 0.278) * size;
