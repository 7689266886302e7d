"use client";

import { pixelsLacking, type PictureFacts } from "@/core/checks";
import { isHosted } from "@/core/addresses";
import { displaySide } from "@/core/pictures";
import type { PictureAttributes } from "@/core/signature";
import { MeasureField } from "../../parts/fields/measure-field";

/** What is said of a picture's pixels, beside its size. */
export function wordsOnPixels(
  { source, width, height }: Pick<PictureAttributes, "source" | "width" | "height">,
  facts: PictureFacts | undefined,
): string {
  const needed = facts && pixelsLacking({ width, height }, facts);
  if (needed)
    return `It would need ${needed.width} × ${needed.height} px to be sharp at this size, and has ${facts.pixels?.width} × ${facts.pixels?.height}.`;
  return isHosted(source)
    ? "It is cut anew at each size, with pixels enough for sharp displays."
    : "It is not hosted here: its file stays as it is, in its own proportions.";
}

interface SizeProps {
  readonly width: number;
  readonly height: number;
  readonly disabled?: boolean;
  readonly onChange: (asked: { width: number } | { height: number }) => void;
}

/** An exact display size, side by side; px. */
export function SizeFields({ width, height, disabled = false, onChange }: SizeProps) {
  const shared = { range: displaySide, disabled };
  return (
    <div className="flex gap-4">
      <MeasureField
        label="Width"
        value={width}
        {...shared}
        onChange={(value) => onChange({ width: value })}
      />
      <MeasureField
        label="Height"
        value={height}
        {...shared}
        onChange={(value) => onChange({ height: value })}
      />
    </div>
  );
}
