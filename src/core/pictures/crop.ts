/** Crops: rectangles of original px inside an original, moved, resized and held to proportions. */
import type { Rectangle, Size } from "./cut";

/** Width divided by height, or null for any. */
export type Aspect = number | null;

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

/** The largest crop of an aspect inside an original, around its centre. */
export function largestCrop(original: Size, aspect: Aspect): Rectangle {
  if (aspect === null) return { x: 0, y: 0, width: original.width, height: original.height };
  const width = Math.max(1, Math.min(original.width, Math.round(original.height * aspect)));
  const height = Math.max(1, Math.min(original.height, Math.round(original.width / aspect)));
  return clampCrop(
    { x: (original.width - width) / 2, y: (original.height - height) / 2, width, height },
    original,
  );
}

/** A crop brought to an aspect around its own centre, as large as it was where the original has room. */
export function cropToAspect(crop: Rectangle, aspect: Aspect, original: Size): Rectangle {
  if (aspect === null) return clampCrop(crop, original);
  const limit = largestCrop(original, aspect);
  const width = Math.max(1, Math.min(limit.width, Math.round(Math.sqrt(crop.width * crop.height * aspect))));
  const height = Math.max(1, Math.min(limit.height, Math.round(width / aspect)));
  return clampCrop(
    { x: crop.x + (crop.width - width) / 2, y: crop.y + (crop.height - height) / 2, width, height },
    original,
  );
}

/** A crop whose width or height is typed: its place stays, and with an aspect the other side follows. */
export function sizeCrop(
  crop: Rectangle,
  asked: { width: number } | { height: number },
  aspect: Aspect,
  original: Size,
): Rectangle {
  const wanted = { ...crop, ...asked };
  if (aspect === null) return clampCrop(wanted, original);
  const limit = largestCrop(original, aspect);
  const width = Math.min(limit.width, "width" in asked ? asked.width : Math.round(asked.height * aspect));
  return clampCrop({ ...wanted, width, height: Math.max(1, Math.round(width / aspect)) }, original);
}

/** A crop moved by px of the original, held inside it. */
export const moveCrop = (crop: Rectangle, dx: number, dy: number, original: Size): Rectangle =>
  clampCrop({ ...crop, x: crop.x + dx, y: crop.y + dy }, original);

/** The same part of a picture in a replacement of another size: a crop scaled to it side by side. */
export function carryCrop(crop: Rectangle, from: Size, to: Size): Rectangle {
  const [across, down] = [to.width / from.width, to.height / from.height];
  const scaled = {
    x: crop.x * across,
    y: crop.y * down,
    width: Math.max(1, crop.width * across),
    height: Math.max(1, crop.height * down),
  };
  // A replacement of other proportions must not stretch what is shown.
  return Math.abs(across - down) < 0.005 * across
    ? clampCrop(scaled, to)
    : cropToAspect(clampCrop(scaled, to), crop.width / crop.height, to);
}
