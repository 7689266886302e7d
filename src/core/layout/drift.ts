/**
 * Drift: how far a signature as a stand-in draws it is from the design, part by part. Lengths in px, origin at the
 * signature's top left, y down; colour differences in CIEDE2000.
 */
import { channelsOf, colorDifference, contrast, parseColor, readableContrast, toHex } from "../color";
import { leastVisibility, visibilityOn, type PictureColors } from "../pictures";

/** A run of text, a picture, or a cell with a border or background, as it is drawn. */
export interface DrawnPart {
  /** The same in the design and in every proof of it. */
  readonly id: number;
  readonly kind: "text" | "picture" | "box";
  /** What it says, a picture's alt text, or what a box is: "border", "filled cell". */
  readonly text: string;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  /** What stands in each of its lines. */
  readonly lines: readonly string[];
  /** CSS colours, as a browser computes them; of a box that of its border, or of what fills it. */
  readonly color: string;
  readonly behind: string;
  /** px. */
  readonly fontSize: number;
  readonly fontFamily: string;
  /** Of pictures: the path that they are drawn from; empty for text. */
  readonly source: string;
}

/** The colours of pictures that are known, by the paths that they are drawn from. */
export type KnownColors = Readonly<Record<string, PictureColors>>;

export interface PartDrift {
  readonly id: number;
  readonly kind: DrawnPart["kind"];
  readonly text: string;
  /** How far it is from its place. */
  readonly moved: number;
  /** How much wider, narrower, higher or lower it is. */
  readonly resized: number;
  readonly wrapped: boolean;
  readonly missing: boolean;
  /** How far its colour is from the design's. */
  readonly recolored: number;
  /** Of text with letters or digits: its contrast to what is behind it (WCAG 2.2); null for all else. */
  readonly contrast: number | null;
  /** Of pictures whose colours are known: the share of what it shows that can be told from what is around it; null for all else. */
  readonly visibility: number | null;
  readonly otherFont: boolean;
}

/** What a proof may be off and still count as still. */
const stillBounds = {
  moved: 2,
  contrast: readableContrast,
  visibility: leastVisibility,
} as const;

/** The definition, said where the number is shown. */
export const stillDefinition = `A proof is still when nothing in it moved more than ${stillBounds.moved} px, nothing wraps differently or is gone, no text is under ${stillBounds.contrast}:1, and ${stillBounds.visibility * 100} % or more of what each picture shows stands out.`;

const hasWords = (text: string): boolean => /[\p{L}\p{N}]/u.test(text);

function difference(one: string, other: string): number {
  const [first, second] = [toHex(one), toHex(other)];
  return first && second ? colorDifference(channelsOf(first), channelsOf(second)) : 0;
}

function contrastOf({ kind, text, color, behind }: DrawnPart): number | null {
  if (kind !== "text" || !hasWords(text)) return null;
  try {
    return contrast(color, behind);
  } catch {
    return null;
  }
}

function visibilityOf(
  { kind, source, behind }: DrawnPart,
  design: DrawnPart,
  colors: KnownColors,
): number | null {
  const known = kind === "picture" ? colors[source] : undefined;
  return known && parseColor(behind) && parseColor(design.behind)
    ? visibilityOn(known, behind, design.behind)
    : null;
}

const sameLines = (one: readonly string[], other: readonly string[]): boolean =>
  one.length === other.length && one.every((line, index) => line === other[index]);

const gone = ({ id, kind, text }: DrawnPart): PartDrift => ({
  id,
  kind,
  text,
  moved: 0,
  resized: 0,
  wrapped: false,
  missing: true,
  recolored: 0,
  contrast: null,
  visibility: null,
  otherFont: false,
});

/** Every part of the design beside its rendering, in the order of the design. */
export function driftBetween(
  design: readonly DrawnPart[],
  shown: readonly DrawnPart[],
  colors: KnownColors = {},
): readonly PartDrift[] {
  const there = new Map(shown.map((part) => [part.id, part]));
  return design.map((part) => {
    const drawn = there.get(part.id);
    if (!drawn || (drawn.width === 0 && part.width > 0)) return gone(part);
    return {
      id: part.id,
      kind: part.kind,
      text: part.text,
      moved: Math.max(Math.abs(drawn.left - part.left), Math.abs(drawn.top - part.top)),
      resized: Math.max(Math.abs(drawn.width - part.width), Math.abs(drawn.height - part.height)),
      wrapped: part.kind === "text" && !sameLines(part.lines, drawn.lines),
      missing: false,
      recolored: part.kind === "picture" ? 0 : difference(part.color, drawn.color),
      contrast: contrastOf(drawn),
      visibility: visibilityOf(drawn, part, colors),
      otherFont: part.kind === "text" && part.fontFamily !== drawn.fontFamily,
    };
  });
}

export type UnstillReason = "missing" | "wrapped" | "moved" | "unreadable" | "vanished";

/** Why a part keeps its proof from being still; null where it does not. The worst reason is named. */
export function unstillReason({
  missing,
  wrapped,
  moved,
  contrast: seen,
  visibility,
}: PartDrift): UnstillReason | null {
  if (missing) return "missing";
  if (wrapped) return "wrapped";
  if (moved > stillBounds.moved) return "moved";
  if (seen !== null && seen < stillBounds.contrast) return "unreadable";
  if (visibility !== null && visibility < stillBounds.visibility) return "vanished";
  return null;
}

export const isStill = (drift: readonly PartDrift[]): boolean =>
  drift.every((part) => unstillReason(part) === null);

/** How far a proof is from still, to put the worst first: what is gone weighs more than what moved. */
export function unrest(drift: readonly PartDrift[]): number {
  const weights: Readonly<Record<UnstillReason, number>> = {
    missing: 100,
    vanished: 60,
    wrapped: 40,
    unreadable: 20,
    moved: 1,
  };
  return drift.reduce((sum, part) => {
    const reason = unstillReason(part);
    return reason === null
      ? sum
      : sum + weights[reason] + (reason === "moved" ? Math.min(part.moved, 30) : 0);
  }, 0);
}
