"use client";

import { Plus } from "lucide-react";
import { useState } from "react";
import { toast } from "sonner";
import { hasPlate, iconStyleNames, inStyle, type IconLook } from "@/core/icons";
import { iconRow } from "@/core/signature";
import { Button } from "../../parts/button";
import { ChoiceField } from "../../parts/fields/choice-field";
import { ColorField } from "../../parts/fields/color-field";
import { MeasureField } from "../../parts/fields/measure-field";
import { Section } from "../../parts/section";
import { useBench } from "../bench-context";
import { IconList } from "./icon-list";
import type { MeasuresOfPart } from "./measures-of-part";

/** How the icons are laid: one line, one under the other, or so many to a line. */
type Laid = "row" | "column" | "columns";

const laidNames: Readonly<Record<Laid, string>> = {
  row: "side by side",
  column: "one under the other",
  columns: "in columns",
};

/** Its icons in order; size, gap and direction of the row; and how all of its icons are drawn. */
export function IconRowMeasures({
  node,
  position,
  attributes,
  set,
}: MeasuresOfPart<typeof iconRow.attributes>) {
  const { choosePicture, chooseIcons, resizeIcons, restyleIcons, palette } = useBench();
  const [busy, setBusy] = useState(false);
  const during = async (action: () => Promise<void>): Promise<void> => {
    setBusy(true);
    try {
      await action();
    } catch (error) {
      toast.error((error as Error).message);
    }
    setBusy(false);
  };
  const { columns, look: kept } = attributes;
  const laid: Laid = attributes.direction === "column" ? "column" : columns > 0 ? "columns" : "row";
  const look: IconLook = kept ?? { style: "solid", color: null, plate: "#E2ECE8" };
  const draw = (patch: Partial<IconLook>): void =>
    void during(() => restyleIcons(position, { ...look, ...patch }));

  return (
    <>
      <Section title="Icon row">
        <IconList row={node} position={position} />
        <div className="mt-2 flex flex-wrap items-center gap-2">
          <Button look="primary" onClick={() => chooseIcons(position)}>
            <Plus size={15} aria-hidden />
            Add icons
          </Button>
          <Button look="quiet" onClick={() => choosePicture({ kind: "icon", position })}>
            From Pictures
          </Button>
        </div>
      </Section>
      {node.childCount > 0 && (
        <Section title="All icons are drawn">
          <ChoiceField
            label="Style of the icons"
            quiet
            value={kept ? look.style : null}
            none="as they came"
            disabled={busy}
            choices={iconStyleNames}
            onChange={(style) => draw(inStyle(look, style))}
            className="w-full"
          />
          {kept && (
            <div className="mt-2 flex gap-4">
              <ColorField
                label="Tint"
                value={look.color}
                clearable
                palette={palette}
                onChange={(color) => draw({ color })}
              />
              {hasPlate(look) && (
                <ColorField
                  label="Plate"
                  value={look.plate}
                  palette={palette}
                  onChange={(plate) => plate && draw({ plate })}
                />
              )}
            </div>
          )}
        </Section>
      )}
      <Section title="Measures of the row">
        <div className="flex gap-4">
          <MeasureField
            label="Icon height"
            range={iconRow.attributes.size.value}
            value={attributes.size}
            onChange={(size) => {
              set({ size });
              // Drawn in a look, they are drawn anew at once; as they came, they are cut on demand.
              if (kept) draw({});
            }}
          />
          <MeasureField
            label="Gap"
            range={iconRow.attributes.gap.value}
            value={attributes.gap}
            onChange={(gap) => set({ gap })}
          />
        </div>
        <div className="mt-2 flex items-end gap-4">
          <ChoiceField
            label="Icons stand"
            value={laid}
            choices={laidNames}
            onChange={(next) =>
              set({ direction: next === "column" ? "column" : "row", columns: next === "columns" ? 3 : 0 })
            }
          />
          {laid === "columns" && (
            <MeasureField
              label="Columns"
              range={{ ...iconRow.attributes.columns.value, least: 1 }}
              value={columns}

              onChange={(next) => set({ columns: next })}
            />
          )}
        </div>
        {!kept && (
          <Button
            className="mt-2"
            disabled={busy || node.childCount === 0}
            onClick={() => void during(() => resizeIcons(position))}
          >
            {busy ? "Cutting…" : `Cut all to ${attributes.size} px`}
          </Button>
        )}
      </Section>
    </>
  );
}
