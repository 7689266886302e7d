/**
 * What is read out of foreign HTML before it is a document: lines of runs, pictures, gaps and tables of placed cells, each
 * with the look that it had and the element that it came from. Lengths in px.
 */
import type { Element } from "../../html";
import { noSides, type Sides } from "../../signature";
import type { BorderSide, Length, Look } from "../style/look";

export interface PictureRead {
  readonly source: string;
  readonly width: number;
  readonly height: number;
  readonly alt: string;
  readonly decorative: boolean;
}

export type Inline =
  | { readonly kind: "text"; readonly text: string; readonly look: Look }
  | { readonly kind: "break"; readonly look: Look }
  | {
      readonly kind: "picture";
      readonly picture: PictureRead;
      readonly look: Look;
      /** The room at its left and right. */
      readonly beside: number;
      readonly element: Element;
    };

export interface LinePart {
  readonly kind: "line";
  readonly inlines: readonly Inline[];
  /** Of the paragraph that it stands in, or of what holds its text. */
  readonly look: Look;
  readonly element: Element;
}

export interface PicturePart {
  readonly kind: "picture";
  readonly picture: PictureRead;
  readonly look: Look;
  readonly element: Element;
}

export interface GapPart {
  readonly kind: "gap";
  readonly height: number;
  readonly element: Element;
}

export interface DividerPart {
  readonly kind: "divider";
  readonly thickness: number;
  readonly style: string;
  readonly color: string;
  readonly width: Length | null;
  readonly element: Element;
}

export interface IconsPart {
  readonly kind: "icons";
  readonly icons: readonly (Inline & { readonly kind: "picture" })[];
  readonly size: number;
  readonly gap: number;
  /** 0 for all of them side by side. */
  readonly columns: number;
  readonly stacked: boolean;
  readonly look: Look;
  readonly element: Element;
}

export interface ButtonPart {
  readonly kind: "button";
  readonly label: readonly Inline[];
  readonly look: Look;
  readonly link: string;
  readonly background: string;
  readonly paddingVertical: number;
  readonly paddingHorizontal: number;
  readonly radius: number;
  readonly width: number;
  readonly element: Element;
}

export interface GridCell {
  readonly row: number;
  readonly column: number;
  readonly rowspan: number;
  readonly colspan: number;
  /** Padding and borders left out, unless `wholeWidth`. */
  readonly width: Length | null;
  readonly height: number | null;
  readonly wholeWidth: boolean;
  readonly padding: Sides<number>;
  readonly border: Sides<BorderSide | null>;
  readonly background: string | null;
  readonly radius: number;
  readonly verticalAlign: "top" | "middle" | "bottom";
  readonly look: Look;
  /** Whether it says itself in which type its text stands. */
  readonly saysType: boolean;
  /** Whether it says itself how its text is aligned. */
  readonly saysAlign: boolean;
  readonly parts: readonly Part[];
  readonly element: Element;
}

export interface TablePart {
  readonly kind: "table";
  readonly rows: number;
  readonly columns: number;
  readonly cells: readonly GridCell[];
  readonly width: Length | null;
  /** Where it stands in room that is wider; null at the beginning. */
  readonly place: "center" | "right" | null;
  readonly look: Look;
  readonly element: Element;
}

export type Part = LinePart | PicturePart | GapPart | DividerPart | IconsPart | ButtonPart | TablePart;

export const noBorder: Sides<BorderSide | null> = noSides(null);
export const noPadding: Sides<number> = noSides(0);

/** Whether a cell draws anything of its own. */
export const isDrawn = ({ background, border }: Pick<GridCell, "background" | "border">): boolean =>
  background !== null || Object.values(border).some((side) => side !== null);

export const isPadded = ({ padding }: Pick<GridCell, "padding">): boolean =>
  Object.values(padding).some((length) => length > 0);

/** Whether a part shows nothing: gaps, and lines of spaces. */
export const isBlankPart = (part: Part | { readonly kind: "sized" }): boolean =>
  part.kind === "gap" || (part.kind === "line" && isBlankLine(part.inlines));

export const isBlankLine = (inlines: readonly Inline[]): boolean =>
  inlines.every(
    (inline) => inline.kind === "break" || (inline.kind === "text" && /^[\s\u00a0]*$/.test(inline.text)),
  );
