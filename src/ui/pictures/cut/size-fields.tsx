"use client";

import { largestDisplay, resizeRecipe, type Density, type Use } from "@/core/pictures";
import { formatSize } from "../../parts/format";
import { MeasureField } from "../../parts/measure-field";
import { Section } from "../../parts/section";
import { WordSwitch } from "../../parts/word-switch";
import type { SizeToMatch } from "./pictures-to-match";
import type { CutTools } from "./use-cut";

interface Props {
  readonly cut: CutTools;
  readonly matches: readonly SizeToMatch[];
}

const uses = {
  auto: "Told by itself",
  photo: "Photo",
  logo: "Logo",
  icon: "Icon",
  banner: "Banner",
} as const;

/** Exact width or height, the density, and what to do about too few pixels. */
export function SizeFields({ cut, matches }: Props) {
  const { recipe, change, preview } = cut;
  const resize = (asked: { width: number } | { height: number }): void => {
    const { width, height } = resizeRecipe(recipe, asked);
    change({ width, height });
  };
  const needed = preview.drawn?.needed;
  return (
    <>
      <Section title="Display size">
        <div className="flex items-end gap-4">
          <MeasureField
            label="Width"
            value={recipe.width}
            least={1}
            most={largestDisplay}
            onChange={(width) => resize({ width })}
          />
          <MeasureField
            label="Height"
            value={recipe.height}
            least={1}
            most={largestDisplay}
            onChange={(height) => resize({ height })}
          />
          {matches.length > 0 && (
            <label className="min-w-0 flex-1">
              <span className="block text-xs text-soft">As high as</span>
              <select
                value=""
                onChange={(event) => resize({ height: matches[Number(event.target.value)]!.height })}
                className="w-full border-b border-soft bg-transparent py-0.5"
              >
                <option value="" disabled>
                  another picture
                </option>
                {matches.map(({ name, width, height }, index) => (
                  <option key={index} value={index}>
                    {name}, {formatSize(width, height)}
                  </option>
                ))}
              </select>
            </label>
          )}
        </div>
      </Section>
      <Section title="Pixels for each px shown">
        <WordSwitch<"1" | "2" | "3">
          label="Density"
          value={String(recipe.density) as "1" | "2" | "3"}
          choices={{ "1": "1x", "2": "2x, sharp everywhere", "3": "3x" }}
          onChange={(density) => change({ density: Number(density) as Density })}
        />
        {needed && (
          <div role="status" className="mt-2 border-l-2 border-clay pl-2">
            <p>
              This crop has too few pixels: {formatSize(needed.width, needed.height)} are needed to be sharp,
              and it has {formatSize(recipe.crop.width, recipe.crop.height)}.
            </p>
            <label className="mt-1 flex items-center gap-2">
              <input
                type="checkbox"
                checked={recipe.enlarge}
                onChange={(event) => change({ enlarge: event.target.checked })}
                className="accent-pine"
              />
              Make up the missing pixels: larger, no sharper
            </label>
          </div>
        )}
      </Section>
      <Section title="Weighed as">
        <select
          aria-label="Weighed as"
          value={recipe.use ?? "auto"}
          onChange={(event) =>
            change({ use: event.target.value === "auto" ? null : (event.target.value as Use) })
          }
          className="border-b border-soft bg-transparent py-0.5"
        >
          {Object.entries(uses).map(([use, name]) => (
            <option key={use} value={use}>
              {use === "auto" && preview.drawn ? `By itself: ${preview.drawn.use}` : name}
            </option>
          ))}
        </select>
      </Section>
    </>
  );
}
