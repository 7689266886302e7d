/** Under what proofs are drawn, beside their kind and mode. */
import type { FontTrial } from "@/core/clients";

export interface Conditions {
  /** Whether its fonts are there, or what falls in where they are not. */
  readonly fonts: FontTrial;
  /** How much larger than at 96 dpi the display draws text: 1, 1.25 or 1.5. */
  readonly scale: number;
}

export const ordinaryConditions: Conditions = { fonts: "installed", scale: 1 };

export const areOrdinary = ({ fonts, scale }: Conditions): boolean =>
  fonts === ordinaryConditions.fonts && scale === ordinaryConditions.scale;
