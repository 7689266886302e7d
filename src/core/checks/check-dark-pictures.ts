/** Pictures that dark modes leave as they are while all around them changes. */
import type { Node } from "prosemirror-model";
import { drawnText, type DarkMode } from "../clients";
import { isHosted } from "../addresses";
import { contrast, nearestColor } from "../color";
import { leastVisibility, visibilityOn, type PictureColors } from "../pictures";
import { backgroundAt, iconRow, image } from "../signature";
import type { Found } from "./finding";
import type { Mend } from "./mend";

/** The colours of pictures that are known, by their sources. */
export type ColorsBySource = Readonly<Record<string, PictureColors>>;

/** From here a corner is a white box on what is behind it. */
const glaring = 12;

const inMode: Readonly<Record<DarkMode, string>> = {
  none: "by light",
  partial: "where dark mode darkens the page",
  full: "where dark mode mirrors every colour",
  canvas: "on a dark canvas",
};

/** What a picture stands on in each dark mode. */
const groundsOf = (background: string | null) =>
  drawnText("#000000", background).filter(({ mode }) => mode !== "none");

/** What has nearly one colour can have another one; the rest gets a plate. */
const oneColor = 0.8;

/** Contrast of a drawing to what is behind it that is made out without effort (WCAG 2.2, 1.4.11). */
const madeOut = 3;

/** Pictures are drawn anew so that they show on light and on dark; null where they are not hosted here. */
function mendOf(colors: PictureColors, sources: readonly string[], behind: string): Mend | undefined {
  if (!sources.every(isHosted)) return undefined;
  const [first] = colors;
  const tint =
    first && first.share >= oneColor
      ? nearestColor(
          first.color,
          (hex) => contrast(hex, "#FFFFFF") >= madeOut && contrast(hex, behind) >= madeOut,
        )
      : null;
  return tint
    ? {
        kind: "redraw",
        label: `Draw it in ${tint}, seen on both`,
        sources,
        look: { kind: "tint", color: tint },
      }
    : {
        kind: "redraw",
        label: "Put a light plate behind it",
        sources,
        look: { kind: "plate", color: "#FFFFFF" },
      };
}

function checkOne(
  node: Node,
  position: number,
  document: Node,
  colors: PictureColors,
  alike: readonly string[],
): Found | null {
  const { source, alt } = image.of(node);
  const background = backgroundAt(document, position);
  const paper = background ?? "#FFFFFF";
  const byLight = visibilityOn(colors, paper, paper);
  const [worst] = groundsOf(background)
    .map(({ mode, behind }) => ({ mode, behind, seen: visibilityOn(colors, behind, paper) }))
    .sort((one, other) => one.seen - other.seen);
  const name = alt.trim() ? `“${alt.trim().slice(0, 40)}”` : "the picture";
  if (worst && worst.seen < leastVisibility)
    return {
      code: "picture-vanishes-in-the-dark",
      position,
      message: `Of ${name} ${Math.round(worst.seen * 100)} % can be told from what is around it ${inMode[worst.mode]}${byLight < leastVisibility ? ", and no more by light" : ""}.`,
      mend: mendOf(colors, alike, worst.behind),
    };
  const corner = colors.find((color) => color.corner);
  const light = corner && contrast(corner.color, paper) < 1.1;
  const dark = corner && groundsOf(background).find(({ behind }) => contrast(corner.color, behind) > glaring);
  if (corner && light && dark)
    return {
      code: "picture-has-white-corners",
      position,
      message: `Up to its corners, ${name} has ${corner.color}, which cannot be seen by light and is a box ${inMode[dark.mode]}.`,
      mend: {
        kind: "redraw",
        label: "Take the white ground away",
        sources: [source],
        look: { kind: "clear", color: corner.color },
      },
    };
  return null;
}

/** Each picture whose colours are known, once. */
export function checkDarkPictures(document: Node, colors: ColorsBySource = {}): readonly Found[] {
  const found: Found[] = [];
  document.descendants((node, position, parent) => {
    if (!image.is(node)) return;
    const { source } = image.of(node);
    const known = colors[source];
    // Icons of one row are drawn alike.
    const alike =
      parent && iconRow.is(parent)
        ? parent.children.filter(image.is).map((icon) => image.of(icon).source)
        : [source];
    const one = known && checkOne(node, position, document, known, [...new Set(alike)]);
    if (one) found.push(one);
  });
  return found;
}
