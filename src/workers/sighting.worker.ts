/** Looks for a signature in a screenshot beside the page, which stays usable while it does. */
import { sightingOf, type DrawnDesign, type Sighting } from "@/core/sighting";
import type { Pixels } from "@/core/pictures";

export interface SightingRequest {
  readonly design: DrawnDesign;
  readonly picture: Pixels;
}

export type SightingAnswer =
  | { readonly kind: "progress"; readonly done: number }
  | { readonly kind: "done"; readonly sighting: Sighting | null };

const answer = (said: SightingAnswer): void => postMessage(said);

addEventListener("message", ({ data: { design, picture } }: MessageEvent<SightingRequest>) => {
  const sighting = sightingOf(design, picture, ({ done }) => answer({ kind: "progress", done }));
  answer({ kind: "done", sighting });
});
