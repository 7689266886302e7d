"use client";

import { button } from "@/core/signature";
import { ColorField } from "../../parts/fields/color-field";
import { MeasureField } from "../../parts/fields/measure-field";
import { useBench } from "../bench-context";
import type { MeasuresOfPart } from "./measures-of-part";
import { Section } from "../../parts/section";

/** Width, radius, padding and colours of a button. */
export function ButtonMeasures({ attributes, set }: MeasuresOfPart<typeof button.attributes>) {
  const { palette } = useBench();
  return (
    <Section title="Button">
      <div className="flex gap-4">
        <MeasureField
          label="Width"
          range={button.attributes.width.value}
          value={attributes.width}
          onChange={(width) => set({ width })}
        />
        <MeasureField
          label="Radius"
          range={button.attributes.radius.value}
          value={attributes.radius}
          onChange={(radius) => set({ radius })}
        />
      </div>
      <div className="mt-2 flex gap-4">
        <MeasureField
          label="Padding above and below"
          range={button.attributes.paddingVertical.value}
          value={attributes.paddingVertical}
          className="w-24"
          onChange={(paddingVertical) => set({ paddingVertical })}
        />
        <MeasureField
          label="Padding at the sides"
          range={button.attributes.paddingHorizontal.value}
          value={attributes.paddingHorizontal}
          className="w-24"
          onChange={(paddingHorizontal) => set({ paddingHorizontal })}
        />
      </div>
      <div className="mt-2 flex gap-4">
        <ColorField
          label="Background"
          value={attributes.background}
          palette={palette}
          onChange={(background) => background && set({ background })}
        />
        <ColorField
          label="Text"
          value={attributes.color}
          palette={palette}
          onChange={(color) => color && set({ color })}
        />
      </div>
    </Section>
  );
}
