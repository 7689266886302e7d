"use client";

/** A loop that is worked on, what it comes out as, and what would bring its weight down. */
import { useCallback, useEffect, useState } from "react";
import { endpoints, type LoopPreview } from "@/contract";
import { lighterLoops, type LighterLoop, type LoopRecipe } from "@/core/pictures";
import { ask } from "../../parts/asking/ask";
import { useDrawn, type Drawn } from "../../parts/drawing/use-drawn";
import { useSettled } from "../../parts/drawing/use-settled";
import { useSteps, type StepTools } from "../../parts/steps/use-steps";

export interface WeighedLighter extends LighterLoop {
  readonly bytes: number;
}

export interface LoopTools extends Omit<StepTools<LoopRecipe>, "value" | "step"> {
  readonly loop: LoopRecipe;
  readonly change: (patch: Partial<LoopRecipe>, topic?: string) => void;
  readonly preview: Drawn<LoopPreview>;
  /** The first frame by itself; a data address, or null before it is drawn. */
  readonly first: string | null;
  readonly lighter: readonly WeighedLighter[];
}

const drawLoop = (loop: LoopRecipe): Promise<LoopPreview> => ask(endpoints.previewLoop, { body: { loop } });

const drawFirst = async (loop: LoopRecipe): Promise<string> =>
  (await ask(endpoints.previewLoopPicture, { body: { loop, picture: loop.frames[0]?.picture ?? 0 } }))
    .picture;

/** What would bring the weight down is tried only when somebody pauses; ms. */
const pause = 900;

export function useLoop(start: LoopRecipe): LoopTools {
  const { value: loop, step, ...steps } = useSteps(start);
  const [weighed, setWeighed] = useState<{ of: LoopRecipe; lighter: readonly WeighedLighter[] } | null>(null);
  const settled = useSettled(loop, pause);

  const change = useCallback(
    (patch: Partial<LoopRecipe>, topic?: string) => step({ ...loop, ...patch }, topic),
    [loop, step],
  );

  useEffect(() => {
    let current = true;
    const weigh = async (): Promise<void> => {
      const found: WeighedLighter[] = [];
      for (const lighter of lighterLoops(settled)) {
        const { bytes } = await drawLoop(lighter.loop);
        if (!current) return;
        found.push({ ...lighter, bytes });
        setWeighed({ of: settled, lighter: [...found] });
      }
    };
    // What cannot be drawn is said by the preview.
    weigh().catch(() => undefined);
    return () => {
      current = false;
    };
  }, [settled]);

  return {
    loop,
    change,
    preview: useDrawn(loop, drawLoop, 300),
    first: useDrawn(loop, drawFirst, 300).drawn,
    lighter: weighed?.of === loop ? weighed.lighter : [],
    ...steps,
  };
}
