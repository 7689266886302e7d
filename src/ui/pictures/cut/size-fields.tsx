"use client";

import { displaySide, resizeRecipe, type Density } from "@/core/pictures";
import { ChoiceField } from "../../parts/fields/choice-field";
import { formatSize } from "../../parts/format";
import { MeasureField } from "../../parts/fields/measure-field";
import { Section } from "../../parts/section";
import { WordSwitch } from "../../parts/fields/word-switch";
import type { SizeToMatch } from "./pictures-to-match";
import type { CutTools } from "./use-cut";
import { CheckField } from "../../parts/fields/check-field";

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
            range={displaySide}
            onChange={(width) => resize({ width })}
          />
          <MeasureField
            label="Height"
            value={recipe.height}
            range={displaySide}
            onChange={(height) => resize({ height })}
          />
          {matches.length > 0 && (
            <ChoiceField
              label="As high as"
              className="min-w-0 flex-1"
              value={null}
              none="another picture"
              choices={Object.fromEntries(
                matches.map(({ name, width, height }, index) => [
                  `picture ${index}`,
                  `${name}, ${formatSize(width, height)}`,
                ]),
              )}
              onChange={(picked) => {
                const match = matches.find((_match, index) => picked === `picture ${index}`);
                if (match) resize({ height: match.height });
              }}
            />
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
            <CheckField
              label="Make up the missing pixels: larger, no sharper"
              checked={recipe.enlarge}
              onChange={(on) => change({ enlarge: on })}
              className="mt-1"
            />
          </div>
        )}
      </Section>
      <Section title="Weighed as">
        <ChoiceField
          label="Weighed as"
          quiet
          className="w-40"
          value={recipe.use ?? "auto"}
          choices={preview.drawn ? { ...uses, auto: `By itself: ${preview.drawn.use}` } : uses}
          onChange={(use) => change({ use: use === "auto" ? null : use })}
        />
      </Section>
    </>
  );
}
