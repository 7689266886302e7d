/** Screenshots of what was received: what is kept of one, and what was found in it. */
import { choice, color, flag, list, numberIn, object, optional, text, type TypeOf } from "@/core/values";

/** px, or a difference; to a hundredth. */
export const measure = numberIn(-100_000, 100_000, 0.01);

/** From px of the design to px of the screenshot. */
export const magnification = numberIn(0.1, 10, 0.001);

const box = object({ left: measure, top: measure, width: measure, height: measure });

/** What was found in a screenshot, in the words of drift. */
export const toldSighting = object({
  place: object({ scale: magnification, left: measure, top: measure }),
  /** What it stands on. */
  ground: color,
  parts: list(
    object({
      id: numberIn(-10_000, 10_000, 1),
      kind: choice("text", "picture", "box"),
      text: text(4000),
      moved: measure,
      resized: measure,
      wrapped: flag,
      missing: flag,
      recolored: measure,
      contrast: optional(measure),
      visibility: optional(measure),
      otherFont: flag,
      /** Whether the screenshot tells of it at all. */
      clear: flag,
      /** Where it was found, or where it is missing; px of the design, from the signature's top left. */
      box,
    }),
    { most: 1000, what: "parts" },
  ),
});

export type ToldSighting = TypeOf<typeof toldSighting>;

/** A screenshot that is kept. */
export interface KeptSighting {
  readonly id: string;
  readonly name: string;
  readonly width: number;
  readonly height: number;
  /** Null where nothing was looked for in it. */
  readonly told: ToldSighting | null;
  /** Whether it is of what is installed now, and of no version before. */
  readonly current: boolean;
  /** ms since 1970. */
  readonly createdAt: number;
}
