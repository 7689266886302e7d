"use client";

import { useRef } from "react";
import { moveColumnBorder, narrowestColumn, outerTable, setSettings, tableMap } from "@/core/signature";
import { useBench } from "../bench-context";
import { moveTo } from "../editor/table-commands";
import { selectBand } from "../editor/table-selection";
import { RuleHandle } from "./rule-handle";
import { useBandDrag } from "./use-band-drag";
import type { DrawnTable } from "./use-drawn-table";

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

const widest = 1200;

/** Columns as wide as they are drawn where words in them are wider than they are set; a px of rounding is none. */
const shownWidths = (set: readonly number[], drawn: DrawnTable["columns"]): readonly number[] =>
  set.map((width, column) => {
    const there = drawn.length === set.length ? (drawn[column] ?? width) : width;
    return Math.abs(there - width) > 1 ? there : width;
  });

/**
 * The rule above the outer table: each column by its width, to select or to move; a handle on each border between
 * columns; and the most that the whole signature may be wide.
 */
export function ColumnRule({ drawn }: { drawn: DrawnTable["columns"] }) {
  const { editor, settings, selection } = useBench();
  const numbers = useRef<HTMLDivElement>(null);
  const { columnWidths, width } = tableMap(outerTable(editor.state.doc));
  const rightToLeft = settings.direction === "rtl";
  const widths = shownWidths(columnWidths, drawn);
  const edges = widths.map((_width, column) =>
    widths.slice(0, column + 1).reduce((sum, each) => sum + each, 0),
  );
  const selected = new Set(
    selection.table?.position === 0
      ? selection.cells.flatMap(({ place }) =>
          Array.from({ length: place.colspan }, (_unused, index) => place.column + index),
        )
      : [],
  );

  const isStrained = (column: number): boolean => widths[column] !== columnWidths[column];

  const columnAt = (x: number): number => {
    const box = numbers.current!.getBoundingClientRect();
    const from = rightToLeft ? box.right - x : x - box.left;
    const found = edges.findIndex((edge) => from < edge);
    return found < 0 ? columnWidths.length - 1 : found;
  };
  const drag = useBandDrag(
    "x",
    columnAt,
    (column) => editor.apply(({ tr }) => selectBand(tr, 0, "column", column)),
    (column, beside) => editor.apply((state) => moveTo(state, 0, "column", column, beside)),
  );
  const mark =
    drag.dragged === null || drag.beside === null || drag.beside === drag.dragged
      ? null
      : drag.beside > drag.dragged
        ? edges[drag.beside]!
        : edges[drag.beside]! - widths[drag.beside]!;

  const widen = (column: number, to: number, gesture: number): void =>
    editor.apply(
      ({ tr }) => {
        moveColumnBorder(tr, 0, column, to - tableMap(outerTable(tr.doc)).columnWidths[column]!);
        // Steps of one gesture are taken back together.
        return tr.docChanged ? tr.setMeta("composition", gesture) : null;
      },
      { focus: false },
    );
  const limit = (maxWidth: number, gesture: number): void =>
    editor.apply(
      ({ tr }) => {
        setSettings(tr, { maxWidth });
        return tr.docChanged ? tr.setMeta("composition", gesture) : null;
      },
      { focus: false },
    );

  return (
    <div
      className="relative mb-1 select-none"
      style={{ width: Math.max(width, settings.maxWidth) }}
      dir={settings.direction}
    >
      <div
        ref={numbers}
        className="flex text-xs font-medium text-pine"
        style={{ width: edges.at(-1) ?? width }}
      >
        {widths.map((each, column) => (
          <button
            key={column}
            type="button"
            aria-label={`Column ${column + 1}, ${each} px${isStrained(column) ? `, set to ${columnWidths[column]}` : ""}`}
            aria-pressed={selected.has(column)}
            title={
              isStrained(column)
                ? `Set to ${columnWidths[column]} px; words in the table are wider than their columns`
                : "Click to select the column, drag to move it"
            }
            {...drag.handlers(column)}
            // Pointers are told from clicks above; a click without one is a key.
            onClick={(event) =>
              event.detail === 0 && editor.apply(({ tr }) => selectBand(tr, 0, "column", column))
            }
            className={`touch-none overflow-hidden rounded-t-sm text-center hover:bg-kelp ${selected.has(column) ? "bg-kelp" : ""} ${isStrained(column) ? "text-clay" : ""} ${drag.dragged === column ? "opacity-50" : ""}`}
            style={{ width: each }}
          >
            {each}
          </button>
        ))}
      </div>
      <div dir="ltr" className={rightToLeft ? "-scale-x-100" : ""}>
        <Ticks width={Math.max(width, settings.maxWidth)} />
      </div>
      {mark !== null && (
        <span
          aria-hidden
          className="absolute -bottom-1 top-0 w-[3px] rounded-sm bg-pine"
          style={{ insetInlineStart: mark - 1 }}
        />
      )}
      {edges.map((edge, column) => (
        <RuleHandle
          key={column}
          label={
            column < columnWidths.length - 1 ? `Border after column ${column + 1}` : "Right edge of the table"
          }
          value={columnWidths[column]!}
          valueText={`column ${column + 1} is ${columnWidths[column]} px wide`}
          least={narrowestColumn}
          most={widest}
          along="x"
          direction={rightToLeft ? -1 : 1}
          readout={`${columnWidths[column]}${columnWidths[column + 1] === undefined ? " px" : ` | ${columnWidths[column + 1]} px`}`}
          onChange={(to, gesture) => widen(column, to, gesture)}
          className="bottom-0 h-3 w-[9px]"
          style={{ insetInlineStart: edge - 4 }}
        />
      ))}
      <span
        aria-hidden
        className={`pointer-events-none absolute top-5 z-[1] h-24 border-l border-dashed ${width > settings.maxWidth ? "border-clay" : "border-soft/40"}`}
        style={{ insetInlineStart: settings.maxWidth }}
      />
      <RuleHandle
        label="The most it may be wide"
        value={settings.maxWidth}
        valueText={`at most ${settings.maxWidth} px wide`}
        least={100}
        most={widest}
        along="x"
        direction={rightToLeft ? -1 : 1}
        readout={`at most ${settings.maxWidth} px`}
        onChange={limit}
        className="-top-0.5 h-2.5 w-[5px] !rounded-full !bg-clay"
        style={{ insetInlineStart: settings.maxWidth - 2 }}
      />
    </div>
  );
}
