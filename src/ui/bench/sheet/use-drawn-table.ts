"use client";

/** The rows and columns of the outer table as they are drawn on the sheet, px: what the rules beside it measure. */
import { useEffect, useState, type RefObject } from "react";

/** What is read off the table whenever it is drawn otherwise; null before it is there. */
function useDrawn<T>(
  sheet: RefObject<HTMLElement | null>,
  read: (table: HTMLTableElement, top: number) => T,
): T | null {
  const [drawn, setDrawn] = useState<T | null>(null);
  // After the commit, when the element that holds the sheet is there.
  useEffect(() => {
    const element = sheet.current;
    if (!element) return;
    const measure = (): void => {
      const table = element.querySelector("table");
      if (!table) return;
      const measured = read(table, element.getBoundingClientRect().top);
      setDrawn((known) => (JSON.stringify(known) === JSON.stringify(measured) ? known : measured));
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    const changes = new MutationObserver(measure);
    changes.observe(element, { subtree: true, childList: true, characterData: true, attributes: true });
    return () => {
      observer.disconnect();
      changes.disconnect();
    };
  }, [sheet, read]);
  return drawn;
}

export interface DrawnRow {
  /** From the sheet's top. */
  readonly top: number;
  readonly height: number;
}

const readRows = (table: HTMLTableElement, top: number): readonly DrawnRow[] =>
  [...table.rows].map((row) => {
    const box = row.getBoundingClientRect();
    return { top: Math.round(box.top - top), height: Math.round(box.height) };
  });

/** Widths by column, told by cells that lie in one column only; null for a column that has none. */
function readColumns(table: HTMLTableElement): readonly (number | null)[] {
  const widths: (number | null)[] = [];
  /** How many further rows the cell above reaches into, by column. */
  const taken: number[] = [];
  for (const row of table.rows) {
    let column = 0;
    for (const cell of row.cells) {
      while ((taken[column] ?? 0) > 0) column++;
      if (cell.colSpan === 1) widths[column] ??= Math.round(cell.getBoundingClientRect().width);
      for (let across = 0; across < cell.colSpan; across++) taken[column + across] = cell.rowSpan;
      column += cell.colSpan;
    }
    for (let at = 0; at < taken.length; at++) taken[at] = Math.max(0, (taken[at] ?? 0) - 1);
  }
  return Array.from(widths, (width) => width ?? null);
}

export const useDrawnRows = (sheet: RefObject<HTMLElement | null>): readonly DrawnRow[] =>
  useDrawn(sheet, readRows) ?? [];

/** A px of rounding is no difference. */
const differs = (drawn: number, set: number): boolean => Math.abs(drawn - set) > 1;

/**
 * The widths that columns are drawn with, where words in them are wider than they are set; null where all are as they are
 * set, or cannot be told.
 */
export function useStrainedColumns(
  sheet: RefObject<HTMLElement | null>,
  set: readonly number[],
): readonly number[] | null {
  const drawn = useDrawn(sheet, readColumns);
  if (!drawn || drawn.length !== set.length) return null;
  const known = drawn.map((width, column) => width ?? set[column] ?? 0);
  return known.some((width, column) => differs(width, set[column] ?? 0)) ? known : null;
}
