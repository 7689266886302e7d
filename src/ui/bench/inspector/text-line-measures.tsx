"use client";

import { AlignCenter, AlignLeft, AlignRight } from "lucide-react";
import { setAttributes, type Settings } from "@/core/signature";
import { IconButton } from "../../parts/icon-button";
import { MeasureField } from "../../parts/measure-field";
import { useBench } from "../bench-context";
import { selectedLines } from "../editor/commands";
import { Section } from "../../parts/section";

const alignments = [
  { value: null, label: "As the cell", Icon: null },
  { value: "left", label: "Left", Icon: AlignLeft },
  { value: "center", label: "Centred", Icon: AlignCenter },
  { value: "right", label: "Right", Icon: AlignRight },
] as const;

/** Alignment and line height of the selected lines of text. */
export function TextLineMeasures() {
  const { editor } = useBench();
  const lines = selectedLines(editor.state);
  const [first] = lines;
  if (!first) return null;
  const settings = editor.state.doc.attrs as Settings;
  const own = first.node.attrs.lineHeight as number | null;
  const set = (patch: Record<string, unknown>): void =>
    editor.apply(
      ({ tr }) => {
        for (const { position } of lines) setAttributes(tr, position, patch);
        return tr.docChanged ? tr : null;
      },
      { focus: false },
    );
  return (
    <Section title={lines.length > 1 ? `${lines.length} lines of text` : "Line of text"}>
      <div className="flex items-end gap-3">
        <MeasureField
          label="Line height"
          unit="×"
          value={own ?? settings.lineHeight}
          least={1}
          most={2}
          step={0.05}
          onChange={(lineHeight) =>
            set({ lineHeight: lineHeight === settings.lineHeight ? null : lineHeight })
          }
        />
        <div role="group" aria-label="Alignment of the line" className="flex gap-0.5">
          {alignments.map(({ value, label, Icon }) => (
            <IconButton
              key={label}
              label={`${label} in its line`}
              pressed={first.node.attrs.align === value}
              onClick={() => set({ align: value })}
            >
              {Icon ? <Icon size={16} aria-hidden /> : <span className="text-xs">cell</span>}
            </IconButton>
          ))}
        </div>
      </div>
    </Section>
  );
}
