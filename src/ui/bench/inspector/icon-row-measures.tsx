"use client";

import { Plus } from "lucide-react";
import { Button } from "../../parts/button";
import { MeasureField } from "../../parts/measure-field";
import { useBench } from "../bench-context";
import type { MeasuresOfPart } from "./measures-of-part";
import { Section } from "../../parts/section";

/** Size, gap and direction of a row of icons, and one icon more. */
export function IconRowMeasures({ node, position, attributes, set }: MeasuresOfPart) {
  const { choosePicture } = useBench();
  return (
    <Section title="Icon row">
      <div className="flex gap-4">
        <MeasureField
          label="Icon height"
          value={attributes.size!}
          least={8}
          most={96}
          onChange={(size) => set({ size })}
        />
        <MeasureField
          label="Gap"
          value={attributes.gap!}
          least={0}
          most={60}
          onChange={(gap) => set({ gap })}
        />
      </div>
      <div className="mt-2 flex items-center gap-3">
        <Button onClick={() => choosePicture({ kind: "icon", position })}>
          <Plus size={15} aria-hidden />
          Add an icon
        </Button>
        <label className="flex items-center gap-1.5">
          <input
            type="checkbox"
            checked={String(node.attrs.direction) === "column"}
            onChange={(event) => set({ direction: event.target.checked ? "column" : "row" })}
            className="accent-pine"
          />
          stacked
        </label>
      </div>
    </Section>
  );
}
