"use client";

import { AlignCenter, AlignLeft, AlignRight } from "lucide-react";
import { line, setAttributes, settingsOf, type AttributesOf } from "@/core/signature";
import { IconChoice } from "../../parts/fields/icon-choice";
import { ChoiceField } from "../../parts/fields/choice-field";
import { MeasureField } from "../../parts/fields/measure-field";
import { useBench } from "../bench-context";
import { selectedLines } from "../editor/commands";
import { Section } from "../../parts/section";

const alignments = [
  { value: "cell", label: "As the cell in its line", drawing: <span className="text-xs">cell</span> },
  { value: "left", label: "Left in its line", drawing: <AlignLeft size={16} aria-hidden /> },
  { value: "center", label: "Centred in its line", drawing: <AlignCenter size={16} aria-hidden /> },
  { value: "right", label: "Right in its line", drawing: <AlignRight size={16} aria-hidden /> },
] as const;

/** The value that all of the lines have, or null. */
function commonOf<T>(values: readonly T[]): T | null {
  const [first, ...others] = values;
  return first !== undefined && others.every((each) => each === first) ? first : null;
}

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
  if (lines.length === 0) return null;
  const all = lines.map(({ node }) => line.of(node));
  const settings = settingsOf(editor.state.doc);
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
          value={commonOf(all.map(({ lineHeight }) => lineHeight ?? settings.lineHeight))}
          none="mixed"
          onChange={(lineHeight) =>
            set({ lineHeight: lineHeight === settings.lineHeight ? null : lineHeight })
          }
        />
        <IconChoice
          label="Alignment of the line"
          value={commonOf(all.map(({ align }) => align ?? "cell"))}
          choices={alignments}
          onChange={(align) => set({ align: align === "cell" ? null : align })}
        />
      </div>
      <ChoiceField
        label="Direction of the line"
        value={commonOf(all.map(({ direction }) => direction ?? "signature"))}
        none="mixed"
        choices={directions}
        onChange={(direction) => set({ direction: direction === "signature" ? null : direction })}
        className="mt-2 w-44"
      />
    </Section>
  );
}
