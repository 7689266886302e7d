"use client";

import { leavesTransparent, type Format, formatValue } from "@/core/pictures";
import { numberIn } from "@/core/values";
import type { Palette } from "../../parts/fields/color-choices";
import { ColorField } from "../../parts/fields/color-field";
import { Section } from "../../parts/section";
import { SliderField } from "../../parts/fields/slider-field";
import type { CutTools } from "./use-cut";

interface Props {
  readonly cut: CutTools;
  readonly palette: Palette;
}

const formats: readonly { readonly kind: Format["kind"]; readonly name: string; readonly begun: Format }[] = [
  { kind: "lightest", name: "The lightest that looks the same", begun: { kind: "lightest" } },
  { kind: "jpeg", name: "JPEG", begun: { kind: "jpeg", quality: 80 } },
  { kind: "palette", name: "PNG with few colours", begun: { kind: "palette", colors: 256 } },
  { kind: "png", name: "PNG with all colours", begun: { kind: "png" } },
];

const paletteSizes = [2, 4, 16, 256] as const;

/** What kind of file it is sent as, for those who want to choose. */
export function FileFields({ cut, palette }: Props) {
  const { recipe, change, original } = cut;
  const { format } = recipe;
  const needsFill =
    format.kind === "jpeg" && (recipe.fill !== null || original.transparent || leavesTransparent(recipe));
  return (
    <Section title="Sent as">
      <div role="radiogroup" aria-label="Sent as">
        {formats.map(({ kind, name, begun }) => (
          <label key={kind} className="flex items-center gap-2 py-0.5">
            <input
              type="radio"
              name="format"
              checked={format.kind === kind}
              onChange={() => change({ format: begun })}
              className="accent-pine"
            />
            {name}
          </label>
        ))}
      </div>
      <div className="mt-2">
        {format.kind === "lightest" && (
          <p className="text-xs text-soft">
            It is encoded in several ways. Each is compared with the picture as drawn, by structural
            similarity (SSIM) and colour, and the smallest that cannot be told apart is kept.
          </p>
        )}
        {format.kind === "jpeg" && (
          <SliderField
            label="Quality"
            value={format.quality}
            range={formatValue.shapes.jpeg.quality}
            onChange={(quality) => change({ format: { kind: "jpeg", quality } }, "quality")}
          />
        )}
        {format.kind === "palette" && (
          <SliderField
            label="Colours"
            value={paletteSizes.indexOf(format.colors)}
            range={numberIn(0, paletteSizes.length - 1, 1, "px")}
            said={String(format.colors)}
            onChange={(index) =>
              change({ format: { kind: "palette", colors: paletteSizes[index]! } }, "colours")
            }
          />
        )}
        {needsFill && (
          <div className="mt-2">
            <p className="mb-1 text-xs text-soft">A JPEG holds nothing clear. What is clear becomes:</p>
            <ColorField
              label="Fill colour"
              value={recipe.fill ?? "#FFFFFF"}
              palette={palette}
              onChange={(color) => color && change({ fill: color }, "fill")}
            />
          </div>
        )}
      </div>
    </Section>
  );
}
