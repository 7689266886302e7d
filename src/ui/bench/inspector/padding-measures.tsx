"use client";

import { Link2, Unlink2 } from "lucide-react";
import { useState } from "react";
import { cell, noSides, type SideName, type Sides } from "@/core/signature";
import { IconButton } from "../../parts/icon-button";
import { MeasureField } from "../../parts/fields/measure-field";
import { Section } from "../../parts/section";

const fieldPlaces: Readonly<Record<SideName, string>> = {
  top: "col-start-2 row-start-1 justify-self-center",
  right: "col-start-3 row-start-2 self-center",
  bottom: "col-start-2 row-start-3 justify-self-center",
  left: "col-start-1 row-start-2 self-center",
};

interface Props {
  /** One for each selected cell; a side on which they differ shows no number. */
  readonly paddings: readonly Sides<number>[];
  readonly onChange: (patch: Partial<Sides<number>>) => void;
}

/** The padding of the selected cells, a side at a time or all four together. */
export function PaddingMeasures({ paddings, onChange }: Props) {
  const [linked, setLinked] = useState(false);
  const common = (side: SideName): number | null => {
    const [value, ...others] = new Set(paddings.map((padding) => padding[side]));
    return others.length === 0 ? (value ?? null) : null;
  };
  return (
    <Section title="Padding">
      <div className="grid grid-cols-[44px_1fr_44px] grid-rows-[auto_50px_auto] items-center gap-1">
        {(Object.keys(fieldPlaces) as SideName[]).map((side) => (
          <div key={side} className={fieldPlaces[side]}>
            <MeasureField
              label={`Padding ${side}`}
              quiet
              value={common(side)}
              range={{ ...cell.attributes.padding.value.fields[side], unit: "" }}
              className="w-10"
              onChange={(value) => onChange(linked ? noSides(value) : { [side]: value })}
            />
          </div>
        ))}
        <div
          aria-hidden
          className="col-start-2 row-start-2 grid h-full place-items-center border border-hairline bg-sheet"
        >
          <div className="h-6 w-4/6 border border-dashed border-soft" />
        </div>
        <IconButton
          label={linked ? "Sides change together" : "Each side by itself"}
          pressed={linked}
          className="col-start-3 row-start-3 justify-self-end"
          onClick={() => setLinked(!linked)}
        >
          {linked ? <Link2 size={15} aria-hidden /> : <Unlink2 size={15} aria-hidden />}
        </IconButton>
      </div>
    </Section>
  );
}
