"use client";

import { useState } from "react";
import { cropToAspect, largestCrop, sizeCrop, type Aspect, type Frame } from "@/core/pictures";
import { numberIn } from "@/core/values";
import { MeasureField } from "../../parts/fields/measure-field";
import { Section } from "../../parts/section";
import { WordSwitch } from "../../parts/fields/word-switch";
import type { CutTools } from "./use-cut";

interface Props {
  readonly cut: CutTools;
  readonly aspect: Aspect;
  readonly setAspect: (aspect: Aspect) => void;
}

type Lock = "free" | "1" | "3" | "own";

const lockOf = (aspect: Aspect): Lock =>
  aspect === null ? "free" : aspect === 1 ? "1" : aspect === 3 ? "3" : "own";

/** Exact numbers of the crop, and the proportions that it is held to. */
export function CropFields({ cut, aspect, setAspect }: Props) {
  const { original, recipe, change } = cut;
  const { crop } = recipe;
  const [own, setOwn] = useState(() => ({ width: 4, height: 3 }));
  const [lock, setLock] = useState<Lock>(lockOf(aspect));

  const hold = (next: Aspect): void => {
    setAspect(next);
    change({ crop: cropToAspect(crop, next, original) });
  };
  const choose = (next: Lock): void => {
    setLock(next);
    hold(next === "free" ? null : next === "own" ? own.width / own.height : Number(next));
  };
  const typeOwn = (patch: Partial<typeof own>): void => {
    const next = { ...own, ...patch };
    setOwn(next);
    hold(next.width / next.height);
  };
  const round = recipe.frame.shape === "circle";

  return (
    <Section title="Crop, in px of the original">
      <div className="grid grid-cols-4 gap-3">
        <MeasureField
          label="Left"
          value={crop.x}
          range={numberIn(0, original.width - crop.width, 1, "px")}
          className="w-full"
          onChange={(x) => change({ crop: { ...crop, x } })}
        />
        <MeasureField
          label="Top"
          value={crop.y}
          range={numberIn(0, original.height - crop.height, 1, "px")}
          className="w-full"
          onChange={(y) => change({ crop: { ...crop, y } })}
        />
        <MeasureField
          label="Crop width"
          value={crop.width}
          range={numberIn(1, original.width, 1, "px")}
          className="w-full"
          onChange={(width) => change({ crop: sizeCrop(crop, { width }, aspect, original) })}
        />
        <MeasureField
          label="Crop height"
          value={crop.height}
          range={numberIn(1, original.height, 1, "px")}
          className="w-full"
          onChange={(height) => change({ crop: sizeCrop(crop, { height }, aspect, original) })}
        />
      </div>
      {round ? (
        <p className="mt-2 text-xs text-soft">A circle is cut from a square.</p>
      ) : (
        <div className="mt-2 flex flex-wrap items-end gap-3">
          <WordSwitch<Lock>
            label="Proportions"
            value={lock}
            choices={{ free: "Free", "1": "1:1", "3": "3:1", own: "Own" }}
            onChange={choose}
          />
          {lock === "own" && (
            <span className="flex items-end gap-1.5">
              <MeasureField
                label="Own proportion, width"
                quiet
                value={own.width}
                range={numberIn(1, 100, 1)}
                className="w-8"
                onChange={(width) => typeOwn({ width })}
              />
              :
              <MeasureField
                label="Own proportion, height"
                quiet
                value={own.height}
                range={numberIn(1, 100, 1)}
                className="w-8"
                onChange={(height) => typeOwn({ height })}
              />
            </span>
          )}
        </div>
      )}
      <button
        type="button"
        className="mt-2 text-sm text-pine underline"
        onClick={() => change({ crop: largestCrop(original, aspect) })}
      >
        As much as there is
      </button>
    </Section>
  );
}

/** The proportions that a frame asks for. */
export const aspectOfFrame = (frame: Frame, aspect: Aspect): Aspect =>
  frame.shape === "circle" ? 1 : aspect;
