/** How a picture is drawn anew so that it is seen on light and on dark grounds. Lengths in CSS px. */
import { color, tagged, type TypeOf } from "../values";
import type { Recipe } from "./cut";

export const darkLookValue = tagged("kind", {
  /** A shape of that colour behind it. */
  plate: { color },
  /** All of it in that colour. */
  tint: { color },
  /** The colour that its ground has is taken away. */
  clear: { color },
});
export type DarkLook = TypeOf<typeof darkLookValue>;

/** Room between a plate's edge and what is on it, and how round its corners are. */
const plate = { margin: 3, radius: 4 } as const;

/** Distances in CIELAB: what a compressed white differs from white by. */
const ground = { tolerance: 10, softness: 12 } as const;

/** A recipe whose cut is as large as it was, in another look. */
export function recipeInLook(recipe: Recipe, look: DarkLook): Recipe {
  switch (look.kind) {
    case "plate":
      return {
        ...recipe,
        plate: recipe.plate
          ? { ...recipe.plate, color: look.color, line: null }
          : { shape: "rounded", color: look.color, line: null, ...plate },
      };
    case "tint":
      return { ...recipe, tint: look.color };
    case "clear":
      return { ...recipe, fill: null, clear: { color: look.color, ...ground } };
  }
}
