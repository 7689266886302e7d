"use client";

import type { personField } from "@/core/signature";
import { separator } from "@/core/signature";
import { MeasureField } from "../../parts/fields/measure-field";
import type { MeasuresOfPart } from "./measures-of-part";
import { Section } from "../../parts/section";
import { CheckField } from "../../parts/fields/check-field";
import { SettledTextField } from "../../parts/fields/settled-text-field";

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
        <SettledTextField
          key={position}
          label="Mark"
          list="separator-marks"
          value={glyph}
          maxLength={8}
          onSettle={(typed) => typed && set({ glyph: typed })}
          className="w-14"
        />
        <datalist id="separator-marks">
          {["|", "·", "/", "–", ","].map((choice) => (
            <option key={choice} value={choice} />
          ))}
        </datalist>
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
      <SettledTextField
        key={position}
        label="Shown when the field is empty"
        value={attributes.fallback}
        maxLength={300}
        placeholder="nothing"
        onSettle={(fallback) => set({ fallback })}
      />
      <CheckField
        label="Empty, it takes its whole line with it"
        checked={attributes.takesLine}
        onChange={(on) => set({ takesLine: on })}
        className="mt-2"
      />
    </Section>
  );
}
