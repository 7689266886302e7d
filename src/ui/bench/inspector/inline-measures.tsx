"use client";

import type { personField } from "@/core/signature";
import { separator } from "@/core/signature";
import { MeasureField } from "../../parts/fields/measure-field";
import type { MeasuresOfPart } from "./measures-of-part";
import { Section } from "../../parts/section";

/** The mark of a separator and the gaps around it. */
export function SeparatorMeasures({
  position,
  attributes,
  set,
}: MeasuresOfPart<typeof separator.attributes>) {
  const { glyph } = attributes;
  return (
    <Section title="Separator">
      <div className="flex items-end gap-4">
        <label className="text-xs text-soft">
          Mark
          <input
            key={`${position} ${glyph}`}
            list="separator-marks"
            defaultValue={glyph}
            maxLength={8}
            onBlur={(event) => event.target.value.trim() && set({ glyph: event.target.value.trim() })}
            onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
            className="block w-14 border-b border-soft bg-transparent py-0.5 text-sm text-ink focus:border-pine"
          />
          <datalist id="separator-marks">
            {["|", "·", "/", "–", ","].map((choice) => (
              <option key={choice} value={choice} />
            ))}
          </datalist>
        </label>
        <MeasureField
          label="Gap before"
          range={separator.attributes.gap.value}
          value={attributes.gapBefore ?? attributes.gap}
          className="w-16"
          onChange={(gapBefore) => set({ gapBefore })}
        />
        <MeasureField
          label="Gap after"
          range={separator.attributes.gap.value}
          value={attributes.gap}
          className="w-16"
          onChange={(gap) => set({ gap, gapBefore: attributes.gapBefore ?? attributes.gap })}
        />
      </div>
    </Section>
  );
}

/** What stands for a field of the directory that is empty. */
export function FieldMeasures({ position, attributes, set }: MeasuresOfPart<typeof personField.attributes>) {
  return (
    <Section title="From the directory">
      <label className="block text-xs text-soft">
        Shown when the field is empty
        <input
          key={position}
          defaultValue={attributes.fallback}
          maxLength={300}
          placeholder="nothing"
          onBlur={(event) => set({ fallback: event.target.value })}
          onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
          className="w-full border-b border-soft bg-transparent py-0.5 text-sm text-ink focus:border-pine"
        />
      </label>
      <label className="mt-2 flex items-start gap-2">
        <input
          type="checkbox"
          checked={attributes.takesLine}
          onChange={(event) => set({ takesLine: event.target.checked })}
          className="mt-1 accent-pine"
        />
        Empty, it takes its whole line with it
      </label>
    </Section>
  );
}
