"use client";

import {
  AlignCenter,
  AlignLeft,
  AlignRight,
  AlignVerticalJustifyCenter,
  AlignVerticalJustifyEnd,
  AlignVerticalJustifyStart,
} from "lucide-react";
import type { Transform } from "prosemirror-transform";
import {
  cellAttributes,
  setAttributes,
  setColumnWidth,
  setPadding,
  placeWidth,
  type SideName,
} from "@/core/signature";
import { ColorField } from "../../parts/color-field";
import { IconButton } from "../../parts/icon-button";
import { MeasureField } from "../../parts/measure-field";
import { useBench } from "../bench-context";
import { LineMeasures } from "./line-measures";
import { Section } from "./section";

const horizontal = [
  { value: "left", label: "Left in the cell", Icon: AlignLeft },
  { value: "center", label: "Centred in the cell", Icon: AlignCenter },
  { value: "right", label: "Right in the cell", Icon: AlignRight },
] as const;

const vertical = [
  { value: "top", label: "At the top of the cell", Icon: AlignVerticalJustifyStart },
  { value: "middle", label: "In the middle of the cell", Icon: AlignVerticalJustifyCenter },
  { value: "bottom", label: "At the bottom of the cell", Icon: AlignVerticalJustifyEnd },
] as const;

const fieldPlaces: Readonly<Record<SideName, string>> = {
  top: "col-start-2 row-start-1 justify-self-center",
  right: "col-start-3 row-start-2 self-center",
  bottom: "col-start-2 row-start-3 justify-self-center",
  left: "col-start-1 row-start-2 self-center",
};

/** Width, padding, lines, place and background of the selected cells. */
export function CellMeasures() {
  const { editor, selection, palette } = useBench();
  const { cells, table } = selection;
  const [first] = cells;
  if (!first || !table) return <p className="text-soft">Click into a cell to see its measures.</p>;
  const cell = cellAttributes(first.node);
  const { map, place } = first;
  const { column } = place;
  const oneColumn = cell.colspan === 1;

  const change = (edit: (transform: Transform, position: number) => void): void =>
    editor.apply(
      ({ tr }) => {
        for (const { position } of cells) edit(tr, position);
        return tr.docChanged ? tr : null;
      },
      { focus: false },
    );

  return (
    <>
      <Section title="Column">
        <div className="flex items-end gap-3">
          <MeasureField
            label={`Width of column ${column + 1}`}
            quiet
            value={placeWidth(map, place)}
            least={8}
            most={1200}
            unit="px"
            disabled={!oneColumn}
            className="w-24"
            onChange={(width) =>
              editor.apply(({ tr }) => setColumnWidth(tr, table.position, column, width) as typeof tr, {
                focus: false,
              })
            }
          />
          <span className="pb-0.5 text-xs text-soft">table {map.width} px</span>
        </div>
      </Section>
      <Section title="Padding">
        <div className="grid grid-cols-[44px_1fr_44px] grid-rows-[auto_56px_auto] items-center gap-1.5">
          {(Object.keys(fieldPlaces) as SideName[]).map((side) => (
            <div key={side} className={fieldPlaces[side]}>
              <MeasureField
                label={`Padding ${side}`}
                quiet
                unit=""
                value={cell.padding[side]}
                least={0}
                most={200}
                className="w-10"
                onChange={(value) => change((tr, position) => setPadding(tr, position, { [side]: value }))}
              />
            </div>
          ))}
          <div
            aria-hidden
            className="col-start-2 row-start-2 grid h-full place-items-center border border-hairline bg-sheet"
          >
            <div className="h-7 w-4/6 border border-dashed border-soft" />
          </div>
        </div>
      </Section>
      <LineMeasures cell={first} />
      <Section title="Place in cell">
        <div className="flex gap-0.5">
          {horizontal.map(({ value, label, Icon }) => (
            <IconButton
              key={value}
              label={label}
              pressed={(cell.align ?? "left") === value}
              onClick={() =>
                change((tr, position) =>
                  setAttributes(tr, position, { align: value === "left" ? null : value }),
                )
              }
            >
              <Icon size={16} aria-hidden />
            </IconButton>
          ))}
          <span aria-hidden className="mx-1 border-l border-hairline" />
          {vertical.map(({ value, label, Icon }) => (
            <IconButton
              key={value}
              label={label}
              pressed={cell.verticalAlign === value}
              onClick={() => change((tr, position) => setAttributes(tr, position, { verticalAlign: value }))}
            >
              <Icon size={16} aria-hidden />
            </IconButton>
          ))}
        </div>
      </Section>
      <Section title="Background">
        <ColorField
          label="Background of the cell"
          quiet
          clearable
          value={cell.background}
          palette={palette}
          onChange={(background) => change((tr, position) => setAttributes(tr, position, { background }))}
        />
      </Section>
    </>
  );
}
