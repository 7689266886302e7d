export { around, grown, shifted, type Box } from "./box";
export { findPart } from "./find-part";
export { inLines, linesOf, type DrawnWord } from "./words";
export { wordWidth, type WordStyle } from "./word-width";
export {
  driftBetween,
  isStill,
  stillDefinition,
  unrest,
  unstillReason,
  type DrawnPart,
  type KnownColors,
  type PartDrift,
  type UnstillReason,
} from "./drift";
export { layOut, type Geometry, type Page } from "./flow/lay-out";
export type { FaceOf } from "./flow/computed-style";
export { breakPlaces } from "./flow/break-places";
export { familiesIn, readOwnStyle } from "./flow/own-style";
export type { PlacedElement, PlacedWord } from "./flow/placed";
