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
import { IconChoice } from "../../parts/fields/icon-choice";
import { useBench } from "../bench-context";
import { BandMeasures } from "./band-measures";
import { BorderMeasures } from "./border-measures";
import { PaddingMeasures } from "./padding-measures";
import { Section } from "../../parts/section";

const horizontal = [
  { value: "left", label: "Left in the cell", drawing: <AlignLeft size={16} aria-hidden /> },
  { value: "center", label: "Centred in the cell", drawing: <AlignCenter size={16} aria-hidden /> },
  { value: "right", label: "Right in the cell", drawing: <AlignRight size={16} aria-hidden /> },
] as const;

const vertical = [
  {
    value: "top",
    label: "At the top of the cell",
    drawing: <AlignVerticalJustifyStart size={16} aria-hidden />,
  },
  {
    value: "middle",
    label: "In the middle of the cell",
    drawing: <AlignVerticalJustifyCenter size={16} aria-hidden />,
  },
  {
    value: "bottom",
    label: "At the bottom of the cell",
    drawing: <AlignVerticalJustifyEnd size={16} aria-hidden />,
  },
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
          <IconChoice
            label="Alignment across the cell"
            value={align === undefined ? null : (align ?? "left")}
            choices={horizontal}
            onChange={(next) =>
              change((tr, position) =>
                setAttributes(tr, position, cell, { align: next === "left" ? null : next }),
              )
            }
          />
          <span aria-hidden className="mx-1 border-l border-hairline" />
          <IconChoice
            label="Alignment up and down the cell"
            value={common("verticalAlign") ?? null}
            choices={vertical}
            onChange={(verticalAlign) =>
              change((tr, position) => setAttributes(tr, position, cell, { verticalAlign }))
            }
          />
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
