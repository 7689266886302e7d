"use client";

import { cropToAspect, type Frame, type Ring, frameValue, ringValue } from "@/core/pictures";
import { numberIn } from "@/core/values";
import type { Palette } from "../../parts/fields/color-choices";
import { ColorField } from "../../parts/fields/color-field";
import { MeasureField } from "../../parts/fields/measure-field";
import { Section } from "../../parts/section";
import { SliderField } from "../../parts/fields/slider-field";
import type { CutTools } from "./use-cut";
import { CheckField } from "../../parts/fields/check-field";

interface RingProps {
  readonly ring: Ring;
  readonly palette: Palette;
  readonly onChange: (ring: Ring) => void;
}

function RingFields({ ring, palette, onChange }: RingProps) {
  const { width, gap } = ringValue.fields;
  return (
    <div className="mt-1.5 flex items-end gap-3">
      <MeasureField
        label="Ring width"
        value={ring.width}
        range={width}
        onChange={(next) => onChange({ ...ring, width: next })}
      />
      <MeasureField
        label="Ring gap"
        value={ring.gap}
        range={gap}
        onChange={(next) => onChange({ ...ring, gap: next })}
      />
      <ColorField
        label="Ring colour"
        value={ring.color}
        palette={palette}
        onChange={(color) => color && onChange({ ...ring, color })}
      />
    </div>
  );
}

interface Props {
  readonly cut: Pick<CutTools, "original" | "recipe" | "change">;
  readonly palette: Palette;
}

type Shape = Frame["shape"];

const shapes: readonly { readonly shape: Shape; readonly name: string; readonly frame: Frame }[] = [
  { shape: "rectangle", name: "Rectangle", frame: { shape: "rectangle" } },
  { shape: "rounded", name: "Rounded", frame: { shape: "rounded", radius: 8 } },
  { shape: "circle", name: "Circle", frame: { shape: "circle", ring: null } },
  { shape: "ellipse", name: "Ellipse", frame: { shape: "ellipse" } },
  { shape: "soft-ellipse", name: "Soft edge", frame: { shape: "soft-ellipse", softness: 0.3 } },
];

/** A shape drawn small. */
function ShapeDrawing({ shape }: { shape: Shape }) {
  return (
    <svg width="30" height="24" viewBox="0 0 30 24" aria-hidden className="fill-current">
      {shape === "rectangle" && <rect x="3" y="3" width="24" height="18" />}
      {shape === "rounded" && <rect x="3" y="3" width="24" height="18" rx="5" />}
      {shape === "circle" && <circle cx="15" cy="12" r="10" />}
      {shape === "ellipse" && <ellipse cx="15" cy="12" rx="13" ry="9" />}
      {shape === "soft-ellipse" && (
        <>
          <ellipse cx="15" cy="12" rx="13" ry="10" opacity=".25" />
          <ellipse cx="15" cy="12" rx="10.5" ry="8" opacity=".45" />
          <ellipse cx="15" cy="12" rx="8" ry="6" />
        </>
      )}
    </svg>
  );
}

/** The shape that the picture shows through, with its own measures. */
export function FrameFields({ cut, palette }: Props) {
  const { recipe, original, change } = cut;
  const { frame } = recipe;
  const choose = (next: Frame): void =>
    change({
      frame: next,
      ...(next.shape === "circle" ? { crop: cropToAspect(recipe.crop, 1, original) } : {}),
    });
  const setRing = (ring: Ring | null): void => change({ frame: { shape: "circle", ring } }, "ring");

  return (
    <Section title="Frame">
      <div role="radiogroup" aria-label="Frame" className="grid grid-cols-5 gap-1">
        {shapes.map(({ shape, name, frame: begun }) => (
          <button
            key={shape}
            type="button"
            role="radio"
            aria-checked={frame.shape === shape}
            onClick={() => frame.shape !== shape && choose(begun)}
            className="flex flex-col items-center rounded-sm border border-transparent px-0.5 py-1 text-soft hover:bg-kelp aria-checked:border-pine aria-checked:bg-kelp aria-checked:text-pine"
          >
            <ShapeDrawing shape={shape} />
            <span className="text-xs leading-4">{name}</span>
          </button>
        ))}
      </div>
      <div className="mt-2">
        {frame.shape === "rounded" && (
          <MeasureField
            label="Radius"
            value={frame.radius}
            range={frameValue.shapes.rounded.radius}
            onChange={(radius) => change({ frame: { ...frame, radius } })}
          />
        )}
        {frame.shape === "soft-ellipse" && (
          <SliderField
            label="Softness"
            value={Math.round(frame.softness * 100)}
            range={numberIn(0, 100, 1, "px")}
            said={`${Math.round(frame.softness * 100)} %`}
            onChange={(softness) => change({ frame: { ...frame, softness: softness / 100 } }, "softness")}
          />
        )}
        {frame.shape === "circle" && (
          <>
            <CheckField
              label="A ring around it"
              checked={frame.ring !== null}
              onChange={(on) =>
                setRing(on ? { width: 2, gap: 0, color: palette.brand[0] ?? "#1D2B2E" } : null)
              }
            />
            {frame.ring && <RingFields ring={frame.ring} palette={palette} onChange={setRing} />}
          </>
        )}
      </div>
    </Section>
  );
}
