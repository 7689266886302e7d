"use client";

/** How the several pictures of a loop are cut: which of them is worked on, and the frame and plate of one or all. */
import { ToggleGroup } from "radix-ui";
import { addressOf, endpoints, type Original } from "@/contract";
import { changeLooks, looksOf, type PicturesLoop } from "@/core/pictures";
import type { Palette } from "../../parts/fields/color-choices";
import { WordSwitch } from "../../parts/fields/word-switch";
import { PlateStep } from "../cut/color-steps";
import { FrameFields } from "../cut/frame-fields";
import type { CutTools } from "../cut/use-cut";
import type { LoopTools } from "./use-loop";

export type CutOfPicture = Pick<CutTools, "original" | "recipe" | "change">;

/** Whom a change is for; a crop is always that of the one picture. */
export type For = "all" | "one";

/** One picture of a loop as a cut that can be worked on; null where there is no such picture. */
export function cutOfPicture(
  { change }: Pick<LoopTools, "change">,
  loop: PicturesLoop,
  originals: readonly Original[],
  at: number,
  whom: For,
): CutOfPicture | null {
  const recipe = looksOf(loop, originals)[at];
  const original = originals[at];
  if (!recipe || !original) return null;
  return {
    original,
    recipe,
    change: ({ crop, ...patch }, topic) => {
      const rest = changeLooks(loop, originals, patch, whom === "all" ? null : at);
      const { source, width, height } = crop ? changeLooks(rest, originals, { crop }, at) : rest;
      change({ source, width, height }, topic);
    },
  };
}

interface PickerProps {
  readonly originals: readonly Original[];
  readonly at: number;
  readonly onChange: (at: number) => void;
}

/** Which picture's crop is shown. */
export function PicturePicker({ originals, at, onChange }: PickerProps) {
  return (
    <ToggleGroup.Root
      type="single"
      value={String(at)}
      onValueChange={(next) => next && onChange(Number(next))}
      aria-label="Which picture"
      className="flex gap-2 overflow-x-auto py-1"
    >
      {originals.map((original, index) => (
        <ToggleGroup.Item
          key={index}
          value={String(index)}
          aria-label={`Picture ${index + 1}, ${original.name}`}
          title={original.name}
          className="h-11 w-14 shrink-0 border border-hairline data-[state=on]:border-2 data-[state=on]:border-pine"
        >
          <img
            src={addressOf(endpoints.pictureThumbnail, { hash: original.hash })}
            alt=""
            className="h-full w-full object-cover"
          />
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}

interface FieldsProps {
  readonly cut: CutOfPicture;
  readonly at: number;
  readonly whom: For;
  readonly onWhom: (whom: For) => void;
  readonly palette: Palette;
}

/** Frame, ring and plate of all pictures, or of the one that is worked on. */
export function PictureLookFields({ cut, at, whom, onWhom, palette }: FieldsProps) {
  return (
    <section aria-label="How the pictures are cut" className="mb-4">
      <div className="mb-2">
        <WordSwitch<For>
          label="What is set holds for"
          value={whom}
          choices={{ all: "All pictures", one: `Picture ${at + 1}` }}
          onChange={onWhom}
        />
      </div>
      <FrameFields cut={cut} palette={palette} />
      <PlateStep recipe={cut.recipe} change={cut.change} palette={palette} />
    </section>
  );
}
