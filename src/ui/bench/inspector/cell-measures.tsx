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
  cell,
  placeWidth,
  setAttributes,
  setColumnWidth,
  setPadding,
  type CellAttributes,
} from "@/core/signature";
import { ColorField } from "../../parts/fields/color-field";
import { IconButton } from "../../parts/icon-button";
import { useBench } from "../bench-context";
import { BandMeasures } from "./band-measures";
import { BorderMeasures } from "./border-measures";
import { PaddingMeasures } from "./padding-measures";
import { Section } from "../../parts/section";

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

/** Width, padding, borders, place and background of the selected cells, all of them at once. */
export function CellMeasures() {
  const { editor, selection, palette } = useBench();
  const { cells, table } = selection;
  const [first, ...others] = cells;
  if (!first || !table) return <p className="text-soft">Click into a cell to see its measures.</p>;
  const all = cells.map(({ node }) => cell.of(node));
  const own = cell.of(first.node);
  const common = <K extends keyof CellAttributes>(name: K): CellAttributes[K] | undefined =>
    all.every((each) => each[name] === own[name]) ? own[name] : undefined;

  const change = (edit: (transform: Transform, position: number) => void): void =>
    editor.apply(
      ({ tr }) => {
        for (const { position } of cells) edit(tr, position);
        return tr.docChanged ? tr : null;
      },
      { focus: false },
    );
  const align = common("align");

  return (
    <>
      <BandMeasures
        cells={[first, ...others]}
        width={placeWidth(first.map, first.place)}
        onWidth={(width) =>
          editor.apply(
            ({ tr }) => {
              const columns = new Set(cells.map(({ place }) => place.column));
              for (const column of columns) setColumnWidth(tr, table.position, column, width);
              return tr.docChanged ? tr : null;
            },
            { focus: false },
          )
        }
      />
      <PaddingMeasures
        paddings={all.map(({ padding }) => padding)}
        onChange={(patch) => change((tr, position) => setPadding(tr, position, patch))}
      />
      <BorderMeasures cells={cells} />
      <Section title="Place in cell">
        <div className="flex gap-0.5">
          {horizontal.map(({ value, label, Icon }) => (
            <IconButton
              key={value}
              label={label}
              pressed={align !== undefined && (align ?? "left") === value}
              onClick={() =>
                change((tr, position) =>
                  setAttributes(tr, position, cell, { align: value === "left" ? null : value }),
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
              pressed={common("verticalAlign") === value}
              onClick={() =>
                change((tr, position) => setAttributes(tr, position, cell, { verticalAlign: value }))
              }
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
          value={common("background") ?? null}
          palette={palette}
          onChange={(background) =>
            change((tr, position) => setAttributes(tr, position, cell, { background }))
          }
        />
      </Section>
    </>
  );
}
