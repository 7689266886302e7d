"use client";

import type { ReactNode } from "react";
import { clearValue, plateValue, type ClearedBackground, type Plate } from "@/core/pictures";
import type { Palette } from "../../parts/fields/color-choices";
import { ColorField } from "../../parts/fields/color-field";
import { MeasureField } from "../../parts/fields/measure-field";
import { SliderField } from "../../parts/fields/slider-field";
import { WordSwitch } from "../../parts/fields/word-switch";
import type { CutTools } from "./use-cut";

interface Props {
  readonly cut: CutTools;
  readonly palette: Palette;
  /** The colour of the original's plain background, or null where it has none. */
  readonly background: string | null;
}

interface StepProps {
  readonly title: string;
  readonly hint: string;
  readonly on: boolean;
  readonly onToggle: (on: boolean) => void;
  readonly children?: ReactNode;
}

/** One step over the original: switched on, set, and switched off again. */
function Step({ title, hint, on, onToggle, children }: StepProps) {
  return (
    <section className="border-t border-hairline py-2 first:border-0 first:pt-0">
      <label className="flex items-baseline gap-2">
        <input
          type="checkbox"
          checked={on}
          onChange={(event) => onToggle(event.target.checked)}
          className="translate-y-0.5 accent-pine"
        />
        <span>
          {title}
          <span className="block text-xs text-soft">{hint}</span>
        </span>
      </label>
      {on && <div className="mt-1.5 pl-6">{children}</div>}
    </section>
  );
}

/** Clearing the background, tinting, a plate behind, and a fill under everything. */
export function ColorSteps({ cut, palette, background }: Props) {
  const { recipe, change, original } = cut;
  const { clear, tint, fill } = recipe;
  const setClear = (next: ClearedBackground): void => change({ clear: next }, "clear");
  const first = palette.brand[0] ?? "#1D2B2E";
  return (
    <>
      <Step
        title="Clear a plain background"
        hint={background ? `Its border is ${background}.` : "Its border has no single colour."}
        on={clear !== null}
        onToggle={(on) =>
          change({ clear: on ? { color: background ?? "#FFFFFF", tolerance: 6, softness: 20 } : null })
        }
      >
        {clear && (
          <div className="grid grid-cols-2 items-end gap-x-4 gap-y-1.5">
            <ColorField
              label="Colour to clear"
              value={clear.color}
              palette={palette}
              onChange={(color) => color && setClear({ ...clear, color })}
            />
            <span />
            <SliderField
              label="Tolerance"
              value={clear.tolerance}
              range={clearValue.fields.tolerance}
              onChange={(tolerance) => setClear({ ...clear, tolerance })}
            />
            <SliderField
              label="Soft edge"
              value={clear.softness}
              range={clearValue.fields.softness}
              onChange={(softness) => setClear({ ...clear, softness })}
            />
          </div>
        )}
      </Step>
      <Step
        title="Tint"
        hint={
          original.transparent || clear
            ? "Everything that is not clear takes on one colour."
            : "It has no clear parts, so all of it would be one colour: clear its background first."
        }
        on={tint !== null}
        onToggle={(on) => change({ tint: on ? first : null })}
      >
        {tint && (
          <ColorField
            label="Tint colour"
            value={tint}
            palette={palette}
            onChange={(color) => color && change({ tint: color }, "tint")}
          />
        )}
      </Step>
      <PlateStep recipe={recipe} change={change} palette={palette} />
      <Step
        title="Fill what is clear"
        hint="Corners take on a colour; a photo then fits into a JPEG, which is far lighter."
        on={fill !== null}
        onToggle={(on) => change({ fill: on ? "#FFFFFF" : null })}
      >
        {fill && (
          <ColorField
            label="Fill colour"
            value={fill}
            palette={palette}
            onChange={(color) => color && change({ fill: color }, "fill")}
          />
        )}
      </Step>
    </>
  );
}

/** A shape behind the picture, and its measures. */
export function PlateStep({
  recipe,
  change,
  palette,
}: Pick<CutTools, "recipe" | "change"> & { readonly palette: Palette }) {
  const { plate } = recipe;
  const setPlate = (next: Plate): void => change({ plate: next }, "plate");
  return (
    <Step
      title="Plate"
      hint="A shape behind it, so that it shows in dark mode as well."
      on={plate !== null}
      onToggle={(on) =>
        change({
          plate: on
            ? {
                shape: "circle",
                color: "#FFFFFF",
                margin: Math.round(Math.max(recipe.width, recipe.height) / 5),
                radius: 6,
                line: null,
              }
            : null,
        })
      }
    >
      {plate && (
        <>
          <WordSwitch<Plate["shape"]>
            label="Plate"
            value={plate.shape}
            choices={{ circle: "Circle", rounded: "Rounded", rectangle: "Rectangle" }}
            onChange={(shape) => change({ plate: { ...plate, shape } })}
          />
          <div className="mt-1.5 flex items-end gap-3">
            <ColorField
              label="Plate colour"
              value={plate.color}
              palette={palette}
              onChange={(color) => color && setPlate({ ...plate, color })}
            />
            <MeasureField
              label="Margin"
              value={plate.margin}
              range={plateValue.fields.margin}
              onChange={(margin) => setPlate({ ...plate, margin })}
            />
            {plate.shape === "rounded" && (
              <MeasureField
                label="Plate radius"
                value={plate.radius}
                range={plateValue.fields.radius}
                onChange={(radius) => setPlate({ ...plate, radius })}
              />
            )}
          </div>
        </>
      )}
    </Step>
  );
}
