"use client";

import { Trash2 } from "lucide-react";
import { setAttributes } from "@/core/signature";
import { Button } from "../../parts/button";
import { ColorField } from "../../parts/color-field";
import { MeasureField } from "../../parts/measure-field";
import { useBench } from "../bench-context";
import type { Placed } from "../editor/selection";
import { PictureMeasures } from "./picture-measures";
import { Section } from "./section";

/** The measures of a part that is selected as a whole. */
export function PartMeasures({ part }: { part: Placed }) {
  const { editor, palette } = useBench();
  const { node, position } = part;
  const attributes = node.attrs as Readonly<Record<string, never>>;
  const glyph = String(node.attrs.glyph);
  const set = (patch: Record<string, unknown>): void =>
    editor.apply(({ tr }) => setAttributes(tr, position, patch) as typeof tr, { focus: false });
  const remove = (): void => editor.apply(({ tr }) => tr.delete(position, position + node.nodeSize));

  return (
    <>
      {(node.type.name === "picture" || node.type.name === "inlinePicture") && (
        <PictureMeasures part={part} onSet={set} />
      )}
      {node.type.name === "spacer" && (
        <Section title="Spacer">
          <MeasureField
            label="Height"
            value={attributes.height!}
            least={1}
            most={400}
            onChange={(height) => set({ height })}
          />
        </Section>
      )}
      {node.type.name === "divider" && (
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
            <ColorField
              label="Colour"
              value={attributes.color!}
              palette={palette}
              onChange={(color) => color && set({ color })}
            />
          </div>
        </Section>
      )}
      {node.type.name === "separator" && (
        <Section title="Separator">
          <div className="flex items-end gap-4">
            <label className="text-xs text-soft">
              Mark
              <select
                value={glyph}
                onChange={(event) => set({ glyph: event.target.value })}
                className="block w-14 border-b border-soft bg-paper py-0.5 text-sm text-ink"
              >
                {[...new Set(["|", "·", "/", "–", glyph])].map((choice) => (
                  <option key={choice}>{choice}</option>
                ))}
              </select>
            </label>
            <MeasureField
              label="Gap each side"
              value={attributes.gap!}
              least={0}
              most={40}
              step={0.5}
              className="w-24"
              onChange={(gap) => set({ gap })}
            />
          </div>
        </Section>
      )}
      {node.type.name === "personField" && (
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
      )}
      {node.type.name === "iconRow" && (
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
        </Section>
      )}
      {node.type.name === "button" && (
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
      )}
      <Button look="quiet" className="-ml-3 text-rowan" onClick={remove}>
        <Trash2 size={15} aria-hidden />
        Take it out
      </Button>
    </>
  );
}
