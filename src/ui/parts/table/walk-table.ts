/** Walking a table's controls by the arrow keys, as the grid pattern of WAI-ARIA has it. */
import type { KeyboardEvent } from "react";

const controls = "a[href], button:not(:disabled), [tabindex='0']";

/** Keys that belong to a field stay with it. */
const isField = (element: Element): boolean => element.matches("input, textarea, select, [contenteditable]");

const within = (place: Element | null | undefined): HTMLElement[] => [
  ...(place?.querySelectorAll<HTMLElement>(controls) ?? []),
];

/** The control above or below: of the same column, as far along in its cell as this one; the next row that has one. */
function across(row: HTMLTableRowElement, cell: HTMLTableCellElement, from: Element, step: 1 | -1) {
  const rows = [...(row.closest("table")?.rows ?? [])];
  const along = within(cell).indexOf(from as HTMLElement);
  for (let at = rows.indexOf(row) + step; at >= 0 && at < rows.length; at += step) {
    const there = within(rows[at]?.cells[cell.cellIndex]);
    if (there.length > 0) return there[Math.min(along, there.length - 1)];
  }
  return undefined;
}

/** Moves the focus to the control that an arrow key leads to, and to a row's first and last by Home and End. */
export function walkTable(event: KeyboardEvent<HTMLTableElement>): void {
  const from = event.target as Element;
  const cell = from.closest<HTMLTableCellElement>("td, th");
  const row = cell?.closest("tr");
  if (!cell || !row || isField(from) || event.altKey || event.ctrlKey || event.metaKey) return;
  const inRow = within(row);
  const here = inRow.indexOf(from as HTMLElement);
  const targets: Readonly<Record<string, () => HTMLElement | undefined>> = {
    ArrowDown: () => across(row, cell, from, 1),
    ArrowUp: () => across(row, cell, from, -1),
    ArrowRight: () => inRow[here + 1],
    ArrowLeft: () => inRow[here - 1],
    Home: () => inRow[0],
    End: () => inRow.at(-1),
  };
  const lead = targets[event.key];
  if (!lead) return;
  event.preventDefault();
  lead()?.focus();
}
