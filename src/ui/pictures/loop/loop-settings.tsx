"use client";

import {
  changeSpeed,
  resizeLoop,
  roundTime,
  type Density,
  type Size,
  loopFields,
  displaySide,
} from "@/core/pictures";
import { Button } from "../../parts/button";
import type { Palette } from "../../parts/fields/color-choices";
import { ColorField } from "../../parts/fields/color-field";
import { MeasureField } from "../../parts/fields/measure-field";
import { Section } from "../../parts/section";
import { SliderField } from "../../parts/fields/slider-field";
import { WordSwitch } from "../../parts/fields/word-switch";
import type { LoopTools } from "./use-loop";
import { CheckField } from "../../parts/fields/check-field";

interface Props {
  readonly tools: LoopTools;
  readonly palette: Palette;
  /** Size of the source's first picture. */
  readonly natural: Size;
}

/** Speed and repeats, size and density, colours and edges of a whole loop. */
export function LoopSettings({ tools, palette, natural }: Props) {
  const { loop, change } = tools;
  const { frames, repeats, colors, density, fill, solid } = loop;
  const resize = (asked: { width: number } | { height: number }): void =>
    change(resizeLoop(loop, natural, asked));
  return (
    <>
      <Section title="Time">
        <div className="flex items-center gap-2">
          <Button onClick={() => change({ frames: changeSpeed(frames, 0.8) })}>Slower</Button>
          <Button onClick={() => change({ frames: changeSpeed(frames, 1.25) })}>Faster</Button>
          <span className="text-soft">{(roundTime(frames) / 1000).toFixed(1)} s a round</span>
        </div>
        <div className="mt-2 flex items-end gap-4">
          <CheckField
            label="For ever"
            checked={repeats === 0}
            onChange={(on) => change({ repeats: on ? 0 : 3 })}
          />
          {repeats > 0 && (
            <MeasureField
              label="Rounds"
              value={repeats}
              range={{ ...loopFields.repeats, least: 1 }}
              onChange={(next) => change({ repeats: next })}
            />
          )}
        </div>
      </Section>
      <Section title="Display size">
        <div className="flex gap-4">
          <MeasureField
            label="Width"
            value={loop.width}
            range={displaySide}
            onChange={(width) => resize({ width })}
          />
          <MeasureField
            label="Height"
            value={loop.height}
            range={displaySide}
            onChange={(height) => resize({ height })}
          />
          <WordSwitch<"1" | "2" | "3">
            label="Density"
            value={String(density) as "1" | "2" | "3"}
            choices={{ "1": "1x", "2": "2x", "3": "3x" }}
            onChange={(next) => change({ density: Number(next) as Density })}
          />
        </div>
      </Section>
      <Section title="Colours">
        <SliderField
          label="Colours at most"
          value={colors}
          range={loopFields.colors}
          onChange={(next) => change({ colors: next }, "colours")}
        />
        <p className="mb-1 mt-2 text-xs text-soft">
          A GIF is clear or not, with nothing in between. Edges are mixed with a colour, or hard.
        </p>
        <div className="flex items-center gap-4">
          <ColorField
            label="Mixed into the edges"
            quiet
            clearable
            value={fill}
            palette={palette}
            onChange={(color) => change({ fill: color, solid: solid && color !== null }, "fill")}
          />
          <CheckField
            label="Fill all that is clear"
            checked={solid}
            onChange={(on) =>
              change({
                solid: on,
                fill: on ? (fill ?? "#FFFFFF") : fill,
              })
            }
          />
        </div>
      </Section>
    </>
  );
}
