"use client";

import { useState } from "react";
import { toast } from "sonner";
import { pixelsLacking, type PictureFacts } from "@/core/checks";
import { isHosted } from "@/core/addresses";
import { displaySide } from "@/core/pictures";
import type { PictureAttributes } from "@/core/signature";
import { useBench } from "../bench-context";
import { MeasureField } from "../../parts/fields/measure-field";

type Asked = { width: number } | { height: number };

/** Showing the picture at a position at another size, and saying why that could not be. */
export function useResizing(position: number): { busy: boolean; resize: (asked: Asked) => Promise<void> } {
  const { resizePicture } = useBench();
  const [busy, setBusy] = useState(false);
  const resize = async (asked: Asked): Promise<void> => {
    setBusy(true);
    try {
      await resizePicture(position, asked);
    } catch (error) {
      toast.error((error as Error).message);
    }
    setBusy(false);
  };
  return { busy, resize };
}

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
  readonly onChange: (asked: Asked) => void;
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
