"use client";

/** The outer table as it is drawn on the sheet, px: what the rules beside it measure. */
import { useEffect, useState, type RefObject } from "react";

export interface DrawnRow {
  /** From the sheet's top. */
  readonly top: number;
  readonly height: number;
}

export interface DrawnTable {
  readonly rows: readonly DrawnRow[];
  /** Widths by column; null for one that no cell has for itself. */
  readonly columns: readonly (number | null)[];
}

const readRows = (table: HTMLTableElement, top: number): readonly DrawnRow[] =>
  [...table.rows].map((row) => {
    const box = row.getBoundingClientRect();
    return { top: Math.round(box.top - top), height: Math.round(box.height) };
  });

/** Told by cells that lie in one column only. */
function readColumns(table: HTMLTableElement): DrawnTable["columns"] {
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

const nothing: DrawnTable = { rows: [], columns: [] };

/** Follows what is drawn in the element that holds the sheet; empty before it is there. */
export function useDrawnTable(sheet: RefObject<HTMLElement | null>): DrawnTable {
  const [drawn, setDrawn] = useState(nothing);
  // After the commit, when the element is there.
  useEffect(() => {
    const element = sheet.current;
    if (!element) return;
    const measure = (): void => {
      const table = element.querySelector("table");
      if (!table) return;
      const measured = {
        rows: readRows(table, element.getBoundingClientRect().top),
        columns: readColumns(table),
      };
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
  }, [sheet]);
  return drawn;
}
