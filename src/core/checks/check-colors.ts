/** Text that is hard to read on what is behind it, as it is designed and in the dark modes. */
import type { Node } from "prosemirror-model";
import { drawnText, type DarkMode } from "../clients";
import { contrast, nearestColor, readableContrast } from "../color";
import type { Person } from "../people";
import { textColorsOf, type TextColor } from "../signature";
import type { Found } from "./finding";
import type { Mend } from "./mend";

/** Under this no eye makes it out without effort (WCAG 2.2, 1.4.3, of large text). */
const barely = 3;

interface Seen {
  readonly mode: DarkMode;
  readonly ratio: number;
}

/** The least contrast by light, and the least of the dark modes. */
function leastOf(color: string, background: string | null): { readonly light: Seen; readonly dark: Seen } {
  const [light, ...dark] = drawnText(color, background).map(({ mode, ...drawn }) => ({
    mode,
    ratio: contrast(drawn.color, drawn.behind),
  }));
  const most: Seen = { mode: "none", ratio: 21 };
  return {
    light: light ?? most,
    dark: dark.reduce((least, seen) => (least.ratio <= seen.ratio ? least : seen), most),
  };
}

/** The nearest colour of the same hue that can be read on every background that text of this colour stands on. */
function readableInstead(color: string, backgrounds: readonly (string | null)[]): Mend | null {
  const to = nearestColor(color, (hex) =>
    backgrounds.every((background) => {
      const { light, dark } = leastOf(hex, background);
      return light.ratio >= readableContrast && dark.ratio >= readableContrast;
    }),
  );
  return to && to !== color
    ? { kind: "recolor", label: `Use ${to}, which reads in both`, from: color, to }
    : null;
}

const quoted = (text: string): string => {
  const trimmed = text.trim();
  return `“${trimmed.length > 40 ? `${trimmed.slice(0, 39)}…` : trimmed}”`;
};

const inMode: Readonly<Record<DarkMode, string>> = {
  none: "",
  partial: "where dark mode darkens the page and lightens dark text",
  full: "where dark mode mirrors every colour",
  canvas: "on a dark canvas",
};

function about(run: TextColor, mendOf: () => Mend | null): Found | null {
  const { light, dark } = leastOf(run.color, run.background);
  const worse = light.ratio < readableContrast ? light : dark;
  if (worse.ratio >= readableContrast) return null;
  const byLight = worse.mode === "none";
  const mend = mendOf();
  const how = `${worse.ratio.toFixed(1)}:1 to what is behind it${byLight ? "" : ` ${inMode[worse.mode]}`}`;
  return {
    code: !byLight
      ? "text-hard-to-read-in-the-dark"
      : run.ofButton
        ? "button-hard-to-read"
        : "text-hard-to-read",
    severity: worse.ratio < barely ? (byLight && worse.ratio < 1.5 ? "break" : "attention") : "note",
    position: run.position,
    message: `${quoted(run.text)} has a contrast of ${how}; ${readableContrast}:1 is easy to read.`,
    ...(mend && { mend }),
  };
}

/** Each colour on each background once, at the first text that has it. */
export function checkColors(document: Node, person: Person | null): readonly Found[] {
  const runs = textColorsOf(document, person);
  const told = new Set<string>();
  return runs.flatMap((run) => {
    const key = `${run.color} ${run.background}`;
    if (told.has(key)) return [];
    told.add(key);
    const sameColor = runs.filter(({ color }) => color === run.color);
    const backgrounds = [...new Set(sameColor.map(({ background }) => background))];
    return about(run, () => readableInstead(run.color, backgrounds)) ?? [];
  });
}
