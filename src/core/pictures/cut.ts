/**
 * A cut: how a picture for a signature is made from an untouched original. Crops are in original px, origin at
 * the top left, y down; display sizes are CSS px; the cut's own pixels are display size times density.
 */
import { choice, color, flag, numberIn, object, optional, px, tagged, type TypeOf } from "../values";
import { longestSide } from "./limits";

export interface Size {
  readonly width: number;
  readonly height: number;
}

export const largestDisplay = 1200;

/** One side of a display size. */
export const displaySide = px(1, largestDisplay);

/** Where something is in an original; px, fractions of a drawing's unit too. */
const place = numberIn(0, longestSide, 0.001);
const extent = numberIn(0.001, longestSide, 0.001);

const rectangle = object({ x: place, y: place, width: extent, height: extent }, "a rectangle");
export type Rectangle = TypeOf<typeof rectangle>;

export const cropValue = rectangle;

/** A ring around a circle; the gap is clear room between the ring and the picture. */
export const ringValue = object({ width: px(0.5, 40, 0.5), gap: px(0, 40, 0.5), color }, "a ring");
export type Ring = TypeOf<typeof ringValue>;

/** Radius of rounded corners. */
const radius = px(0, 600);

/** The shape that the picture shows through. */
export const frameValue = tagged("shape", {
  rectangle: {},
  rounded: { radius },
  circle: { ring: optional(ringValue) },
  ellipse: {},
  /** Softness is the part of the way from edge to centre over which the picture fades out. */
  "soft-ellipse": { softness: numberIn(0, 1, 0.01) },
});
export type Frame = TypeOf<typeof frameValue>;

/** Taking away a plain background, for logos that come on white. Distances are CIELAB differences. */
export const clearValue = object(
  {
    color,
    /** Distance from the colour up to which all is taken away. */
    tolerance: numberIn(0, 60, 1),
    /** Further distance over which it fades out. */
    softness: numberIn(0, 80, 1),
  },
  "a cleared background",
);
export type ClearedBackground = TypeOf<typeof clearValue>;

/** A shape in a colour behind a picture, so that it shows on dark as well. */
export const plateValue = object(
  {
    shape: choice("circle", "rounded", "rectangle"),
    color,
    /** Room between the plate's edge and the picture. */
    margin: px(0, 200, 0.5),
    /** Of a rounded plate. */
    radius: px(0, 600, 0.5),
    /** The width of its line where the plate is an outline; null where it is filled. */
    line: optional(px(0.5, 40, 0.5)),
  },
  "a plate",
);
export type Plate = TypeOf<typeof plateValue>;

export const formatValue = tagged("kind", {
  /** The smallest file that looks the same, by measured difference. */
  lightest: {},
  png: {},
  palette: { colors: choice(2, 4, 16, 256) },
  jpeg: { quality: numberIn(30, 100, 1) },
});
export type Format = TypeOf<typeof formatValue>;

export const densityValue = choice(1, 2, 3);
export type Density = TypeOf<typeof densityValue>;

/** What a still picture is in a signature; its weight budget goes by it. */
export const useValue = choice("photo", "logo", "icon", "banner");
export type Use = TypeOf<typeof useValue>;

export const recipeValue = object(
  {
    crop: cropValue,
    clear: optional(clearValue),
    /** A colour that everything opaque takes on. */
    tint: optional(color),
    plate: optional(plateValue),
    frame: frameValue,
    /** Display size. */
    width: displaySide,
    height: displaySide,
    density: densityValue,
    /** Whether more pixels may be made than the crop has. */
    enlarge: flag,
    /** The colour laid under everything that is transparent; null keeps it transparent. */
    fill: optional(color),
    format: formatValue,
    /** Null where it is told by the picture itself. */
    use: optional(useValue),
  },
  "a recipe",
);
export type Recipe = TypeOf<typeof recipeValue>;

/** The whole of an original. */
export const wholeCrop = ({ width, height }: Size): Rectangle => ({ x: 0, y: 0, width, height });

/**
 * The display size that has exactly the asked width or height, the other side in proportion, at least 1 px; smaller
 * only where the other side would be more than 1200 px.
 * Throws a RangeError unless the asked side is a whole number from 1 to 1200.
 */
export function displaySize(natural: Size, asked: { width: number } | { height: number }): Size {
  const side = "width" in asked ? asked.width : asked.height;
  if (displaySide.check(side) !== null)
    throw new RangeError(`A display size is a whole number from 1 to 1200 px, not ${side}`);
  const ratio = "width" in asked ? natural.height / natural.width : natural.width / natural.height;
  const other = Math.max(1, Math.round(side * ratio));
  // A long thin picture is held by its longer side, so that it is never cut off or stretched.
  const [own, across] =
    other <= largestDisplay
      ? [side, other]
      : [Math.max(1, Math.round(largestDisplay / ratio)), largestDisplay];
  return "width" in asked ? { width: own, height: across } : { width: across, height: own };
}

/** The size that a picture is first placed at: its own at 2x, but no wider than `widest`. */
export function firstDisplaySize(natural: Size, widest: number): Size {
  const width = Math.max(1, Math.min(Math.round(natural.width / 2), Math.floor(widest)));
  return displaySize(natural, { width: Math.min(largestDisplay, width) });
}

/** A recipe that changes nothing but the size. */
export const plainRecipe = (crop: Rectangle, display: Size): Recipe => ({
  crop,
  clear: null,
  tint: null,
  plate: null,
  frame: { shape: "rectangle" },
  width: display.width,
  height: display.height,
  density: 2,
  enlarge: false,
  fill: null,
  format: { kind: "lightest" },
  use: null,
});

/** The proportions that a recipe's display size keeps: those of its crop, or a square around a circle. */
export const proportionsOf = ({ crop, frame, plate }: Pick<Recipe, "crop" | "frame" | "plate">): Size =>
  frame.shape === "circle" || plate?.shape === "circle" ? { width: 1, height: 1 } : crop;

/** A recipe at another exact width or height. Throws as `displaySize` does. */
export const resizeRecipe = (recipe: Recipe, asked: { width: number } | { height: number }): Recipe => ({
  ...recipe,
  ...displaySize(proportionsOf(recipe), asked),
});

/** A recipe with some of it changed, its display size kept in proportion: a square keeps the longer side. */
export function changeRecipe(recipe: Recipe, patch: Partial<Recipe>): Recipe {
  const changed = { ...recipe, ...patch };
  const before = proportionsOf(recipe);
  const after = proportionsOf(changed);
  if (before.width * after.height === before.height * after.width) return changed;
  const longer = Math.max(changed.width, changed.height);
  return resizeRecipe(changed, after.width >= after.height ? { width: longer } : { height: longer });
}

/** Whether something of a cut is left transparent by its own recipe, whatever the original holds. */
export const leavesTransparent = ({ frame, plate, clear, fill }: Recipe): boolean =>
  fill === null &&
  (frame.shape !== "rectangle" || clear !== null || (plate !== null && plate.shape !== "rectangle"));

/** A recipe as it was kept: what recipes did not hold at the time is filled in. */
export function wholeRecipe(kept: Partial<Recipe> & Pick<Recipe, "crop" | "width" | "height">): Recipe {
  const recipe = { ...plainRecipe(kept.crop, kept), ...kept };
  const { frame, plate } = recipe;
  return {
    ...recipe,
    plate: plate && { ...plate, line: plate.line ?? null },
    frame:
      frame.shape === "circle" && frame.ring
        ? { ...frame, ring: { ...frame.ring, gap: frame.ring.gap ?? 0 } }
        : frame,
  };
}
