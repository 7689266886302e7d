"use client";

import { divider, spacer } from "@/core/signature";
import { ColorField } from "../../parts/fields/color-field";
import { MeasureField } from "../../parts/fields/measure-field";
import { BorderStyleField } from "./border-style-field";
import { useBench } from "../bench-context";
import type { MeasuresOfPart } from "./measures-of-part";
import { Section } from "../../parts/section";

/** How high a spacer is. */
export function SpacerMeasures({ attributes, set }: MeasuresOfPart<typeof spacer.attributes>) {
  return (
    <Section title="Spacer">
      <MeasureField
        label="Height"
        range={spacer.attributes.height.value}
        value={attributes.height}
        onChange={(height) => set({ height })}
      />
    </Section>
  );
}

/** Thickness, width, style and colour of a divider. */
export function DividerMeasures({ attributes, set }: MeasuresOfPart<typeof divider.attributes>) {
  const { palette } = useBench();
  return (
    <Section title="Divider">
      <div className="flex gap-4">
        <MeasureField
          label="Thickness"
          range={divider.attributes.thickness.value}
          value={attributes.thickness}
          onChange={(thickness) => set({ thickness })}
        />
        <MeasureField
          label="Width"
          range={divider.attributes.width.value.value}
          value={attributes.width}
          onChange={(width) => set({ width })}
        />
        <ColorField
          label="Colour"
          value={attributes.color}
          palette={palette}
          onChange={(color) => color && set({ color })}
        />
      </div>
      <div className="mt-2 flex items-center gap-4">
        <BorderStyleField
          label="Style of the divider"
          value={attributes.style}
          onChange={(style) => set({ style })}
        />
        {attributes.width !== null && (
          <button
            type="button"
            onClick={() => set({ width: null })}
            className="rounded-sm text-xs text-pine underline"
          >
            As wide as the cell
          </button>
        )}
      </div>
    </Section>
  );
}
