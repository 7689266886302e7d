/** What one inline node contributes to its line, and how a run of text is styled. Sizes in px. */
import type { Node } from "prosemirror-model";
import type { Script } from "./marks/script";
import type { Writing } from "./writing";

/** The styling of one run, read off its marks. */
export interface TextStyle {
  readonly bold: boolean;
  readonly italic: boolean;
  readonly underline: boolean;
  readonly color: string | null;
  readonly size: number;
  readonly font: string;
  /** Added after each letter; px. */
  readonly letterSpacing: number;
  readonly upperCase: boolean;
  readonly strikethrough: boolean;
  /** Null on the line. */
  readonly script: Script | null;
  /** The colour behind it. */
  readonly highlight: string | null;
  /** How the link around the run is drawn, which must be said again on the text; null outside links. */
  readonly link: LinkLook | null;
}

export interface LinkLook {
  readonly color: string;
  readonly underline: boolean;
}

export interface Piece {
  readonly role: "content" | "space" | "separator" | "break" | "nothing";
  /** Where it leads of itself; a link mark wins over it. */
  readonly link: string | null;
  /** Whether its own link is drawn in the colour of the text around it: a date, an address. */
  readonly quietLink?: boolean;
  /** Whether it reads from left to right even in a signature that does not: numbers and addresses. */
  readonly leftToRight?: boolean;
  readonly plain: string;
  readonly html: (style: TextStyle, writing: Writing) => string;
  /** An empty field that was told to take its whole line with it. */
  readonly takesLine?: boolean;
}

/** The part of an inline kind that the line's writer calls. */
export type ReadPieces = (node: Node, writing: Writing) => readonly Piece[];
