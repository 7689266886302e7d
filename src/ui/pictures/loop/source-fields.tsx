"use client";

import { Plus, X } from "lucide-react";
import { useEffect, useRef } from "react";
import { endpoints } from "@/contract";
import {
  firstFrames,
  framesKept,
  type LoopRecipe,
  type LoopSource,
  revealedText,
  ringValue,
} from "@/core/pictures";
import { webSafeFonts } from "@/core/signature";
import { ChoiceField } from "../../parts/fields/choice-field";
import { ask } from "../../parts/asking/ask";
import { Button } from "../../parts/button";
import type { Palette } from "../../parts/fields/color-choices";
import { ColorField } from "../../parts/fields/color-field";
import { IconButton } from "../../parts/icon-button";
import { MeasureField } from "../../parts/fields/measure-field";
import { Section } from "../../parts/section";
import type { LoopTools } from "./use-loop";
import { CheckField } from "../../parts/fields/check-field";
import { SettledTextField } from "../../parts/fields/settled-text-field";

interface Props {
  readonly tools: LoopTools;
  readonly palette: Palette;
}

type Ring = Extract<LoopSource, { kind: "ring-cycle" }>;
type Text = Extract<LoopSource, { kind: "text-reveal" }>;

const drawnFonts = webSafeFonts.filter(({ drawnWith }) => drawnWith !== null);

const mostColors = 12;

/** The loop with another source: its frames are ordered anew when their number changes, and keep their times. */
const withSource = (loop: LoopRecipe, source: LoopSource, anew: boolean): Partial<LoopRecipe> =>
  anew ? { source, frames: framesKept(firstFrames(source), loop.frames) } : { source };

function RingColors({ source, tools, palette }: Props & { source: Ring }) {
  const { colors } = source;
  const set = (next: readonly string[], anew: boolean): void =>
    tools.change(
      withSource(tools.loop, { ...source, colors: next }, anew),
      anew ? undefined : "ring colours",
    );
  const { picture } = source;
  const ring = picture.frame.shape === "circle" ? picture.frame.ring : null;
  return (
    <>
      <Section title="Colours of the ring, there and back">
        <ol className="space-y-1.5">
          {colors.map((color, index) => (
            <li key={index} className="flex items-center gap-2">
              <ColorField
                label={`Colour ${index + 1}`}
                quiet
                value={color}
                palette={palette}
                onChange={(next) =>
                  next &&
                  set(
                    colors.map((each, at) => (at === index ? next : each)),
                    false,
                  )
                }
              />
              <IconButton
                label={`Remove colour ${index + 1}`}
                disabled={colors.length === 1}
                onClick={() =>
                  set(
                    colors.filter((_, at) => at !== index),
                    true,
                  )
                }
              >
                <X size={14} aria-hidden />
              </IconButton>
            </li>
          ))}
        </ol>
        <Button
          className="mt-2"
          disabled={colors.length === mostColors}
          onClick={() =>
            set(
              [...colors, palette.brand[colors.length % Math.max(1, palette.brand.length)] ?? "#1D2B2E"],
              true,
            )
          }
        >
          <Plus size={15} aria-hidden />
          Another colour
        </Button>
      </Section>
      {ring && (
        <Section title="Ring">
          <div className="flex gap-4">
            <MeasureField
              label="Ring width"
              value={ring.width}
              range={ringValue.fields.width}
              onChange={(width) =>
                tools.change({
                  source: {
                    ...source,
                    picture: { ...picture, frame: { shape: "circle", ring: { ...ring, width } } },
                  },
                })
              }
            />
            <MeasureField
              label="Ring gap"
              value={ring.gap}
              range={ringValue.fields.gap}
              onChange={(gap) =>
                tools.change({
                  source: {
                    ...source,
                    picture: { ...picture, frame: { shape: "circle", ring: { ...ring, gap } } },
                  },
                })
              }
            />
          </div>
        </Section>
      )}
    </>
  );
}

function TextFields({ source, tools, palette }: Props & { source: Text }) {
  const { text } = source;
  const latest = useRef(tools);
  useEffect(() => {
    latest.current = tools;
  });

  /** The size follows the words, as the font draws them. */
  const set = async (patch: Partial<Text["text"]>): Promise<void> => {
    const next: Text = { kind: "text-reveal", text: { ...text, ...patch } };
    const same = next.text.words.split(/\s+/).length === text.words.split(/\s+/).length;
    latest.current.change(withSource(latest.current.loop, next, !same));
    try {
      const { loop } = await ask(endpoints.startLoop, { body: { source: next } });
      latest.current.change({ width: loop.width, height: loop.height }, "size of the words");
    } catch {
      // What the font cannot write is said by the preview.
    }
  };

  return (
    <Section title="Words that appear one by one">
      <SettledTextField
        label="Words"
        quiet
        value={text.words}
        maxLength={120}
        onSettle={(words) => void set({ words })}
      />
      <div className="mt-2 grid grid-cols-2 items-end gap-x-4 gap-y-2">
        <ChoiceField
          label="Font"
          value={text.font}
          choices={Object.fromEntries(drawnFonts.map(({ family }) => [family, family]))}
          onChange={(family) => void set({ font: family })}
        />
        <MeasureField
          label="Letters"
          value={text.size}
          range={revealedText.fields.size}
          onChange={(size) => void set({ size })}
        />
        <ColorField
          label="Colour of the letters"
          value={text.color}
          palette={palette}
          onChange={(color) => color && void set({ color })}
        />
        <ColorField
          label="Background"
          value={text.background}
          palette={palette}
          clearable
          onChange={(background) => void set({ background })}
        />
        <CheckField label="Bold" checked={text.bold} onChange={(on) => void set({ bold: on })} />
      </div>
    </Section>
  );
}

/** What a loop is made of, where that can be changed. */
export function SourceFields({ tools, palette }: Props) {
  const { source } = tools.loop;
  if (source.kind === "ring-cycle") return <RingColors source={source} tools={tools} palette={palette} />;
  if (source.kind === "text-reveal") return <TextFields source={source} tools={tools} palette={palette} />;
  return null;
}
