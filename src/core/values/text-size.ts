import { numberIn } from "./simple-values";

/** The size of text in px. Hundredths, so that a size given in points comes back as it was given. */
export const textSize = numberIn(6, 72, 0.01, "px");

/** What is written smaller is read by few, and made larger by some clients; px. */
export const smallestRead = 10;
