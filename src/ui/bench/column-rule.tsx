"use client";

import { useRef, useState } from "react";
import { moveColumnBorder, tableMap } from "@/core/signature";
import { useBench } from "./bench-context";

/** Ticks every 10 px, longer every 50. */
function Ticks({ width }: { width: number }) {
  const ticks = Array.from({ length: Math.floor(width / 10) + 1 }, (_unused, index) => index * 10);
  return (
    <svg aria-hidden width={width + 1} height={8} className="block text-soft">
      {ticks.map((x) => (
        <path key={x} d={`M${x + 0.5} 8V${x % 50 === 0 ? 0 : 5}`} stroke="currentColor" strokeWidth={1} />
      ))}
    </svg>
  );
}

/** Undo keeps steps of one number together; the editor counts its own compositions from 1. */
const firstGesture = 1_000_000;

/** The rule above the outer table: each column's width, and a handle on each border between columns. */
export function ColumnRule() {
  const { editor, settings } = useBench();
  const [dragging, setDragging] = useState<number | null>(null);
  const gesture = useRef({ id: firstGesture, x: 0, width: 0 });
  const { columnWidths, width } = tableMap(editor.state.doc.firstChild!);
  const mirrored = settings.direction === "rtl" ? -1 : 1;

  const widen = (column: number, to: number): void =>
    editor.apply(
      ({ tr }) => {
        moveColumnBorder(tr, 0, column, to - tableMap(tr.doc.firstChild!).columnWidths[column]!);
        // Steps of one gesture are taken back together.
        return tr.docChanged ? tr.setMeta("composition", gesture.current.id) : null;
      },
      { focus: false },
    );

  const edges = columnWidths.map((_width, column) =>
    columnWidths.slice(0, column + 1).reduce((sum, each) => sum + each, 0),
  );

  return (
    <div className="relative mb-1 select-none" style={{ width }} dir={settings.direction}>
      <div className="flex text-xs font-medium text-pine">
        {columnWidths.map((each, column) => (
          <span key={column} className="text-center" style={{ width: each }}>
            {each}
            <span className="sr-only"> px, column {column + 1}</span>
          </span>
        ))}
      </div>
      <div dir="ltr" className={mirrored < 0 ? "-scale-x-100" : ""}>
        <Ticks width={width} />
      </div>
      {edges.map((edge, column) => (
        <div
          key={column}
          role="slider"
          tabIndex={0}
          aria-label={
            column < columnWidths.length - 1 ? `Border after column ${column + 1}` : "Right edge of the table"
          }
          aria-valuemin={8}
          aria-valuemax={1200}
          aria-valuenow={columnWidths[column]}
          aria-valuetext={`column ${column + 1} is ${columnWidths[column]} px wide`}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            gesture.current = { id: gesture.current.id + 1, x: event.clientX, width: columnWidths[column]! };
            setDragging(column);
          }}
          onPointerMove={(event) => {
            if (dragging !== column) return;
            widen(column, gesture.current.width + Math.round((event.clientX - gesture.current.x) * mirrored));
          }}
          onPointerUp={() => setDragging(null)}
          onPointerCancel={() => setDragging(null)}
          onKeyDown={(event) => {
            const by = event.key === "ArrowRight" ? mirrored : event.key === "ArrowLeft" ? -mirrored : 0;
            if (by === 0) return;
            event.preventDefault();
            gesture.current.id += 1;
            widen(column, columnWidths[column]! + (event.shiftKey ? by * 5 : by));
          }}
          className="absolute bottom-0 h-3 w-[9px] cursor-ew-resize touch-none rounded-[2px] bg-pine"
          style={{ insetInlineStart: edge - 4 }}
        >
          {dragging === column && (
            <span className="absolute bottom-4 left-1/2 -translate-x-1/2 whitespace-nowrap rounded-sm bg-ink px-1.5 py-0.5 text-xs text-paper">
              {columnWidths[column]}
              {columnWidths[column + 1] === undefined ? " px" : ` | ${columnWidths[column + 1]} px`}
            </span>
          )}
        </div>
      ))}
    </div>
  );
}
