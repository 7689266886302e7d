"use client";

import { AlignCenter, AlignLeft, AlignRight } from "lucide-react";
import { line, setAttributes, settingsOf, type AttributesOf } from "@/core/signature";
import { IconButton } from "../../parts/icon-button";
import { ChoiceField } from "../../parts/fields/choice-field";
import { MeasureField } from "../../parts/fields/measure-field";
import { useBench } from "../bench-context";
import { selectedLines } from "../editor/commands";
import { Section } from "../../parts/section";

const alignments = [
  { value: null, label: "As the cell", Icon: null },
  { value: "left", label: "Left", Icon: AlignLeft },
  { value: "center", label: "Centred", Icon: AlignCenter },
  { value: "right", label: "Right", Icon: AlignRight },
] as const;

const directions = {
  signature: "as the signature",
  auto: "by its first letter",
  ltr: "left to right",
  rtl: "right to left",
} as const;

/** Alignment, direction and line height of the selected lines of text. */
export function TextLineMeasures() {
  const { editor } = useBench();
  const lines = selectedLines(editor.state);
  const [first] = lines;
  if (!first) return null;
  const settings = settingsOf(editor.state.doc);
  const own = line.of(first.node).lineHeight;
  const set = (patch: Partial<AttributesOf<typeof line.attributes>>): void =>
    editor.apply(
      ({ tr }) => {
        for (const { position } of lines) setAttributes(tr, position, line, patch);
        return tr.docChanged ? tr : null;
      },
      { focus: false },
    );
  return (
    <Section title={lines.length > 1 ? `${lines.length} lines of text` : "Line of text"}>
      <div className="flex items-end gap-3">
        <MeasureField
          label="Line height"
          range={line.attributes.lineHeight.value.value}
          value={own ?? settings.lineHeight}
          onChange={(lineHeight) =>
            set({ lineHeight: lineHeight === settings.lineHeight ? null : lineHeight })
          }
        />
        <div role="group" aria-label="Alignment of the line" className="flex gap-0.5">
          {alignments.map(({ value, label, Icon }) => (
            <IconButton
              key={label}
              label={`${label} in its line`}
              pressed={line.of(first.node).align === value}
              onClick={() => set({ align: value })}
            >
              {Icon ? <Icon size={16} aria-hidden /> : <span className="text-xs">cell</span>}
            </IconButton>
          ))}
        </div>
      </div>
      <ChoiceField
        label="Direction of the line"
        value={line.of(first.node).direction ?? "signature"}
        choices={directions}
        onChange={(direction) => set({ direction: direction === "signature" ? null : direction })}
        className="mt-2 w-44"
      />
    </Section>
  );
}
