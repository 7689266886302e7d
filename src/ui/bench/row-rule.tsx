"use client";

import { useEffect, useState, type RefObject } from "react";

interface RowMark {
  readonly top: number;
  readonly height: number;
}

/** The rule at the left of the outer table: each row's height as it is drawn, px. */
export function RowRule({ sheet }: { sheet: RefObject<HTMLElement | null> }) {
  const [rows, setRows] = useState<readonly RowMark[]>([]);

  // After the commit, when the element that holds the sheet is there.
  useEffect(() => {
    const element = sheet.current;
    if (!element) return;
    const measure = (): void => {
      const table = element.querySelector("table");
      if (!table) return;
      const top = element.getBoundingClientRect().top;
      setRows(
        [...table.rows].map((row) => {
          const box = row.getBoundingClientRect();
          return { top: Math.round(box.top - top), height: Math.round(box.height) };
        }),
      );
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

  return (
    <div
      className="absolute -left-11 top-0 w-9 text-right text-xs font-medium text-pine"
      aria-label="Row heights"
    >
      {rows.map(({ top, height }, index) => (
        <span
          key={index}
          className="absolute right-0 flex w-9 items-center justify-end border-r border-soft pr-1.5"
          style={{ top, height }}
        >
          {height}
        </span>
      ))}
    </div>
  );
}
