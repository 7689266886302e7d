"use client";

import { useState } from "react";
import {
  commonLine,
  rectangleOf,
  setLines,
  sideNames,
  type Border,
  type LineTarget,
  type SideName,
} from "@/core/signature";
import { ColorField } from "../../parts/color-field";
import { MeasureField } from "../../parts/measure-field";
import { useBench } from "../bench-context";
import type { PlacedCell } from "../editor/selection";
import { Section } from "../../parts/section";

/** Where each line of the drawing is taken hold of. */
const places: Readonly<Record<SideName | "between columns" | "between rows", string>> = {
  top: "inset-x-3 top-0 h-3",
  right: "inset-y-3 right-0 w-3",
  bottom: "inset-x-3 bottom-0 h-3",
  left: "inset-y-3 left-0 w-3",
  // They cross in the middle, so each is taken hold of before that.
  "between columns": "top-3 h-[18px] left-1/2 w-3 -translate-x-1/2",
  "between rows": "left-3 w-[22px] top-1/2 h-3 -translate-y-1/2",
};

const names: Readonly<Record<LineTarget, string>> = {
  top: "Line at the top",
  right: "Line at the right",
  bottom: "Line at the bottom",
  left: "Line at the left",
  "between columns": "Line between the columns",
  "between rows": "Line between the rows",
  outer: "Lines around",
  inner: "Lines inside",
  all: "All lines",
};

const edges: Readonly<Record<SideName, string>> = {
  top: "borderTop",
  right: "borderRight",
  bottom: "borderBottom",
  left: "borderLeft",
};

/** A hairline and a half: the width that people ask for most between a photo and its text. */
const newWidth = 1.5;

const drawn = (line: Border): string => `${Math.max(1.5, line.width)}px ${line.style} ${line.color}`;

/** The lines of the selected cells: around them, between them, or on one side; where cells meet there is one. */
export function LineMeasures({ cells }: { cells: readonly PlacedCell[] }) {
  const { editor, palette, settings } = useBench();
  const [wanted, setWanted] = useState<LineTarget>("right");
  const document = editor.state.doc;
  const positions = cells.map(({ position }) => position);
  const block = rectangleOf(cells.map(({ place }) => place));
  const several = {
    "between columns": cells.some(({ place }) => place.column > block.left),
    "between rows": cells.some(({ place }) => place.row > block.top),
  };
  const inner = several["between columns"] || several["between rows"];
  const possible = (target: LineTarget): boolean =>
    target in several ? several[target as keyof typeof several] : target !== "inner" || inner;
  const target = possible(wanted) ? wanted : "right";
  const common = commonLine(document, positions, target);
  const line = common === "mixed" ? null : common;
  const seen = (side: LineTarget): Border | null => {
    const found = commonLine(document, positions, side);
    return found === "mixed" ? null : found;
  };

  const set = (where: readonly number[], which: LineTarget, value: Border | null): void =>
    editor.apply(
      ({ tr }) => {
        setLines(tr, where, which, value);
        return tr.docChanged ? tr : null;
      },
      { focus: false },
    );
  const change = (patch: Partial<Border>): void =>
    set(positions, target, {
      ...(line ?? { width: newWidth, style: "solid", color: settings.linkColor }),
      ...patch,
    });

  /** Every cell of the whole signature, nested tables as well. */
  const clearAll = (): void =>
    editor.apply(
      ({ tr, doc }) => {
        doc.descendants((node, position) => {
          if (node.type.name === "cell") setLines(tr, [position], "all", null);
        });
        return tr.docChanged ? tr : null;
      },
      { focus: false },
    );

  return (
    <Section title="Lines">
      <div className="flex gap-3">
        <div>
          <div role="radiogroup" aria-label="Which line" className="relative h-[74px] w-[84px] shrink-0">
            <div
              aria-hidden
              className="absolute inset-1.5 border border-dashed border-hairline bg-sheet"
              style={Object.fromEntries(
                sideNames.flatMap((side) => {
                  const shown = seen(side);
                  return shown ? [[edges[side], drawn(shown)]] : [];
                }),
              )}
            >
              {several["between columns"] && (
                <span
                  className="absolute inset-y-0 left-1/2 border-l border-dashed border-hairline"
                  style={
                    seen("between columns") ? { borderLeft: drawn(seen("between columns")!) } : undefined
                  }
                />
              )}
              {several["between rows"] && (
                <span
                  className="absolute inset-x-0 top-1/2 border-t border-dashed border-hairline"
                  style={seen("between rows") ? { borderTop: drawn(seen("between rows")!) } : undefined}
                />
              )}
            </div>
            {(Object.keys(places) as (keyof typeof places)[]).filter(possible).map((name) => (
              <button
                key={name}
                type="button"
                role="radio"
                aria-checked={target === name}
                aria-label={names[name]}
                title={names[name]}
                onClick={() => setWanted(name)}
                className={`absolute rounded-sm ${places[name]} ${target === name ? "bg-pine/20 ring-1 ring-pine" : "hover:bg-kelp"}`}
              />
            ))}
          </div>
          <div className="mt-1 flex gap-1 text-xs">
            {(["all", "outer", "inner"] as const).filter(possible).map((name) => (
              <button
                key={name}
                type="button"
                aria-pressed={target === name}
                aria-label={names[name]}
                onClick={() => setWanted(name)}
                className={`rounded-sm px-1 hover:bg-kelp ${target === name ? "bg-kelp font-medium text-pine" : ""}`}
              >
                {name}
              </button>
            ))}
          </div>
        </div>
        <div className="space-y-1.5">
          <MeasureField
            label={`Width of the ${names[target].toLowerCase()}`}
            quiet
            value={line?.width ?? (common === "mixed" ? null : 0)}
            least={0}
            most={8}
            step={0.5}
            className="w-20"
            onChange={(width) => (width === 0 ? set(positions, target, null) : change({ width }))}
          />
          <label className="block">
            <span className="sr-only">Style of the line</span>
            <select
              value={line?.style ?? "solid"}
              disabled={!line}
              onChange={(event) => change({ style: event.target.value as Border["style"] })}
              className="w-20 rounded-sm bg-paper py-0.5 disabled:opacity-40"
            >
              <option value="solid">solid</option>
              <option value="dashed">dashed</option>
              <option value="dotted">dotted</option>
            </select>
          </label>
          <ColorField
            label="Colour of the line"
            quiet
            clearable
            value={line?.color ?? null}
            palette={palette}
            onChange={(color) => (color ? change({ color }) : set(positions, target, null))}
          />
        </div>
      </div>
      <div className="mt-1 flex gap-3 text-xs">
        <button
          type="button"
          onClick={() => set(positions, "all", null)}
          className="rounded-sm text-pine underline"
        >
          None here
        </button>
        <button type="button" onClick={clearAll} className="rounded-sm text-pine underline">
          No lines at all
        </button>
      </div>
    </Section>
  );
}
