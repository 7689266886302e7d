/** A signature as it was built: drawn to pixels, with where its parts and their words stand in it. */
import type { DrawnPart } from "../layout";
import type { Pixels } from "../pictures";

/** px, origin at the signature's top left, y down. */
export interface DrawnWord {
  readonly text: string;
  /** In which line of its part it stands, from 0. */
  readonly line: number;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

export interface WordedPart extends DrawnPart {
  /** Of text; none of pictures and boxes. */
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
