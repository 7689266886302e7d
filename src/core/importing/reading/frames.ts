/** What is open while a message is read: one frame an element, and the tables and rows of boxes that are being gathered. */
import type { ChildNode, Element } from "../../html";
import type { Styled } from "../style/cascade";
import type { Box, Length, Look } from "../style/look";
import type { OpenFlow, Paragraph } from "./open-flow";
import type { GridCell, Part } from "./parts";
import type { TableGrid } from "./table-grid";

/** An element with what it looks like. */
export type StyledElement = Styled & { readonly element: Element };

export interface Frame {
  readonly element: Element;
  readonly look: Look;
  readonly box: Box;
  readonly flow: OpenFlow;
  readonly paragraph: Paragraph;
  /** The table that rows and cells in it belong to. */
  readonly table: OpenTable | null;
  /** The room in it, where that is known. */
  readonly room: number | null;
  readonly children: readonly ChildNode[];
  next: number;
  /** What is done once all that is in it has been read. */
  readonly close: (() => void) | null;
  /** Of lists: the number of the next item; null for dots. */
  number: number | null;
  /** A run of floats or of boxes side by side that is still open among the children. */
  row: OpenRow | null;
}

export interface OpenTable {
  readonly grid: TableGrid;
  /** What its cells have of themselves. */
  readonly cells: Partial<Box>;
  readonly element: Element;
  /** The background of the row group and the row that are open. */
  background: string | null;
  /** Whether each child is a cell, as in a row of boxes. */
  readonly implied: boolean;
  readonly gap: number;
  readonly room: number | null;
}

/** What stands side by side in a flow: boxes in a line with the words between them, or what floats beside the rest. */
export interface OpenRow {
  readonly kind: "line" | "floats";
  /** From the left. */
  readonly before: GridCell[];
  /** At the right of the rest. */
  readonly after: GridCell[];
  /** What has come since: the last of them, or what is between those that float. */
  rest: OpenFlow;
  readonly around: OpenFlow;
  readonly element: Element;
}

/** A length in so much room, px; null where that is not known. */
export const resolve = (length: Length | null, room: number | null): number | null =>
  length === null ? null : "px" in length ? length.px : room === null ? null : (room * length.percent) / 100;

/** What a cell is before its place is known. */
export const cellOf = (
  { element, look, box }: StyledElement,
  parts: readonly Part[],
): Omit<GridCell, "row" | "column" | "rowspan" | "colspan"> => ({
  width: box.width,
  height: box.height,
  wholeWidth: box.wholeWidth,
  padding: box.padding,
  border: box.border,
  background: box.background,
  radius: box.radius,
  verticalAlign: look.verticalAlign ?? "middle",
  look,
  saysType: box.saysType,
  saysAlign: box.saysAlign,
  parts,
  element,
});

/** The one cell of a table without others. */
export const onlyCell = (styled: StyledElement, parts: readonly Part[]): GridCell => ({
  ...cellOf(styled, parts),
  row: 0,
  column: 0,
  rowspan: 1,
  colspan: 1,
});
