/**
 * The HTML as this application draws it: hosted pictures from their paths here, so that they show wherever the public
 * address leads, and pictures at invented addresses from the invented sites. Loops play, or stand still as in clients
 * that show their first frame only.
 */
import { drawnFrom, firstFrame } from "@/contract";
import type { StandIn } from "@/core/clients";

export const localPictures = (html: string, base: string, loops: StandIn["loops"] = "play"): string => {
  const local = html
    .replaceAll(`"${base}/h/`, '"/h/')
    .replace(/ src="(https?:\/\/[^"]+)"/g, (_whole, address: string) => ` src="${drawnFrom(address)}"`);
  return loops === "play" ? local : local.replace(/ src="(\/h\/[^"?]+\.gif)"/g, ` src="$1?${firstFrame}"`);
};
