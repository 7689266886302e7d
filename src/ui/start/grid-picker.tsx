"use client";

import { useState } from "react";

const most = { rows: 6, columns: 8 } as const;

interface Props {
  readonly disabled: boolean;
  readonly onPick: (rows: number, columns: number) => void;
}

/** A blank table of any size: dragged over with the pointer, or set with the arrow keys. */
export function GridPicker({ disabled, onPick }: Props) {
  const [size, setSize] = useState({ rows: 1, columns: 2 });
  const steps: Readonly<Record<string, readonly [rows: number, columns: number]>> = {
    ArrowUp: [-1, 0],
    ArrowDown: [1, 0],
    ArrowLeft: [0, -1],
    ArrowRight: [0, 1],
  };
  const cellUnder = (event: React.PointerEvent): { rows: number; columns: number } | null => {
    const cell = document.elementFromPoint(event.clientX, event.clientY);
    if (!(cell instanceof HTMLElement) || !cell.dataset.row) return null;
    return { rows: Number(cell.dataset.row), columns: Number(cell.dataset.column) };
  };
  return (
    <div>
      <button
        type="button"
        disabled={disabled}
        aria-label={`Start a blank table of ${size.rows} × ${size.columns}: arrow keys change its size`}
        className="grid w-fit cursor-crosshair touch-none grid-cols-8 gap-1 rounded-sm border border-hairline bg-sheet p-2"
        onPointerMove={(event) => {
          const under = cellUnder(event);
          if (under) setSize(under);
        }}
        onPointerUp={(event) => {
          const under = cellUnder(event);
          if (under) onPick(under.rows, under.columns);
        }}
        onKeyDown={(event) => {
          if (event.key === "Enter" || event.key === " ") {
            event.preventDefault();
            return onPick(size.rows, size.columns);
          }
          const step = steps[event.key];
          if (!step) return;
          event.preventDefault();
          setSize({
            rows: Math.min(most.rows, Math.max(1, size.rows + step[0])),
            columns: Math.min(most.columns, Math.max(1, size.columns + step[1])),
          });
        }}
      >
        {Array.from({ length: most.rows * most.columns }, (_unused, index) => {
          const row = Math.floor(index / most.columns) + 1;
          const column = (index % most.columns) + 1;
          const within = row <= size.rows && column <= size.columns;
          return (
            <span
              key={index}
              data-row={row}
              data-column={column}
              className={`h-5 w-8 rounded-[2px] border ${within ? "border-pine bg-kelp" : "border-hairline"}`}
            />
          );
        })}
      </button>
      <p aria-live="polite" className="mt-2">
        <span className="font-serif text-2xl">
          {size.rows} × {size.columns}
        </span>
        <span className="text-soft">
          {" "}
          · {size.rows} {size.rows === 1 ? "row" : "rows"}, {size.columns}{" "}
          {size.columns === 1 ? "column" : "columns"}
        </span>
      </p>
    </div>
  );
}
