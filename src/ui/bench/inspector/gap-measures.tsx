"use client";

import { ColorField } from "../../parts/color-field";
import { MeasureField } from "../../parts/measure-field";
import { useBench } from "../bench-context";
import type { MeasuresOfPart } from "./measures-of-part";
import { Section } from "../../parts/section";

/** How high a spacer is. */
export function SpacerMeasures({ attributes, set }: MeasuresOfPart) {
  return (
    <Section title="Spacer">
      <MeasureField
        label="Height"
        value={attributes.height!}
        least={1}
        most={400}
        onChange={(height) => set({ height })}
      />
    </Section>
  );
}

/** Thickness, width, style and colour of a divider. */
export function DividerMeasures({ node, attributes, set }: MeasuresOfPart) {
  const { palette } = useBench();
  return (
    <Section title="Divider">
      <div className="flex gap-4">
        <MeasureField
          label="Thickness"
          value={attributes.thickness!}
          least={0.5}
          most={8}
          step={0.5}
          onChange={(thickness) => set({ thickness })}
        />
        <MeasureField
          label="Width"
          value={attributes.width ?? null}
          least={1}
          most={1200}
          onChange={(width) => set({ width })}
        />
        <ColorField
          label="Colour"
          value={attributes.color!}
          palette={palette}
          onChange={(color) => color && set({ color })}
        />
      </div>
      <div className="mt-2 flex items-center gap-4">
        <select
          aria-label="Style of the divider"
          value={String(node.attrs.style)}
          onChange={(event) => set({ style: event.target.value })}
          className="rounded-sm border-b border-soft bg-paper py-0.5"
        >
          <option value="solid">solid</option>
          <option value="dashed">dashed</option>
          <option value="dotted">dotted</option>
        </select>
        {node.attrs.width !== null && (
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
