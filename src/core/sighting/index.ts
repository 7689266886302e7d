export type { DrawnDesign, WordedPart } from "./design";
export type { Progress } from "./find-signature";
export type { Place } from "./place";
export { driftOfSighting, sightingOf, type Sighting } from "./sighting";
