"use client";

import { HexColorPicker } from "react-colorful";
import { contrast, darkCanvas, lightCanvas, readableContrast } from "@/core/color";
import { PictureColors, type PalettePicture } from "./picture-colors";
import { Swatches } from "./swatches";

/** Where colours can be taken from. */
export interface Palette {
  readonly brand: readonly string[];
  readonly signature: readonly string[];
  readonly pictures: readonly PalettePicture[];
}

export interface ColorChoicesProps {
  /** Six hex digits, or null for none. */
  readonly value: string | null;
  readonly onChange: (value: string | null) => void;
  readonly palette: Palette;
  /** Whether "none" can be chosen. */
  readonly clearable?: boolean;
}

/** How a colour stands out on the two canvases that mail is read on. */
function Contrast({ color }: { color: string }) {
  return (
    <dl className="mt-2 grid grid-cols-[1fr_auto] gap-x-3 text-xs text-soft">
      {(
        [
          ["on white", lightCanvas],
          ["on black, in dark mode", darkCanvas],
        ] as const
      ).map(([name, canvas]) => {
        const ratio = contrast(color, canvas);
        return (
          <div key={name} className="contents">
            <dt>Contrast {name}</dt>
            <dd className={ratio < readableContrast ? "text-clay" : "text-ink"}>
              {ratio.toFixed(1)}
              {ratio < readableContrast && " weak"}
            </dd>
          </div>
        );
      })}
    </dl>
  );
}

/** Where a colour comes from: picked, of the brand, of the signature, or out of a picture of it. */
export function ColorChoices({ value, onChange, palette, clearable = false }: ColorChoicesProps) {
  return (
    <>
      <HexColorPicker color={value ?? "#ffffff"} onChange={(color) => onChange(color.toUpperCase())} />
      {value && <Contrast color={value} />}
      <Swatches label="Of the brand" colors={palette.brand} onPick={onChange} />
      <Swatches label="In this signature" colors={palette.signature} onPick={onChange} />
      <PictureColors pictures={palette.pictures} onPick={onChange} />
      {clearable && (
        <button type="button" onClick={() => onChange(null)} className="mt-2 text-sm text-pine underline">
          None
        </button>
      )}
    </>
  );
}
