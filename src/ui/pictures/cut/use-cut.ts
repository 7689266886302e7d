"use client";

/** A recipe that is worked on, and what it comes out as. */
import { useCallback } from "react";
import { changeRecipe, type Recipe } from "@/core/pictures";
import type { CutPreview } from "@/server/pictures/cuts";
import type { Original } from "@/server/pictures/originals";
import { request } from "../../parts/request";
import { useDrawn, type Drawn } from "../../parts/use-drawn";
import { useSteps, type StepTools } from "../../parts/use-steps";

export interface DrawnCut extends Omit<CutPreview, "bytes" | "drawn"> {
  readonly bytes: number;
  /** As it is sent; a data address. */
  readonly picture: string;
  /** With every colour, as it was drawn; a data address. */
  readonly drawn: string;
  readonly drawnBytes: number;
}

export interface CutTools extends Omit<StepTools<Recipe>, "value" | "step"> {
  readonly original: Original;
  readonly recipe: Recipe;
  /** Changes some of the recipe; its display size stays in proportion. */
  readonly change: (patch: Partial<Recipe>, topic?: string) => void;
  readonly preview: Drawn<DrawnCut>;
}

export function useCut(original: Original, start: Recipe): CutTools {
  const { value: recipe, step, ...steps } = useSteps(start);
  const change = useCallback(
    (patch: Partial<Recipe>, topic?: string) => step(changeRecipe(recipe, patch), topic),
    [recipe, step],
  );
  const ask = useCallback(
    (asked: Recipe) =>
      request<DrawnCut>("POST", "/api/cuts/preview", { original: original.hash, recipe: asked }),
    [original.hash],
  );
  return { original, recipe, change, preview: useDrawn(recipe, ask), ...steps };
}
