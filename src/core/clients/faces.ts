/**
 * Which face a recipient sees: what a kind of client has installed, and what falls in for a font that it lacks. As data,
 * with the reason; drawn with faces that ship, of equal or nearly equal widths.
 */
import { faceRules, webSafeFont, webSafeFonts, type DrawnFace } from "../signature";
import type { StandIn } from "./stand-in";

export type FontSet = "desktop" | "phone-with-fonts" | "phone-without-fonts";

interface Installed {
  readonly families: readonly string[];
  readonly reason: string;
}

const every = webSafeFonts.map(({ family }) => family);

/** What is installed where the client runs: fonts are the machine's and not the client's. */
export const fontSets: Readonly<Record<FontSet, Installed>> = {
  desktop: { families: every, reason: "desktop machines have every web-safe font" },
  "phone-with-fonts": {
    families: every.filter((family) => family !== "Tahoma"),
    reason: "this phone has every web-safe font but Tahoma",
  },
  "phone-without-fonts": {
    families: [],
    reason: "this phone has one face of its own for each of sans-serif, serif and monospace",
  },
};

/** What is drawn for a generic family (CSS Fonts 4, 2.1.1), and the widest that any machine draws for it. */
const generics = {
  "sans-serif": { usual: "arimo", widest: "dejavu-sans", name: "its own sans-serif" },
  serif: { usual: "tinos", widest: "gelasio", name: "its own serif" },
  monospace: { usual: "cousine", widest: "cousine", name: "its own monospace" },
} as const satisfies Record<string, { usual: DrawnFace; widest: DrawnFace; name: string }>;

/** Whether fonts are there as the kind has them, the stack's next face falls in, or the widest that might. */
export type FontTrial = "installed" | "next" | "widest";

export interface SeenFace {
  /** A family, or "its own sans-serif". */
  readonly name: string;
  readonly drawnWith: DrawnFace | null;
}

/** The face that a recipient sees where a text asks for a family. */
export function faceSeen(
  standIn: Pick<StandIn, "fonts">,
  family: string,
  trial: FontTrial = "installed",
): SeenFace {
  const font = webSafeFont(family) ?? webSafeFont("Arial");
  if (!font) return { name: family, drawnWith: null };
  const generic = generics[font.generic];
  if (trial === "widest") return { name: `the widest ${font.generic}`, drawnWith: generic.widest };
  const { families } = fontSets[standIn.fonts];
  const asked = trial === "installed" && webSafeFont(family) ? [family] : [];
  const seen = [...asked, ...font.fallbacks].find((each) => families.includes(each));
  return seen
    ? { name: seen, drawnWith: webSafeFont(seen)?.drawnWith ?? null }
    : { name: generic.name, drawnWith: generic.usual };
}

/** The web-safe families that some HTML names. */
const familiesIn = (html: string): readonly string[] => every.filter((family) => html.includes(family));

/** Whether every family is drawn with what ships for it. */
const isAsShipped = ({ fonts }: Pick<StandIn, "fonts">, trial: FontTrial): boolean =>
  trial === "installed" && fonts === "desktop";

/** The face that a family is drawn with for a recipient; null where what draws it has no such family. */
export function faceDrawn(
  standIn: Pick<StandIn, "fonts">,
  family: string,
  trial: FontTrial,
): DrawnFace | null {
  const font = webSafeFont(family);
  if (!font || isAsShipped(standIn, trial)) return font?.drawnWith ?? null;
  return faceSeen(standIn, family, trial).drawnWith ?? font.drawnWith;
}

/** Font-face rules that draw those families as a recipient sees them; none where that is as they are. */
export function seenFaceRules(
  standIn: Pick<StandIn, "fonts">,
  html: string,
  trial: FontTrial,
  address: string,
): string {
  if (isAsShipped(standIn, trial)) return "";
  return familiesIn(html)
    .flatMap((family) => {
      const drawnWith = faceDrawn(standIn, family, trial);
      return drawnWith && drawnWith !== webSafeFont(family)?.drawnWith
        ? [faceRules(family, drawnWith, address)]
        : [];
    })
    .join("\n");
}

/** Families that some HTML asks for first, and not only where another is missing. */
const askedFor = (html: string): readonly string[] =>
  familiesIn(html).reduce<readonly string[]>(
    (asked, family) =>
      asked.some((earlier) => webSafeFont(earlier)?.fallbacks.includes(family)) ? asked : [...asked, family],
    [],
  );

/** The families that some HTML asks for and a recipient does not see, with what is seen. */
export const facesFallingIn = (
  standIn: Pick<StandIn, "fonts">,
  html: string,
  trial: FontTrial,
): readonly { readonly family: string; readonly seen: string }[] =>
  askedFor(html)
    .map((family) => ({ family, seen: faceSeen(standIn, family, trial).name }))
    .filter(({ family, seen }) => family !== seen);
