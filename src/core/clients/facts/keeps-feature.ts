import type { StandInId } from "../stand-in";
import { supportOf, type Feature } from "./features";

/** Whether a kind keeps a feature of HTML, CSS or pictures: wholly, in part, or as far as anybody knows. */
export const keepsFeature = (feature: Feature, client: StandInId): boolean =>
  supportOf(feature, client) !== "no";
