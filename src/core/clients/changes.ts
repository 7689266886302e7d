/** What a stand-in changed in a message: a closed set of codes, each with its place and its reason. */

export type ChangeCode =
  | "attribute-dropped"
  | "border-thinned"
  | "colors-mirrored"
  | "comment-dropped"
  | "declaration-dropped"
  | "element-dropped"
  | "link-opens-new-window"
  | "link-recoloured"
  | "paragraph-margin"
  | "picture-dropped"
  | "picture-unsized"
  | "row-padding-equalised"
  | "style-dropped"
  | "weight-rounded"
  | "word-broken";

export interface Change {
  readonly code: ChangeCode;
  /** "row 2, cell 1, picture", or "message". */
  readonly at: string;
  /** What was there: a property, an attribute, an element. */
  readonly what: string;
  readonly reason: string;
}

export type Report = (code: ChangeCode, what: string, reason: string) => void;
