"use client";

import { Plus, Trash2 } from "lucide-react";
import { removePart, setAttributes } from "@/core/signature";
import { Button } from "../../parts/button";
import { ColorField } from "../../parts/color-field";
import { MeasureField } from "../../parts/measure-field";
import { useBench } from "../bench-context";
import type { Placed } from "../editor/selection";
import { PictureMeasures } from "./picture-measures";
import { Section } from "./section";
import { ShortFormChoice } from "./short-form-choice";

/** The measures of a part that is selected as a whole. */
export function PartMeasures({ part }: { part: Placed }) {
  const { editor, palette, choosePicture } = useBench();
  const { node, position } = part;
  const attributes = node.attrs as Readonly<Record<string, never>>;
  const glyph = String(node.attrs.glyph);
  const set = (patch: Record<string, unknown>): void =>
    editor.apply(({ tr }) => setAttributes(tr, position, patch) as typeof tr, { focus: false });
  const remove = (): void =>
    editor.apply(({ tr }) =>
      node.isBlock ? (removePart(tr, position) as typeof tr) : tr.delete(position, position + node.nodeSize),
    );

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
            <MeasureField
              label="Width"
              value={attributes.width ?? null}
              least={1}
              most={1200}
              onChange={(width) => set({ width })}
            />
            <ColorField
              label="Colour"
              value={attributes.color!}
              palette={palette}
              onChange={(color) => color && set({ color })}
            />
          </div>
          <div className="mt-2 flex items-center gap-4">
            <select
              aria-label="Style of the divider"
              value={String(node.attrs.style)}
              onChange={(event) => set({ style: event.target.value })}
              className="rounded-sm border-b border-soft bg-paper py-0.5"
            >
              <option value="solid">solid</option>
              <option value="dashed">dashed</option>
              <option value="dotted">dotted</option>
            </select>
            {node.attrs.width !== null && (
              <button
                type="button"
                onClick={() => set({ width: null })}
                className="rounded-sm text-xs text-pine underline"
              >
                As wide as the cell
              </button>
            )}
          </div>
        </Section>
      )}
      {node.type.name === "separator" && (
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
              value={attributes.gapBefore ?? attributes.gap!}
              least={0}
              most={40}
              step={0.5}
              className="w-16"
              onChange={(gapBefore) => set({ gapBefore })}
            />
            <MeasureField
              label="Gap after"
              value={attributes.gap!}
              least={0}
              most={40}
              step={0.5}
              className="w-16"
              onChange={(gap) => set({ gap, gapBefore: attributes.gapBefore ?? attributes.gap })}
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
      )}
      {node.isBlock && <ShortFormChoice />}
      <Button look="quiet" className="-ml-3 text-rowan" onClick={remove}>
        <Trash2 size={15} aria-hidden />
        Take it out
      </Button>
    </>
  );
}
