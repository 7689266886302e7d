/** Where the parts of a cut lie, in its own px (rendition px): origin at the top left, y down. */
import type { Frame, Plate, Rectangle, Recipe, Ring, Size } from "./cut";

export interface Ellipse {
  readonly cx: number;
  readonly cy: number;
  readonly rx: number;
  readonly ry: number;
}

export type Outline =
  | ({ readonly kind: "rectangle"; readonly radius: number } & Rectangle)
  | ({ readonly kind: "ellipse"; readonly softness: number } & Ellipse);

export interface RingOutline {
  /** The middle of the ring's stroke. */
  readonly radius: number;
  readonly stroke: number;
  readonly cx: number;
  readonly cy: number;
  readonly color: string;
}

export interface CutGeometry {
  /** The whole cut. */
  readonly size: Size;
  /** Rendition px for each CSS px; the density, or less where the crop has too few pixels. */
  readonly scale: number;
  /** Where the cropped picture is drawn. */
  readonly picture: Rectangle;
  /** What of the cut the picture shows through; in the cut's px. */
  readonly outline: Outline;
  readonly ring: RingOutline | null;
  /** Filled, or drawn as a line that is `line` px wide. */
  readonly plate: (Outline & { readonly color: string; readonly line: number | null }) | null;
}

/** The picture's box inside its plate, in CSS px: in proportion to the crop, in the middle. */
function displayBox({ crop, width, height, plate }: Recipe): Rectangle {
  const margin = plate ? Math.min(plate.margin, (Math.min(width, height) - 1) / 2) : 0;
  const room = { width: width - 2 * margin, height: height - 2 * margin };
  if (!plate && hasProportionsOf(crop, { width, height })) return { x: 0, y: 0, ...room };
  const scale = Math.min(room.width / crop.width, room.height / crop.height);
  const box = { width: crop.width * scale, height: crop.height * scale };
  return { x: (width - box.width) / 2, y: (height - box.height) / 2, ...box };
}

/** Whether a crop fills a box without being stretched; a px is rounding. */
const hasProportionsOf = (crop: Size, box: Size): boolean =>
  Math.abs((box.width * crop.height) / crop.width - box.height) <= 1;

/**
 * The largest scale at which no pixel has to be made up: the density, or less where the crop is too small.
 * Vector drawings have as many pixels as are asked for.
 */
export function renditionScale(recipe: Recipe, vector = false): number {
  if (vector || recipe.enlarge) return recipe.density;
  const box = displayBox(recipe);
  return Math.min(recipe.density, recipe.crop.width / box.width, recipe.crop.height / box.height);
}

/** The pixels that a cut is rendered with. */
export function renditionSize(recipe: Recipe, vector = false): Size {
  const scale = renditionScale(recipe, vector);
  return {
    width: Math.max(1, Math.round(recipe.width * scale)),
    height: Math.max(1, Math.round(recipe.height * scale)),
  };
}

/** Whether there are as many pixels as needed on both sides; a px of rounding is no lack. */
export const hasPixels = (there: Size, needed: Size): boolean =>
  there.width >= needed.width - 1 && there.height >= needed.height - 1;

/** The pixels that a recipe's crop would need for its density, or null where it has enough. */
export function pixelsNeeded(recipe: Recipe, vector = false): Size | null {
  if (vector) return null;
  const box = displayBox(recipe);
  const needed = {
    width: Math.round(box.width) * recipe.density,
    height: Math.round(box.height) * recipe.density,
  };
  return hasPixels(recipe.crop, needed) ? null : needed;
}

const ellipseIn = ({ x, y, width, height }: Rectangle, inset = 0): Ellipse => ({
  cx: x + width / 2,
  cy: y + height / 2,
  rx: Math.max(0, width / 2 - inset),
  ry: Math.max(0, height / 2 - inset),
});

/** The circle in the middle of a box. */
function circleIn(box: Rectangle, inset = 0): Ellipse {
  const { cx, cy, rx, ry } = ellipseIn(box);
  const radius = Math.max(0, Math.min(rx, ry) - inset);
  return { cx, cy, rx: radius, ry: radius };
}

function outlineOf(frame: Frame, box: Rectangle, scale: number): Outline {
  switch (frame.shape) {
    case "rectangle":
      return { kind: "rectangle", radius: 0, ...box };
    case "rounded":
      return {
        kind: "rectangle",
        radius: Math.min(frame.radius * scale, box.width / 2, box.height / 2),
        ...box,
      };
    case "circle": {
      const inset = frame.ring ? (frame.ring.width + frame.ring.gap) * scale : 0;
      return { kind: "ellipse", softness: 0, ...circleIn(box, inset) };
    }
    case "ellipse":
      return { kind: "ellipse", softness: 0, ...ellipseIn(box) };
    case "soft-ellipse":
      return { kind: "ellipse", softness: frame.softness, ...ellipseIn(box) };
  }
}

function ringOutline(ring: Ring, box: Rectangle, scale: number): RingOutline {
  const { cx, cy, rx } = circleIn(box);
  const stroke = Math.min(ring.width * scale, rx);
  return { cx, cy, radius: rx - stroke / 2, stroke, color: ring.color };
}

/** The plate's edge, or the middle of its line. */
function plateOutline(plate: Plate, size: Size, scale: number): Outline {
  const inset = ((plate.line ?? 0) * scale) / 2;
  const box = { x: inset, y: inset, width: size.width - 2 * inset, height: size.height - 2 * inset };
  if (plate.shape === "circle") return { kind: "ellipse", softness: 0, ...circleIn(box) };
  const radius = plate.shape === "rounded" ? plate.radius * scale : 0;
  return { kind: "rectangle", radius: Math.min(radius, size.width / 2, size.height / 2), ...box };
}

/** Everything of a cut in its own px. A vector drawing is never short of pixels. */
export function cutGeometry(recipe: Recipe, vector = false): CutGeometry {
  const scale = renditionScale(recipe, vector);
  const size = renditionSize(recipe, vector);
  const box = displayBox(recipe);
  // Whole px: a picture that begins between two pixels is blurred along its edge.
  const width = Math.min(size.width, Math.max(1, Math.round(box.width * scale)));
  const height = Math.min(size.height, Math.max(1, Math.round(box.height * scale)));
  const picture = {
    x: Math.round((size.width - width) / 2),
    y: Math.round((size.height - height) / 2),
    width,
    height,
  };
  const { frame, plate } = recipe;
  return {
    size,
    scale,
    picture,
    outline: outlineOf(frame, picture, scale),
    ring: frame.shape === "circle" && frame.ring ? ringOutline(frame.ring, picture, scale) : null,
    plate: plate && {
      ...plateOutline(plate, size, scale),
      color: plate.color,
      line: plate.line ? plate.line * scale : null,
    },
  };
}
