/**
 * The square of a photograph that is to be seen, whatever shape it is shown in: a head with some room around it. In px of the original,
 * origin at the top left, y down; `x` and `y` are its middle. A crop of any proportions is made around it.
 */
import { clampCrop } from "./crop";
import { object, px, type TypeOf } from "../values";
import type { Rectangle, Size } from "./cut";
import { longestSide } from "./limits";

export const focusValue = object(
  { x: px(0, longestSide), y: px(0, longestSide), side: px(1, longestSide) },
  "a part of a picture",
);
export type Focus = TypeOf<typeof focusValue>;

/** Closer than this, nothing of a face would be left; a share of the shorter side. */
const closest = 0.1;

/** A focus that lies inside an original, in whole px: no larger than its shorter side, and moved in where it reaches out. */
export function clampFocus({ x, y, side }: Focus, { width, height }: Size): Focus {
  const shorter = Math.min(width, height);
  const kept = Math.round(Math.max(1, shorter * closest, Math.min(side, shorter)));
  const inside = (middle: number, extent: number): number =>
    Math.round(Math.max(kept / 2, Math.min(middle, extent - kept / 2)));
  return { x: inside(x, width), y: inside(y, height), side: kept };
}

/**
 * The crop in the proportions of a display size that shows a focus: its shorter side is the focus's, or less where the original has not that
 * much, and it is moved in where it would reach out.
 */
export function cropOfFocus(focus: Focus, original: Size, display: Size): Rectangle {
  const { x, y, side } = clampFocus(focus, original);
  const shorter = Math.min(display.width, display.height);
  const scale = Math.min(side / shorter, original.width / display.width, original.height / display.height);
  const [width, height] = [display.width * scale, display.height * scale];
  return clampCrop({ x: x - width / 2, y: y - height / 2, width, height }, original);
}

/** A focus moved by shares of its own side and made closer (a factor under 1) or wider, inside an original. */
export const nudgeFocus = (
  focus: Focus,
  { across = 0, down = 0, zoom = 1 }: { across?: number; down?: number; zoom?: number },
  original: Size,
): Focus =>
  clampFocus(
    { x: focus.x + across * focus.side, y: focus.y + down * focus.side, side: focus.side * zoom },
    original,
  );

/** The same part of a picture in another file of it. */
export function carryFocus(focus: Focus, from: Size, to: Size): Focus {
  const [across, down] = [to.width / from.width, to.height / from.height];
  return clampFocus(
    { x: focus.x * across, y: focus.y * down, side: focus.side * Math.min(across, down) },
    to,
  );
}
