/**
 * The HTML as this application draws it: hosted pictures from their paths here, so that they show wherever the public
 * address leads, and pictures at invented addresses from the invented sites.
 */
import { drawnFrom } from "@/contract";
export const localPictures = (html: string, base: string): string =>
  html
    .replaceAll(`"${base}/h/`, '"/h/')
    .replace(/ src="(https?:\/\/[^"]+)"/g, (_whole, address: string) => ` src="${drawnFrom(address)}"`);
