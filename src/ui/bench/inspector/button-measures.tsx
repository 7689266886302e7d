"use client";

import { ColorField } from "../../parts/color-field";
import { MeasureField } from "../../parts/measure-field";
import { useBench } from "../bench-context";
import type { MeasuresOfPart } from "./measures-of-part";
import { Section } from "../../parts/section";

/** Width, radius, padding and colours of a button. */
export function ButtonMeasures({ attributes, set }: MeasuresOfPart) {
  const { palette } = useBench();
  return (
    <Section title="Button">
      <div className="flex gap-4">
        <MeasureField
          label="Width"
          value={attributes.width!}
          least={20}
          most={1200}
          onChange={(width) => set({ width })}
        />
        <MeasureField
          label="Radius"
          value={attributes.radius!}
          least={0}
          most={60}
          onChange={(radius) => set({ radius })}
        />
      </div>
      <div className="mt-2 flex gap-4">
        <MeasureField
          label="Padding above and below"
          value={attributes.paddingVertical!}
          least={0}
          most={60}
          className="w-24"
          onChange={(paddingVertical) => set({ paddingVertical })}
        />
        <MeasureField
          label="Padding at the sides"
          value={attributes.paddingHorizontal!}
          least={0}
          most={100}
          className="w-24"
          onChange={(paddingHorizontal) => set({ paddingHorizontal })}
        />
      </div>
      <div className="mt-2 flex gap-4">
        <ColorField
          label="Background"
          value={attributes.background!}
          palette={palette}
          onChange={(background) => background && set({ background })}
        />
        <ColorField
          label="Text"
          value={attributes.color!}
          palette={palette}
          onChange={(color) => color && set({ color })}
        />
      </div>
    </Section>
  );
}
