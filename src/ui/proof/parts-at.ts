/** Which part of a drawn signature lies under the pointer, and how one is marked in every frame. */
import { partAttribute } from "@/core/clients";
import { bodyOf } from "../parts/drawing/frame-document";

/** The innermost part at a point of the window, in the frame that an element holds; null where there is none. */
export function partAt(
  holder: HTMLElement,
  { clientX, clientY }: { clientX: number; clientY: number },
): number | null {
  const frame = holder.querySelector("iframe");
  const body = bodyOf(frame);
  if (!frame || !body) return null;
  // Frames are drawn smaller by a transform, which the boxes inside them do not see; what is inert is hit by nothing.
  const { left, top, width } = frame.getBoundingClientRect();
  const scale = width / frame.offsetWidth;
  const [x, y] = [(clientX - left) / scale, (clientY - top) / scale];
  const found = [...body.querySelectorAll(`[${partAttribute}]`)].findLast((part) =>
    [...part.getClientRects()].some(
      (box) => x >= box.left && x <= box.right && y >= box.top && y <= box.bottom,
    ),
  );
  return found ? Number(found.getAttribute(partAttribute)) : null;
}

/** Rules that mark a part wherever it is drawn. */
export const markRules = (marked: number | null): string =>
  marked === null ? "" : `[${partAttribute}="${marked}"]{outline:2px solid #C2603A;outline-offset:1px}`;
