/** When the part of a photograph that shows has too few pixels for where portraits usually stand. */
import { formatSize } from "../../parts/format";
import type { Original } from "@/contract";
import type { PictureDetail } from "@/core/people";

/** A place of 96 px at the density of today's displays; px. */
const enough = 192;

/** One sentence; null where there are enough. */
export const saysTooFew = (detail: PictureDetail, original: Original): string | null =>
  original.type === "svg" || detail.focus.side >= enough
    ? null
    : `What shows has ${formatSize(detail.focus.side, detail.focus.side)}: it will be blurred on most displays.`;
