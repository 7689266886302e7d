"use client";

import { useState } from "react";
import {
  border,
  commonBorder,
  rectangleOf,
  setBorders,
  sideNames,
  type Border,
  type BorderTarget,
  type SideName,
} from "@/core/signature";
import { BorderStyleField } from "./border-style-field";
import { ColorField } from "../../parts/fields/color-field";
import { MeasureField } from "../../parts/fields/measure-field";
import { useBench } from "../bench-context";
import type { PlacedCell } from "../editor/selection";
import { Section } from "../../parts/section";

/** Where each border of the drawing is taken hold of. */
const places: Readonly<Record<SideName | "between columns" | "between rows", string>> = {
  top: "inset-x-3 top-0 h-3",
  right: "inset-y-3 right-0 w-3",
  bottom: "inset-x-3 bottom-0 h-3",
  left: "inset-y-3 left-0 w-3",
  // They cross in the middle, so each is taken hold of before that.
  "between columns": "top-3 h-[18px] left-1/2 w-3 -translate-x-1/2",
  "between rows": "left-3 w-[22px] top-1/2 h-3 -translate-y-1/2",
};

const names: Readonly<Record<BorderTarget, string>> = {
  top: "Border at the top",
  right: "Border at the right",
  bottom: "Border at the bottom",
  left: "Border at the left",
  "between columns": "Border between the columns",
  "between rows": "Border between the rows",
  outer: "Borders around",
  inner: "Borders inside",
  all: "All borders",
};

const edges: Readonly<Record<SideName, string>> = {
  top: "borderTop",
  right: "borderRight",
  bottom: "borderBottom",
  left: "borderLeft",
};

/** A hairline and a half: the width that people ask for most between a photo and its text. */
const newWidth = 1.5;

const drawn = ({ width, style, color }: Border): string => `${Math.max(1.5, width)}px ${style} ${color}`;

/** The borders of the selected cells: around them, between them, or on one side; where cells meet there is one. */
export function BorderMeasures({ cells }: { cells: readonly PlacedCell[] }) {
  const { editor, palette, settings } = useBench();
  const [wanted, setWanted] = useState<BorderTarget>("right");
  const document = editor.state.doc;
  const positions = cells.map(({ position }) => position);
  const block = rectangleOf(cells.map(({ place }) => place));
  const several = {
    "between columns": cells.some(({ place }) => place.column > block.left),
    "between rows": cells.some(({ place }) => place.row > block.top),
  };
  const inner = several["between columns"] || several["between rows"];
  const possible = (target: BorderTarget): boolean =>
    target in several ? several[target as keyof typeof several] : target !== "inner" || inner;
  const target = possible(wanted) ? wanted : "right";
  const common = commonBorder(document, positions, target);
  const shown = common === "mixed" ? null : common;
  const seen = (side: BorderTarget): Border | null => {
    const found = commonBorder(document, positions, side);
    return found === "mixed" ? null : found;
  };
  const styleOf = (edge: "borderLeft" | "borderTop", side: BorderTarget) => {
    const found = seen(side);
    return found ? { [edge]: drawn(found) } : undefined;
  };

  const set = (where: readonly number[], which: BorderTarget, value: Border | null): void =>
    editor.apply(
      ({ tr }) => {
        setBorders(tr, where, which, value);
        return tr.docChanged ? tr : null;
      },
      { focus: false },
    );
  const change = (patch: Partial<Border>): void =>
    set(positions, target, {
      ...(shown ?? { width: newWidth, style: "solid", color: settings.linkColor }),
      ...patch,
    });

  /** Every cell of the whole signature, nested tables as well. */
  const clearAll = (): void =>
    editor.apply(
      ({ tr, doc }) => {
        doc.descendants((node, position) => {
          if (node.type.name === "cell") setBorders(tr, [position], "all", null);
        });
        return tr.docChanged ? tr : null;
      },
      { focus: false },
    );

  return (
    <Section title="Borders">
      <div className="flex gap-3">
        <div>
          <div role="radiogroup" aria-label="Which border" className="relative h-[74px] w-[84px] shrink-0">
            <div
              aria-hidden
              className="absolute inset-1.5 border border-dashed border-hairline bg-sheet"
              style={Object.fromEntries(
                sideNames.flatMap((side) => {
                  const found = seen(side);
                  return found ? [[edges[side], drawn(found)]] : [];
                }),
              )}
            >
              {several["between columns"] && (
                <span
                  className="absolute inset-y-0 left-1/2 border-l border-dashed border-hairline"
                  style={styleOf("borderLeft", "between columns")}
                />
              )}
              {several["between rows"] && (
                <span
                  className="absolute inset-x-0 top-1/2 border-t border-dashed border-hairline"
                  style={styleOf("borderTop", "between rows")}
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
            value={shown?.width ?? (common === "mixed" ? null : 0)}
            range={{ ...border.fields.width, least: 0 }}
            className="w-20"
            onChange={(width) => (width === 0 ? set(positions, target, null) : change({ width }))}
          />
          <BorderStyleField
            label="Style of the border"
            value={shown?.style ?? "solid"}
            disabled={!shown}
            onChange={(style) => change({ style })}
          />
          <ColorField
            label="Colour of the border"
            quiet
            clearable
            value={shown?.color ?? null}
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
          No borders at all
        </button>
      </div>
    </Section>
  );
}
