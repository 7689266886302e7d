/**
 * A cut: how a picture for a signature is made from an untouched original. Crops are in original px, origin at
 * the top left, y down; display sizes are CSS px; the cut's own pixels are display size times density.
 */

export interface Size {
  readonly width: number;
  readonly height: number;
}

export interface Rectangle extends Size {
  readonly x: number;
  readonly y: number;
}

export interface Ring {
  /** CSS px. */
  readonly width: number;
  /** Clear room between the ring and the picture; CSS px. */
  readonly gap: number;
  readonly color: string;
}

export type Frame =
  | { readonly shape: "rectangle" }
  /** Radius in CSS px. */
  | { readonly shape: "rounded"; readonly radius: number }
  | { readonly shape: "circle"; readonly ring: Ring | null }
  | { readonly shape: "ellipse" }
  /** Softness is the part of the way from edge to centre over which the picture fades out, 0 to 1. */
  | { readonly shape: "soft-ellipse"; readonly softness: number };

/** Taking away a plain background, for logos that come on white. */
export interface ClearedBackground {
  readonly color: string;
  /** Distance from the colour up to which all is taken away, 0 to 100 (CIELAB difference). */
  readonly tolerance: number;
  /** Further distance over which it fades out. */
  readonly softness: number;
}

/** A shape in a colour behind a picture, so that it shows on dark as well. */
export interface Plate {
  readonly shape: "circle" | "rounded" | "rectangle";
  readonly color: string;
  /** Room between the plate's edge and the picture; CSS px. */
  readonly margin: number;
  /** Of a rounded plate; CSS px. */
  readonly radius: number;
  /** Where the plate is an outline: the width of its line; CSS px. */
  readonly line?: number;
}

export type Format =
  /** The smallest file that looks the same, by measured difference. */
  | { readonly kind: "lightest" }
  | { readonly kind: "png" }
  | { readonly kind: "palette"; readonly colors: 2 | 4 | 16 | 256 }
  /** Quality from 30 to 100. */
  | { readonly kind: "jpeg"; readonly quality: number };

export type Density = 1 | 2 | 3;

/** What a still picture is in a signature; its weight budget goes by it. */
export type Use = "photo" | "logo" | "icon" | "banner";

export interface Recipe {
  readonly crop: Rectangle;
  readonly clear: ClearedBackground | null;
  /** A colour that everything opaque takes on. */
  readonly tint: string | null;
  readonly plate: Plate | null;
  readonly frame: Frame;
  /** Display size. */
  readonly width: number;
  readonly height: number;
  readonly density: Density;
  /** Whether more pixels may be made than the crop has. */
  readonly enlarge: boolean;
  /** The colour laid under everything that is transparent; null keeps it transparent. */
  readonly fill: string | null;
  readonly format: Format;
  /** Null where it is told by the picture itself. */
  readonly use: Use | null;
}

export const largestDisplay = 1200;

/** The whole of an original. */
export const wholeCrop = ({ width, height }: Size): Rectangle => ({ x: 0, y: 0, width, height });

/**
 * The display size that has exactly the asked width or height, the other side in proportion, at least 1 px; smaller
 * only where the other side would be more than 1200 px.
 * Throws a RangeError unless the asked side is a whole number from 1 to 1200.
 */
export function displaySize(natural: Size, asked: { width: number } | { height: number }): Size {
  const side = "width" in asked ? asked.width : asked.height;
  if (!Number.isInteger(side) || side < 1 || side > largestDisplay)
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
