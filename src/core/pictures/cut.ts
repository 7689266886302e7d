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
  readonly color: string;
}

export type Frame =
  | { readonly shape: "rectangle" }
  /** Radius in CSS px. */
  | { readonly shape: "rounded"; readonly radius: number }
  | { readonly shape: "circle"; readonly ring: Ring | null };

export interface Recipe {
  readonly crop: Rectangle;
  readonly frame: Frame;
  /** Display size. */
  readonly width: number;
  readonly height: number;
  readonly density: 2 | 3;
}

/** The whole of an original. */
export const wholeCrop = ({ width, height }: Size): Rectangle => ({ x: 0, y: 0, width, height });

/**
 * The display size that has exactly the asked width or height, the other side in proportion, at least 1 px.
 * Throws a RangeError unless the asked side is a whole number from 1 to 1200.
 */
export function displaySize(natural: Size, asked: { width: number } | { height: number }): Size {
  const side = "width" in asked ? asked.width : asked.height;
  if (!Number.isInteger(side) || side < 1 || side > 1200)
    throw new RangeError(`A display size is a whole number from 1 to 1200 px, not ${side}`);
  return "width" in asked
    ? { width: side, height: Math.max(1, Math.round((side * natural.height) / natural.width)) }
    : { width: Math.max(1, Math.round((side * natural.width) / natural.height)), height: side };
}

/** The size that a picture is first placed at: its own at 2x, but no wider than `widest`. */
export function firstDisplaySize(natural: Size, widest: number): Size {
  const width = Math.max(1, Math.min(Math.round(natural.width / 2), Math.floor(widest)));
  return displaySize(natural, { width: Math.min(1200, width) });
}

/** The pixels that a cut is rendered with. */
export const renditionSize = ({ width, height, density }: Recipe): Size => ({
  width: width * density,
  height: height * density,
});

/**
 * The crop that lies inside an original, moved in before it is cut down. Throws a RangeError for an empty crop.
 */
export function clampCrop(crop: Rectangle, original: Size): Rectangle {
  if (!(crop.width >= 1 && crop.height >= 1))
    throw new RangeError(`A crop is at least 1 × 1 px, not ${crop.width} × ${crop.height}`);
  const width = Math.min(Math.round(crop.width), original.width);
  const height = Math.min(Math.round(crop.height), original.height);
  return {
    x: Math.max(0, Math.min(Math.round(crop.x), original.width - width)),
    y: Math.max(0, Math.min(Math.round(crop.y), original.height - height)),
    width,
    height,
  };
}

/** Whether the frame leaves corners empty, so that the cut needs a format with transparency. */
export const needsTransparency = (frame: Frame): boolean => frame.shape !== "rectangle";
