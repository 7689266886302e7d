/** What a stand-in changed in a message: a closed set of codes, each with its place and its reason. */

export type ChangeCode =
  | "attribute-changed"
  | "attribute-dropped"
  | "border-thinned"
  | "colors-mirrored"
  | "comment-dropped"
  | "declaration-changed"
  | "declaration-dropped"
  | "element-dropped"
  | "link-opens-new-window"
  | "link-recoloured"
  | "margin-filled"
  | "paragraph-margin"
  | "picture-converted"
  | "picture-dropped"
  | "picture-percent"
  | "picture-unsized"
  | "picture-wrapped"
  | "row-padding-equalised"
  | "style-dropped"
  | "table-fixed"
  | "table-shown"
  | "text-linked"
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
