/** A signature as it was built: drawn to pixels, with where its parts and their words stand in it. */
import type { DrawnPart, DrawnWord } from "../layout";
import type { Pixels } from "../pictures";

export interface WordedPart extends DrawnPart {
  /** Of text, in reading order; px, from the signature's top left. None of pictures and boxes. */
  readonly words: readonly DrawnWord[];
}

export interface DrawnDesign {
  /** Of the whole signature, from its top left. */
  readonly pixels: Pixels;
  /** How many of these px there are to a px of the signature. */
  readonly density: number;
  /** Parts are in px of the signature. */
  readonly parts: readonly WordedPart[];
}
