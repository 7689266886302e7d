"use client";

/** A recipe that is worked on, and what it comes out as. */
import { useCallback } from "react";
import { endpoints, type CutPreview, type Original } from "@/contract";
import { changeRecipe, type Recipe } from "@/core/pictures";
import { ask } from "../../parts/asking/ask";
import { useDrawn, type Drawn } from "../../parts/drawing/use-drawn";
import { useSteps, type StepTools } from "../../parts/steps/use-steps";

export interface CutTools extends Omit<StepTools<Recipe>, "value" | "step"> {
  readonly original: Original;
  readonly recipe: Recipe;
  /** Changes some of the recipe; its display size stays in proportion. */
  readonly change: (patch: Partial<Recipe>, topic?: string) => void;
  readonly preview: Drawn<CutPreview>;
}

export function useCut(original: Original, start: Recipe): CutTools {
  const { value: recipe, step, ...steps } = useSteps(start);
  const change = useCallback(
    (patch: Partial<Recipe>, topic?: string) => step(changeRecipe(recipe, patch), topic),
    [recipe, step],
  );
  const draw = useCallback(
    (asked: Recipe) => ask(endpoints.previewCut, { body: { original: original.hash, recipe: asked } }),
    [original.hash],
  );
  return { original, recipe, change, preview: useDrawn(recipe, draw), ...steps };
}
