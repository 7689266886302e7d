"use client";

import { Plus } from "lucide-react";
import { useState } from "react";
import { toast } from "sonner";
import { Button } from "../../parts/button";
import { MeasureField } from "../../parts/measure-field";
import { useBench } from "../bench-context";
import type { MeasuresOfPart } from "./measures-of-part";
import { Section } from "../../parts/section";

/** Size, gap and direction of a row of icons, and one icon more. */
export function IconRowMeasures({ node, position, attributes, set }: MeasuresOfPart) {
  const { choosePicture, resizeIcons } = useBench();
  const [busy, setBusy] = useState(false);
  const cutAll = async (): Promise<void> => {
    setBusy(true);
    try {
      await resizeIcons(position);
    } catch (error) {
      toast.error((error as Error).message);
    }
    setBusy(false);
  };
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
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <Button onClick={() => choosePicture({ kind: "icon", position })}>
          <Plus size={15} aria-hidden />
          Add an icon
        </Button>
        <Button disabled={busy || node.childCount === 0} onClick={() => void cutAll()}>
          {busy ? "Cutting…" : `Cut all to ${attributes.size} px`}
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
