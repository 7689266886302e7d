"use client";

import { useState } from "react";
import { lineBetween, setBorder, sideNames, type Border, type SideName } from "@/core/signature";
import { ColorField } from "../../parts/color-field";
import { MeasureField } from "../../parts/measure-field";
import { useBench } from "../bench-context";
import type { Placed } from "../editor/selection";
import { Section } from "./section";

const sidePlaces: Readonly<Record<SideName, string>> = {
  top: "inset-x-3 top-0 h-3",
  right: "inset-y-3 right-0 w-3",
  bottom: "inset-x-3 bottom-0 h-3",
  left: "inset-y-3 left-0 w-3",
};

const edges: Readonly<Record<SideName, string>> = {
  top: "borderTop",
  right: "borderRight",
  bottom: "borderBottom",
  left: "borderLeft",
};

const newLine: Border = { width: 1, style: "solid", color: "#333333" };

/** The lines of a cell, side by side; where two cells meet there is one line for both. */
export function LineMeasures({ cell }: { cell: Placed }) {
  const { editor, palette } = useBench();
  const [side, setSide] = useState<SideName>("right");
  const document = editor.state.doc;
  const lines = Object.fromEntries(
    sideNames.map((name) => [name, lineBetween(document, cell.position, name)]),
  ) as Record<SideName, Border | null>;
  const line = lines[side];

  const change = (patch: Partial<Border> | null): void =>
    editor.apply(
      ({ tr }) => {
        setBorder(tr, cell.position, side, patch && { ...(line ?? newLine), ...patch });
        return tr.docChanged ? tr : null;
      },
      { focus: false },
    );

  return (
    <Section title="Lines">
      <div className="flex gap-4">
        <div role="radiogroup" aria-label="Side" className="relative h-[74px] w-[84px] shrink-0">
          <div
            aria-hidden
            className="absolute inset-1.5 border border-dashed border-hairline bg-sheet"
            style={Object.fromEntries(
              sideNames
                .filter((name) => lines[name])
                .map((name) => [
                  edges[name],
                  `${Math.max(1.5, lines[name]!.width)}px ${lines[name]!.style} ${lines[name]!.color}`,
                ]),
            )}
          />
          {sideNames.map((name) => (
            <button
              key={name}
              type="button"
              role="radio"
              aria-checked={side === name}
              aria-label={`Line at the ${name}`}
              title={`Line at the ${name}`}
              onClick={() => setSide(name)}
              className={`absolute rounded-sm ${sidePlaces[name]} ${side === name ? "bg-pine/20 ring-1 ring-pine" : "hover:bg-kelp"}`}
            />
          ))}
        </div>
        <div className="space-y-1.5">
          <MeasureField
            label={`Width of the line at the ${side}`}
            quiet
            value={line?.width ?? 0}
            least={0}
            most={8}
            step={0.5}
            className="w-20"
            onChange={(width) => change(width === 0 ? null : { width })}
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
            onChange={(color) => change(color ? { color } : null)}
          />
        </div>
      </div>
    </Section>
  );
}
