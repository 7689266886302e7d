"use client";

import { useRef } from "react";
import { outerTable, row as rowKind, setAttributes } from "@/core/signature";
import { useBench } from "../bench-context";
import { moveTo } from "../editor/table-commands";
import { selectAll, selectBand } from "../editor/table-selection";
import { RuleHandle } from "./rule-handle";
import { useBandDrag } from "./use-band-drag";
import type { DrawnRow } from "./use-drawn-table";

/** The rule at the left of the outer table: each row by its height, to select, to move, and to make higher. */
export function RowRule({ rows }: { rows: readonly DrawnRow[] }) {
  const { editor, selection } = useBench();
  const rule = useRef<HTMLDivElement>(null);
  const table = outerTable(editor.state.doc);
  const selected = new Set(
    selection.table?.position === 0
      ? selection.cells.flatMap(({ place }) =>
          Array.from({ length: place.rowspan }, (_unused, index) => place.row + index),
        )
      : [],
  );

  const rowAt = (y: number): number => {
    const from = y - rule.current!.getBoundingClientRect().top;
    const found = rows.findIndex(({ top, height }) => from < top + height);
    return found < 0 ? rows.length - 1 : found;
  };
  const select = (row: number): void => editor.apply(({ tr }) => selectBand(tr, 0, "row", row));
  const drag = useBandDrag("y", rowAt, select, (row, beside) =>
    editor.apply((state) => moveTo(state, 0, "row", row, beside)),
  );
  const { dragged, beside } = drag;
  const mark =
    dragged === null || beside === null || beside === dragged
      ? null
      : rows[beside]!.top + (beside > dragged ? rows[beside]!.height : 0);

  const heighten = (row: number, height: number, gesture: number): void =>
    editor.apply(
      ({ doc, tr }) => {
        const outer = outerTable(doc);
        const position =
          1 + outer.content.content.slice(0, row).reduce((sum, each) => sum + each.nodeSize, 0);
        setAttributes(tr, position, rowKind, { height });
        return tr.docChanged ? tr.setMeta("composition", gesture) : null;
      },
      { focus: false },
    );

  return (
    <div
      ref={rule}
      role="group"
      aria-label="Rows"
      className="absolute -left-11 top-0 w-9 select-none text-right text-xs font-medium text-pine"
    >
      <button
        type="button"
        aria-label="Select the whole table"
        title="Select the whole table"
        onClick={() => editor.apply(({ tr }) => selectAll(tr, 0))}
        className="absolute -top-4 right-0 h-3 w-3 rounded-[2px] border border-pine hover:bg-kelp"
      />
      {rows.map(({ top, height }, row) => (
        <div key={row} className="absolute right-0 w-9" style={{ top, height }}>
          <button
            type="button"
            aria-label={`Row ${row + 1}, ${height} px`}
            aria-pressed={selected.has(row)}
            title="Click to select the row, drag to move it"
            {...drag.handlers(row)}
            // Pointers are told from clicks above; a click without one is a key.
            onClick={(event) => event.detail === 0 && select(row)}
            className={`flex h-full w-9 touch-none items-center justify-end border-r border-soft pr-1.5 hover:bg-kelp ${selected.has(row) ? "bg-kelp" : ""} ${dragged === row ? "opacity-50" : ""}`}
          >
            {height}
          </button>
          {row < table.childCount && (
            <RuleHandle
              label={`Lower edge of row ${row + 1}`}
              value={height}
              valueText={`row ${row + 1} is ${height} px high`}
              least={1}
              most={2000}
              along="y"
              readout={`${height} px`}
              onChange={(to, gesture) => heighten(row, to, gesture)}
              className="-bottom-[2px] right-0 h-[5px] w-2.5"
            />
          )}
        </div>
      ))}
      {mark !== null && (
        <span
          aria-hidden
          className="absolute -right-1 left-0 h-[3px] rounded-sm bg-pine"
          style={{ top: mark - 1 }}
        />
      )}
    </div>
  );
}
