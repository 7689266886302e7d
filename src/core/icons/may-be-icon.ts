/** Which uploaded pictures may be icons: about as wide as high, and no photo. */
import type { OriginalType, Size } from "../pictures";

/** Larger pictures are photos and logos; px. Drawings have no size. */
const largest = 512;

/** How far from a square it may be. */
const mostAcross = 1.25;

export function mayBeIcon(picture: Size & { readonly type: OriginalType; readonly frames: number }): boolean {
  const { width, height, type, frames } = picture;
  if (frames > 1 || type === "jpeg") return false;
  if (type !== "svg" && Math.max(width, height) > largest) return false;
  return Math.max(width / height, height / width) < mostAcross;
}
