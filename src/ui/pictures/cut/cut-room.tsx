"use client";

import { useState, type ReactNode } from "react";
import { toast } from "sonner";
import { addressOf, endpoints, type Cut, type Original } from "@/contract";
import type { Aspect, Recipe } from "@/core/pictures";
import { ask } from "../../parts/asking/ask";
import { Button } from "../../parts/button";
import type { Palette } from "../../parts/fields/color-choices";
import { StepButtons } from "../../parts/steps/step-buttons";
import { WordSwitch } from "../../parts/fields/word-switch";
import { ColorSteps } from "./color-steps";
import { aspectOfFrame, CropFields } from "./crop-fields";
import { CropStage } from "./crop-stage";
import { CutResult } from "./cut-result";
import { FileFields } from "./file-fields";
import { FrameFields } from "./frame-fields";
import type { SizeToMatch } from "./pictures-to-match";
import { SizeFields } from "./size-fields";
import { useCut } from "./use-cut";

interface Props {
  readonly original: Original;
  readonly start: Recipe;
  readonly background: string | null;
  readonly brandColors: readonly string[];
  readonly matches: readonly SizeToMatch[];
  /** What keeping it does, on the button. */
  readonly keepLabel: string;
  readonly onKeep: (cut: Cut) => Promise<void> | void;
  /** What stands at the left of the buttons. */
  readonly heading: ReactNode;
}

type Panel = "shape" | "size" | "color" | "file";

const panels = { shape: "Crop and frame", size: "Size", color: "Colour", file: "File" } as const;

/** Cutting a picture: the crop over the original, the recipe at the right, and what comes out below. */
export function CutRoom({
  original,
  start,
  background,
  brandColors,
  matches,
  keepLabel,
  onKeep,
  heading,
}: Props) {
  const cut = useCut(original, start);
  const [panel, setPanel] = useState<Panel>("shape");
  const [lock, setLock] = useState<Aspect>(null);
  const [keeping, setKeeping] = useState(false);
  const aspect = aspectOfFrame(cut.recipe.frame, lock);
  const palette: Palette = {
    brand: brandColors,
    signature: [],
    pictures: [{ source: addressOf(endpoints.pictureView, { hash: original.hash }), alt: original.name }],
  };

  const keep = async (): Promise<void> => {
    setKeeping(true);
    try {
      const { cut: made } = await ask(endpoints.makeCut, {
        body: { kind: "recipe", original: original.hash, recipe: cut.recipe },
      });
      await onKeep(made);
    } catch (error) {
      toast.error((error as Error).message);
    }
    setKeeping(false);
  };

  return (
    <div className="flex h-full min-h-0 flex-col gap-3">
      <div className="flex items-center gap-3">
        <div className="min-w-0 flex-1">{heading}</div>
        <StepButtons undo={cut.undo} redo={cut.redo} canUndo={cut.canUndo} canRedo={cut.canRedo} />
        <Button look="primary" disabled={keeping} onClick={() => void keep()}>
          {keeping ? "Keeping…" : keepLabel}
        </Button>
      </div>
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_332px] gap-5">
        <CropStage cut={cut} aspect={aspect} />
        <div className="flex min-h-0 flex-col">
          <h2 className="sr-only">What is set</h2>
          <WordSwitch<Panel> label="What is set" value={panel} choices={panels} onChange={setPanel} />
          <div className="relative min-h-0 flex-1 overflow-y-auto pr-1 pt-3">
            {panel === "shape" && (
              <>
                <FrameFields cut={cut} palette={palette} />
                <CropFields cut={cut} aspect={aspect} setAspect={setLock} />
              </>
            )}
            {panel === "size" && <SizeFields cut={cut} matches={matches} />}
            {panel === "color" && <ColorSteps cut={cut} palette={palette} background={background} />}
            {panel === "file" && <FileFields cut={cut} palette={palette} />}
          </div>
        </div>
      </div>
      <CutResult cut={cut} />
    </div>
  );
}
