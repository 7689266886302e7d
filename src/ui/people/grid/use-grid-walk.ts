"use client";

/**
 * Walking a grid of which only what is in view is in the page (WAI-ARIA, the grid pattern): one cell is reached by the Tab key, the arrow
 * keys lead from it, and where they lead is scrolled into view before it gets the focus.
 */
import { useEffect, useRef, useState, type KeyboardEvent, type RefObject } from "react";

export interface Place {
  readonly row: number;
  readonly column: number;
}

interface Options {
  readonly rows: number;
  readonly columns: number;
  /** Rows that are in view at once. */
  readonly page: () => number;
  readonly show: (row: number) => void;
  /** Keys that do something else with the cell; whether they did. */
  readonly onKey: (event: KeyboardEvent, place: Place) => boolean;
}

interface GridWalk {
  readonly at: Place;
  readonly holder: RefObject<HTMLTableElement | null>;
  /** Gives a cell the focus, wherever it is. */
  readonly go: (to: Place) => void;
  /** For the table. */
  readonly onKeyDown: (event: KeyboardEvent<HTMLTableElement>) => void;
  readonly onFocus: (event: React.FocusEvent<HTMLTableElement>) => void;
}

const placeOf = (element: Element): Place | null => {
  const cell = element.closest<HTMLElement>("[data-row]");
  return cell ? { row: Number(cell.dataset.row), column: Number(cell.dataset.column) } : null;
};

export function useGridWalk({ rows, columns, page, show, onKey }: Options): GridWalk {
  const holder = useRef<HTMLTableElement>(null);
  const [at, setAt] = useState<Place>({ row: 0, column: 0 });
  const wanted = useRef<Place | null>(null);

  // A cell that was out of view is in the page once it was scrolled to, which draws the grid again.
  useEffect(() => {
    if (!wanted.current) return;
    const { row, column } = wanted.current;
    const cell = holder.current?.querySelector<HTMLElement>(`[data-row="${row}"][data-column="${column}"]`);
    const target = cell?.querySelector<HTMLElement>("[data-cell], button, a");
    if (!target) return;
    wanted.current = null;
    target.focus({ preventScroll: true });
  });

  const go = (to: Place): void => {
    const place = {
      row: Math.min(rows - 1, Math.max(0, to.row)),
      column: Math.min(columns - 1, Math.max(0, to.column)),
    };
    wanted.current = place;
    setAt({ ...place });
    show(place.row);
  };

  return {
    at: { row: Math.min(at.row, Math.max(0, rows - 1)), column: Math.min(at.column, columns - 1) },
    holder,
    go,
    onFocus: (event) => {
      const place = placeOf(event.target);
      if (place && (place.row !== at.row || place.column !== at.column)) setAt(place);
    },
    onKeyDown: (event) => {
      const place = placeOf(event.target as Element);
      if (!place) return;
      if (onKey(event, place)) return event.preventDefault();
      if (event.altKey || event.ctrlKey || event.metaKey) return;
      const { row, column } = place;
      const targets: Readonly<Record<string, Place>> = {
        ArrowDown: { row: row + 1, column },
        ArrowUp: { row: row - 1, column },
        ArrowRight: { row, column: column + 1 },
        ArrowLeft: { row, column: column - 1 },
        Home: { row, column: 0 },
        End: { row, column: columns - 1 },
        PageDown: { row: row + page(), column },
        PageUp: { row: row - page(), column },
      };
      const target = targets[event.key];
      if (!target) return;
      event.preventDefault();
      go(target);
    },
  };
}
